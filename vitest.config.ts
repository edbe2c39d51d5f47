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
    // Its components bring their styles along, which only the bundler can read.
    server: { deps: { inline: ['vuetify'] } },
    // Nothing in the core, the server or the interface keeps state that a test could see of another; loading it anew for
    // each file took a third of the time.
    isolate: false,
    testTimeout: 90_000,
    hookTimeout: 120_000,
  },
});
