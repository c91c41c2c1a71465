import { defineConfig } from '@playwright/test'
import { EMPTY_PORT, portOf, WORKERS } from './e2e/ports'

const servers = [...Array.from({ length: WORKERS }, (_, i) => `${portOf(i)}`), `${EMPTY_PORT} --empty`]

export default defineConfig({
  testDir: 'e2e',
  // Only a test that hangs takes so long, even on a machine half as fast.
  timeout: 120_000,
  // Two browsers and three servers share two cores.
  expect: { timeout: 30_000 },
  workers: WORKERS,
  reporter: [['line'], ['json']],
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
    },
  },
  webServer: servers.map((args) => ({
    command: `node e2e/server.mjs ${args}`,
    url: `http://127.0.0.1:${Number.parseInt(args, 10)}/shop`,
    reuseExistingServer: false,
    timeout: 120_000,
  })),
})
