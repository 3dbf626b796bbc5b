import { defineConfig } from '@playwright/test'
import { CHROMIUM_ARGS, CHROMIUM_PATH } from './tools/run/chromium.mjs'

const port = Number(process.env.E2E_PORT ?? 3117)

export default defineConfig({
  testDir: 'e2e',
  outputDir: 'test-results',
  workers: 2,
  fullyParallel: true,
  retries: 0,
  // Two browsers and a server share two cores in the pipeline, and the pipeline may be half as fast as
  // a desk: a first page was seen to take over thirty seconds. A wait ends as soon as its state is there.
  expect: { timeout: 90_000 },
  // the longest tests took 100 s on a machine that was busy with something else, and over 180 s once
  timeout: 420_000,
  reporter: process.env.E2E_REPORT
    ? [['list'], ['json', { outputFile: process.env.E2E_REPORT }]]
    : [['list']],
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    launchOptions: { executablePath: CHROMIUM_PATH, args: CHROMIUM_ARGS },
    // a trace of every action took a third of the suite's time: E2E_TRACE=1 asks for it
    trace: process.env.E2E_TRACE ? 'retain-on-failure' : 'off',
  },
  webServer: {
    command: `node node_modules/next/dist/bin/next start --port ${port} --hostname 127.0.0.1`,
    url: `http://127.0.0.1:${port}/`,
    cwd: process.cwd(),
    reuseExistingServer: false,
    timeout: 60_000,
  },
})
