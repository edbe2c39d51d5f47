import js from '@eslint/js';
import ts from 'typescript-eslint';
import vue from 'eslint-plugin-vue';

const noHiddenInputs = [
  {
    selector: "MemberExpression[object.name='Math'][property.name='random']",
    message: 'Chance comes in as an argument.',
  },
  { selector: "MemberExpression[object.name='Date'][property.name='now']", message: 'Time comes in as an argument.' },
  { selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: 'Time comes in as an argument.' },
];

export default ts.config(
  {
    ignores: ['**/dist/**', '**/node_modules/**', '.data/**', '.tmp/**', 'test-results/**', '.dependency-cruiser.cjs'],
  },
  js.configs.recommended,
  ...ts.configs.recommended,
  ...vue.configs['flat/essential'],
  { files: ['**/*.vue'], languageOptions: { parserOptions: { parser: ts.parser } } },
  {
    rules: {
      'no-undef': 'off',
      eqeqeq: 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': 'error',
      'vue/multi-word-component-names': 'off',
      'vue/no-v-html': 'error',
    },
  },
  {
    files: ['core/src/**/*.ts'],
    rules: { 'no-restricted-syntax': ['error', ...noHiddenInputs], 'no-console': 'error' },
  },
);
