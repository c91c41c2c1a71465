import { defineConfig } from '@playwright/test'

const PORT = 3417

export default defineConfig({
  testDir: 'e2e',
  timeout: 60_000,
  workers: 1,
  reporter: [['line'], ['json']],
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
    },
  },
  webServer: [`${PORT}`, `${PORT + 2} --empty`].map((args) => ({
    command: `node e2e/server.mjs ${args}`,
    url: `http://127.0.0.1:${Number.parseInt(args, 10)}/shop`,
    reuseExistingServer: false,
    timeout: 60_000,
  })),
})
