import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    include: ['src/**/*.test.{ts,tsx}', 'bin/**/*.test.ts', 'stand-ins/**/*.test.ts'],
    environment: 'node',
    setupFiles: ['vitest.setup.ts'],
    testTimeout: 60_000,
    hookTimeout: 120_000,
  },
});
