import { defineConfig } from '@playwright/test'

// The browser's own buttons and lists, each drawn by a process more for every page, and what the driver turns off by itself: the last list of
// features is the one that counts.
const off = [
  ...['InitialWebUI', 'WebUIReloadButton', 'WebUIToolbar', 'WebUIToolbarWebView', 'PreloadTopChromeWebUI'],
  ...['WebUIOmniboxPopup', 'WebUIOmniboxFullPopup', 'WebUIOmniboxAimPopup', 'AimEnabled', 'PreconnectToSearch'],
  ...['PaintHolding', 'MediaRouter', 'HttpsUpgrades', 'HttpsFirstBalancedModeAutoEnable', 'OptimizationHints'],
  ...['ThirdPartyStoragePartitioning', 'DestroyProfileOnBrowserClose', 'AvoidUnnecessaryBeforeUnloadCheckSync'],
  ...['LensOverlay', 'NetworkTimeServiceQuerying'],
]

export default defineConfig({
  testDir: '.',
  // Generous: the machine may be busy with others; a wait ends as soon as what it waits for is there.
  timeout: 240_000,
  fullyParallel: true,
  workers: 3,
  expect: { timeout: 60_000 },
  forbidOnly: true,
  // A test that passes only the second time is a defect.
  retries: 0,
  outputDir: '../../artifacts/e2e',
  reporter: [['list'], ['junit', { outputFile: '../../artifacts/results/e2e.xml' }]],
  projects: [
    { name: 'stages', testMatch: '*.spec.ts' },
    // One server for all of them, which is warm: a cold one draws the small pictures after the page is taken.
    { name: 'screenshots', testMatch: 'screenshots.ts', fullyParallel: false },
  ],
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--no-first-run',
        `--disable-features=${off.join()}`,
      ],
    },
  },
})
