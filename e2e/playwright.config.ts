import { defineConfig } from '@playwright/test';

/** Debian's Chromium; the flags keep it from looking for the outside world. */
const launchOptions = {
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
};

const phone = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true };
const wide = { viewport: { width: 1280, height: 800 } };

export default defineConfig({
  testDir: '.',
  testMatch: '*.spec.ts',
  // Long, for a machine that is at work elsewhere: what passes does not wait.
  timeout: 240_000,
  expect: { timeout: 20_000 },
  workers: 2,
  // Every test brings its own students or leaves the demo's as it found them.
  fullyParallel: true,
  forbidOnly: true,
  // A second attempt tells a fault from a slow machine; the test command names every test that needed one.
  retries: 1,
  // The test command says by the environment where it reads the counts.
  reporter: process.env.PLAYWRIGHT_JSON_OUTPUT_FILE ? [['list'], ['json']] : [['list']],
  use: {
    launchOptions,
    actionTimeout: 30_000,
    trace: process.env.TRACE ? 'retain-on-failure' : 'off',
    serviceWorkers: 'block',
  },
  projects: [
    { name: 'phone', use: phone, testIgnore: 'start.spec.ts' },
    {
      name: 'wide',
      use: wide,
      // What depends on the layout; what does not is tried at one size.
      testMatch: ['walk.spec.ts', 'screens.spec.ts', 'plan.spec.ts'],
    },
    { name: 'start', testMatch: 'start.spec.ts' },
  ],
});
