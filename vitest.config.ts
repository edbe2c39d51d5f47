import { defineConfig } from 'vitest/config';
import vue from '@vitejs/plugin-vue';

export default defineConfig({
  plugins: [vue()],
  test: {
    include: [
      'core/src/**/*.test.ts',
      'contract/src/**/*.test.ts',
      'cli/src/**/*.test.ts',
      'server/src/**/*.test.ts',
      'web/src/**/*.test.ts',
    ],
    maxWorkers: 2,
    testTimeout: 90_000,
    hookTimeout: 120_000,
  },
});
