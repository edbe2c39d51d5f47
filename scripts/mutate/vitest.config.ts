import { defineConfig } from 'vitest/config';

/** Whole houses, many at random, take too long to be asked six hundred times: what they alone notice counts as survived. */
const SLOW = [
  '**/random-houses.test.ts',
  '**/golden.test.ts',
  '**/remembered.test.ts',
  '**/hostile.test.ts',
  '**/{ranch,demo}-house.test.ts',
  'core/src/{brief,close-out,phases,route}/**',
  'core/src/proposals/**',
];

export default defineConfig({
  test: {
    include: ['core/src/**/*.test.ts'],
    exclude: [...SLOW, '**/node_modules/**'],
    testTimeout: 90_000,
  },
});
