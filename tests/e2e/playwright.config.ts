import { defineConfig } from '@playwright/test'

export default defineConfig({
  testDir: '.',
  timeout: 45_000,
  workers: 2,
  expect: { timeout: 15_000 },
  forbidOnly: true,
  outputDir: '../../artifacts/e2e',
  reporter: [['list'], ['junit', { outputFile: '../../artifacts/results/e2e.xml' }]],
  projects: [
    { name: 'stages', testMatch: '*.spec.ts' },
    { name: 'screenshots', testMatch: 'screenshots.ts' },
  ],
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-component-update', '--disable-sync', '--no-first-run'],
    },
  },
})
