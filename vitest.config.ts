import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  test: {
    include: ['src/**/*.test.ts', 'scripts/**/*.test.ts'],
    // Only a test that hangs takes so long, even on a machine half as fast.
    testTimeout: 120_000,
    // One core is left idle otherwise, which on two is half the machine.
    maxWorkers: '100%',
    coverage: {
      include: ['src/core/**/*.ts'],
      exclude: ['**/*.test.ts', '**/index.ts'],
      reporter: ['text-summary'],
      thresholds: { lines: 90 },
    },
  },
})
