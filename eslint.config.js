import js from '@eslint/js';
import ts from 'typescript-eslint';
import jsdoc from 'eslint-plugin-jsdoc';
import vue from 'eslint-plugin-vue';

const noHiddenInputs = [
  {
    selector: "MemberExpression[object.name='Math'][property.name='random']",
    message: 'Chance comes in as an argument.',
  },
  { selector: "MemberExpression[object.name='Date'][property.name='now']", message: 'Time comes in as an argument.' },
  { selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: 'Time comes in as an argument.' },
];

const noWeakMaps = {
  name: 'WeakMap',
  message: 'What is remembered of a house belongs in a Memory: core/src/cache/memory.ts.',
};

/** Files with a function of more than 60 lines, and why it is one. */
const longForAReason = [
  // One loop over all positions of a group, which the search for faults runs a million times.
  'core/src/proof/prove.ts',
  // What is checked and how findings are written share the state of one check.
  'core/src/nec/check-house.ts',
  // A migration stays as it was run.
  'server/src/db/migrations.ts',
  // Tables of routes, one after the other.
  'server/src/http/routes/*.ts',
  // A transaction in the order in which it must happen.
  'server/src/use-cases/submit-batch.ts',
  // Stores and composables: a list of state and what may be done with it.
  'web/src/stores/*.ts',
  'web/src/**/use-*.ts',
  // Layouts of drawings: places from top to bottom.
  'web/src/**/*-layout.ts',
];

/** Folders of the core whose code may still say `!` that a value is there, most of them since their loops over arrays of numbers count every step. */
const mayAssert = ['feed', 'feed-search', 'geometry', 'makeup', 'plan', 'proof', 'proposals', 'route', 'test'];
/** Kernels elsewhere: a loop over numbers that runs hundreds of thousands of times. */
const kernels = [
  'core/src/circuits/circuit-drop.ts',
  'core/src/formats/json-depth.ts',
  'core/src/load-profile/fit-day.ts',
  'core/src/load-profile/simulate.ts',
  'core/src/place/cover.ts',
];

export default ts.config(
  {
    ignores: [
      '**/dist/**',
      '**/node_modules/**',
      '.data/**',
      '.tmp/**',
      'test-results/**',
      'scripts/.attack/**',
      'scripts/.bench/**',
      '.dependency-cruiser.cjs',
    ],
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
  {
    // Ratchets: a longer list of parameters or a longer function needs a reason in the list below.
    files: ['{core,server,contract,cli,web}/src/**/*.ts'],
    ignores: ['**/*.test.ts', '*/src/test/**', ...longForAReason],
    rules: {
      'max-lines-per-function': ['error', { max: 60, skipBlankLines: false, skipComments: true }],
      'max-params': ['error', 6],
    },
  },
  {
    // What the core gives to others says what it is: functions, classes and interfaces.
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.test.ts', 'core/src/test/**'],
    plugins: { jsdoc },
    rules: {
      'jsdoc/require-jsdoc': [
        'error',
        {
          publicOnly: true,
          enableFixer: false,
          require: { ArrowFunctionExpression: true, ClassDeclaration: true },
          contexts: ['ExportNamedDeclaration > TSInterfaceDeclaration'],
        },
      ],
    },
  },
  {
    // What must be there is taken by mustGet, itemAt or given of units/result, which say so where it is not.
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.test.ts', ...mayAssert.map((folder) => `core/src/${folder}/**`), ...kernels],
    rules: { '@typescript-eslint/no-non-null-assertion': 'error' },
  },
  {
    files: ['core/src/**/*.ts'],
    ignores: ['core/src/cache/memory.ts'],
    rules: { 'no-restricted-globals': ['error', noWeakMaps] },
  },
  {
    // Pages are driven from here, so the types of a browser are there; what serves them has none of it.
    files: ['server/src/**/*.ts', 'cli/src/**/*.ts', 'contract/src/**/*.ts'],
    rules: {
      'no-restricted-globals': ['error', 'window', 'document', 'localStorage', 'navigator', 'location', 'name'],
    },
  },
  {
    // Its tests run under Node, so the types are there; what a browser runs has none of it.
    files: ['web/src/**/*.{ts,vue}'],
    ignores: ['web/src/**/*.test.ts', 'web/src/test/**'],
    rules: {
      'no-restricted-globals': [
        'error',
        noWeakMaps,
        'process',
        'Buffer',
        'global',
        'require',
        '__dirname',
        '__filename',
        'alert',
        'confirm',
        'prompt',
      ],
      'no-restricted-properties': [
        'error',
        ...['alert', 'confirm', 'prompt'].map((property) => ({
          object: 'window',
          property,
          message: 'A dialog of ours asks: stores/confirm.ts, frame/ConfirmDialog.vue.',
        })),
      ],
    },
  },
  {
    // A promise that nobody waits for fails unheard: it is awaited, returned, or dropped on purpose with `void`.
    files: ['{server,cli}/src/**/*.ts', 'web/src/**/*.ts'],
    ignores: ['**/*.test.ts', 'web/src/test/**'],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: { '@typescript-eslint/no-floating-promises': 'error' },
  },
  {
    // Vuetify carries every control. Named here is what it has none for: the hidden input behind a file button.
    files: ['web/src/**/*.vue'],
    ignores: ['web/src/fields/FilePicker.vue'],
    rules: {
      'vue/no-restricted-html-elements': [
        'error',
        ...['button', 'input', 'select', 'textarea', 'dialog', 'progress'].map((element) => ({
          element,
          message: 'Take the control of Vuetify, or a field of web/src/fields.',
        })),
      ],
    },
  },
);
