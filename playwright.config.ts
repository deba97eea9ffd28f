import { defineConfig } from '@playwright/test';
import { existsSync } from 'node:fs';

/** The same browser without its windows, which take a third of a small machine. */
const LIGHT = '/usr/bin/chromium-headless-shell';

/** The journeys of the people, in the real browser, against a server that bin/test starts. */
export default defineConfig({
  testDir: 'e2e',
  // Pictures are taken by bin/screenshots alone.
  testMatch: process.argv.some((argument) => argument.includes('@picture')) ? '**/*.pictures.ts' : '**/*.spec.ts',
  workers: 1,
  timeout: 120_000,
  expect: { timeout: 10_000 },
  reporter: [['list']],
  use: {
    baseURL: process.env.MILLSTEP_URL ?? 'http://127.0.0.1:8000',
    viewport: { width: 1280, height: 800 },
    // A trace films every page, which takes half of a small machine: for whoever looks for a fault.
    trace: process.env.TRACE ? 'retain-on-failure' : 'off',
    screenshot: 'only-on-failure',
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? (existsSync(LIGHT) ? LIGHT : '/usr/bin/chromium'),
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--disable-dev-shm-usage',
      ],
    },
  },
});
