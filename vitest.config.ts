import { defineConfig } from 'vitest/config';

const shared = {
  environment: 'node' as const,
  setupFiles: ['vitest.setup.ts'],
  testTimeout: 60_000,
  hookTimeout: 120_000,
};

export default defineConfig({
  test: {
    maxWorkers: '100%',
    projects: [
      // The core keeps nothing between calls that matters, so that its tests can share their modules.
      { test: { ...shared, name: 'core', include: ['src/core/**/*.test.ts'], isolate: false } },
      {
        test: {
          ...shared,
          name: 'around it',
          include: ['src/**/*.test.{ts,tsx}', 'bin/**/*.test.ts', 'stand-ins/**/*.test.ts'],
          exclude: ['src/core/**'],
        },
      },
    ],
  },
});
