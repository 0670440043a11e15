// How late the live mat's newest frame is painted, and whether every frame is recorded, on a browser that is slowed.
import { chromium } from 'playwright-core';
import pg from 'pg';
import { serveForNow } from '../../scripts/serveForNow.mjs';

const SLOWED = Number(process.argv[2] ?? 4);
const SECONDS = 25;

const product = await serveForNow();
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu'],
});
try {
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    serviceWorkers: 'block',
    locale: 'en-GB',
  });
  const page = await context.newPage();
  await page.goto(`${product.origin}/sign-in`);
  await page.getByLabel('E-mail').fill('coach@lanternhill.example');
  await page.getByLabel('Password').fill('paper-and-tape');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.getByTestId('student-row').filter({ hasText: 'Ferris' }).click();
  await page.getByRole('button', { name: 'Start a lesson' }).click();
  await page.getByRole('button', { name: /^Club:/ }).click();
  await page.getByRole('radio', { name: '7-iron', exact: true }).click();
  await page.getByRole('button', { name: 'Place the feet' }).click();
  await page.getByRole('tab', { name: 'Pressure' }).click();
  // What comes over the line is counted beside the screen.
  await page.evaluate(() => {
    const Plain = window.EventSource;
    window.heardFrames = [];
    window.EventSource = class extends Plain {
      constructor(address) {
        super(address);
        this.addEventListener('frames', ({ data }) => {
          const { from, frames } = JSON.parse(data);
          window.heardFrames.push(...frames.map((_, at) => from + at));
        });
      }
    };
  });
  const session = await context.newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
  await page.getByRole('button', { name: 'Stand on the mat' }).click();
  await page.getByTestId('live-centre').waitFor();
  const client = new pg.Client({ connectionString: product.adminUrl });
  await client.connect();
  const { rows } = await client.query('select started_at from mat_session order by started_at desc limit 1');
  await client.end();
  const late = await page.evaluate(
    ({ startedAt, seconds }) =>
      new Promise((resolve) => {
        const told = [];
        const circle = document.querySelector('[data-testid=live-centre]');
        const until = Date.now() + 1000 * seconds;
        let last = '';
        const watch = () => {
          const at = circle.getAttribute('data-at');
          if (at && at !== last) {
            last = at;
            told.push(Date.now() - (startedAt + Number(at)));
          }
          if (Date.now() < until) requestAnimationFrame(watch);
          else resolve(told);
        };
        watch();
      }),
    { startedAt: rows[0].started_at.getTime(), seconds: SECONDS },
  );
  const heard = await page.evaluate(() => window.heardFrames);
  const gaps = heard.filter((number, at) => at > 0 && number !== heard[at - 1] + 1).length;
  const sorted = [...late].sort((a, b) => a - b);
  const share = (part) => sorted[Math.min(sorted.length - 1, Math.floor(part * sorted.length))];
  console.log(
    `Slowed ${SLOWED} times: ${heard.length} frames, ${gaps} gaps, first ${heard[0]}; painted ${late.length} times, ` +
      `late by ${share(0.5)} ms (median), ${share(0.95)} ms (95th percentile)`,
  );
} finally {
  await browser.close();
  await product.stop();
}
