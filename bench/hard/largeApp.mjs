// The app in an academy of 20,000 students, slowed four times: the list shown, a keystroke, the longest task.
import { chromium } from 'playwright-core';

const ARGUMENTS = ['--no-sandbox', '--disable-gpu', '--no-first-run', '--disable-background-networking'];

const longestTask = (page) =>
  page.evaluate(() => Math.max(0, ...window.tasks.map(({ duration }) => duration)));

/** One opening tells little: the machine's own noise is half a second. */
const OPENINGS = 5;

const median = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];

/** Waits for the next input event to be shown, and how long that took, ms. */
const watchKey = () => {
  window.typed = new Promise((resolve) => {
    const shown = () => {
      const at = performance.now();
      requestAnimationFrame(() => setTimeout(() => resolve(performance.now() - at)));
    };
    document.addEventListener('input', shown, { once: true, capture: true });
  });
};

/** One coach's list, opened again on a device that has it, slowed four times. */
async function measured(browser, origin, email) {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  await context.addInitScript(() => {
    window.tasks = [];
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) window.tasks.push({ duration });
    }).observe({ type: 'longtask', buffered: true });
  });
  const page = await context.newPage();
  const listed = () =>
    page
      .getByRole('link', { name: /handed/ })
      .first()
      .waitFor();
  await page.goto(origin);
  await page.getByLabel('E-mail address').fill(email);
  await page.getByLabel('Password').fill('paper-and-tape');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await listed();
  await page.waitForTimeout(2000);
  const session = await context.newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: 4 });
  const openings = [];
  for (let opening = 0; opening < OPENINGS; opening += 1) {
    const startedAt = performance.now();
    await page.goto(origin, { waitUntil: 'commit' });
    await listed();
    const shownMs = performance.now() - startedAt;
    await page.waitForTimeout(2000);
    openings.push({ shownMs, taskMs: await longestTask(page) });
  }
  await page.evaluate(() => (window.tasks = []));
  await page.getByLabel('Search students').click();
  const keys = [];
  for (const letter of 'tam sel') {
    await page.evaluate(watchKey);
    await page.keyboard.type(letter);
    keys.push(await page.evaluate(() => window.typed));
    await page.waitForTimeout(600);
  }
  const result = {
    shownMs: median(openings.map(({ shownMs }) => shownMs)),
    keyMs: median(keys),
    taskAtStartMs: median(openings.map(({ taskMs }) => taskMs)),
    taskWhileTypingMs: await longestTask(page),
  };
  await context.close();
  return result;
}

/** The app in the large academy, and beside it in a small one: what opening the app takes by itself. */
export async function measureLargeApp(origin) {
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
    args: ARGUMENTS,
  });
  try {
    return {
      small: await measured(browser, origin, 'coach@lanternhill.example'),
      large: await measured(browser, origin, 'coach@large.example'),
    };
  } finally {
    await browser.close();
  }
}
