// From a decoded photo of 12 megapixels to its sheet shown, and from the last tap to the figures, on the real page; as fast as
// this machine is, and with the browser stopped for three quarters of the time.
import { readFileSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from 'playwright-core';
import { must, ROOT } from '../../scripts/tools.mjs';

const ARGUMENTS = ['--no-sandbox', '--disable-gpu', '--no-first-run', '--disable-background-networking'];
const PHOTOS = 12;
const RUN_MS = 8;

const median = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];
const p95 = (values) => [...values].sort((a, b) => a - b)[Math.ceil(0.95 * values.length) - 1];
const sleep = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

/** Photographs of 12 megapixels, from many places, with where to tap in each. */
async function photographs() {
  const folder = mkdtempSync(join(tmpdir(), 'pedastance-photos-'));
  const wanted = Array.from({ length: PHOTOS }, (_, at) => ({
    name: `photo-${at}`,
    paper: at % 2 ? 'Letter' : 'A4',
    over: { turned: 30 * at },
    stands: { elevation: 40 + 4 * at, around: at % 3 ? 8 * Math.sin(at) : 176, distance: 1200 + 60 * at },
    across: 4032,
  }));
  const script = join(ROOT, 'server', 'test', 'renderPhotographs.ts');
  await must(
    'Rendering photographs',
    process.execPath,
    ['--import', 'tsx', script, folder, JSON.stringify(wanted)],
    { quiet: true },
  );
  const photos = wanted.map(({ name }) => ({
    file: readFileSync(join(folder, `${name}.jpg`)),
    at: JSON.parse(readFileSync(join(folder, `${name}.json`), 'utf8')),
  }));
  rmSync(folder, { recursive: true });
  return photos;
}

/** A process and all that came of it. */
function family(pid) {
  let children = '';
  try {
    for (const task of readdirSync(`/proc/${pid}/task`))
      children += ` ${readFileSync(`/proc/${pid}/task/${task}/children`, 'utf8')}`;
  } catch {
    return [];
  }
  return [
    pid,
    ...children
      .split(/\s+/)
      .filter(Boolean)
      .flatMap((child) => family(Number(child))),
  ];
}

/** Lets a browser run for one part of the time in `rate`, its workers too; answers how to end that. */
function slowDown(pid, rate) {
  if (rate === 1) return () => undefined;
  let on = true;
  const signal = (name) => {
    for (const each of family(pid)) {
      try {
        process.kill(each, name);
      } catch {
        // It ended by itself.
      }
    }
  };
  const beat = async () => {
    while (on) {
      signal('SIGCONT');
      await sleep(RUN_MS);
      if (on) signal('SIGSTOP');
      await sleep(RUN_MS * (rate - 1));
    }
    signal('SIGCONT');
  };
  void beat();
  return () => (on = false);
}

/** Notes when the page first says what is looked for, when it shows a sheet, and when it shows the figures. */
function watch() {
  window.seen = {};
  const note = (name, found) => {
    if (found && window.seen[name] === undefined) window.seen[name] = performance.now();
  };
  new MutationObserver(() => {
    note('decoded', document.body.innerText.includes('Looking for the sheet'));
    note('sheet', document.querySelector('[data-testid="sheet-seen"]'));
    note('figures', document.querySelector('[data-testid="photo-stanceWidth"]'));
  }).observe(document.body, { childList: true, subtree: true, characterData: true });
}

async function toPhotoStep(page, origin) {
  await page.goto(`${origin}/sign-in`);
  await page.getByLabel('E-mail address').fill('coach@lanternhill.example');
  await page.getByLabel('Password').fill('paper-and-tape');
  await page.getByRole('button', { name: 'Sign in' }).click();
  // The demo's own student who said yes to photos.
  await page.getByTestId('student-row').filter({ hasText: 'Tamsin' }).click();
  await page.getByRole('button', { name: 'Start a lesson' }).click();
  await page.getByRole('button', { name: /^Club:/ }).click();
  await page.getByRole('radio', { name: '7-iron', exact: true }).click();
  await page.getByRole('button', { name: 'Place the feet' }).click();
  await page.getByRole('tab', { name: 'Photo' }).click();
  await page.evaluate(watch);
}

async function tapAll(page, { stick1, stick2, ball, leadToe, leadHeel, trailToe, trailHeel }) {
  const box = await page.getByTestId('photo').boundingBox();
  for (const { x, y } of [stick1, stick2, ball, leadToe, leadHeel, trailToe, trailHeel]) {
    if (y < 0 || y > 1 || x < 0 || x > 1) return null;
    const [left, top] = [box.x + x * box.width, box.y + y * box.height];
    await page.mouse.move(left, top);
    await page.mouse.down();
    await page.evaluate(() => (window.lastTap = performance.now()));
    await page.mouse.up();
  }
  return true;
}

async function oneRound(page, photos, pid, rate) {
  const times = { sheet: [], figures: [] };
  for (const { file, at } of photos) {
    await page.evaluate(() => (window.seen = {}));
    const chosen = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Choose a photo' }).click();
    const end = slowDown(pid, rate);
    await (await chosen).setFiles({ name: 'photo.jpg', mimeType: 'image/jpeg', buffer: file });
    await page.waitForFunction(() => window.seen.sheet !== undefined, null, { timeout: 60_000 });
    times.sheet.push(await page.evaluate(() => window.seen.sheet - window.seen.decoded));
    if (await tapAll(page, at)) {
      await page.waitForFunction(() => window.seen.figures !== undefined, null, { timeout: 60_000 });
      times.figures.push(await page.evaluate(() => Math.max(0, window.seen.figures - window.lastTap)));
    }
    end();
    await sleep(4 * RUN_MS);
    await page.getByRole('button', { name: 'Another photo' }).click();
    await page.getByRole('button', { name: 'Choose a photo' }).waitFor();
  }
  return times;
}

/**
 * Times the automatic part of a photo.
 * @param origin where the product is
 * @returns for each slowing, ms: to the sheet, median and 95th percentile, and from the last tap to the figures, median
 */
export async function measureAutomatic(origin) {
  const photos = await photographs();
  const server = await chromium.launchServer({ executablePath: '/usr/bin/chromium', args: ARGUMENTS });
  const browser = await chromium.connect(server.wsEndpoint());
  try {
    const page = await browser.newPage({ viewport: { width: 390, height: 844 } });
    await toPhotoStep(page, origin);
    const pid = server.process().pid;
    await oneRound(page, photos.slice(0, 2), pid, 1);
    const told = [];
    for (const slowed of [1, 4]) {
      const { sheet, figures } = await oneRound(page, photos, pid, slowed);
      told.push({ slowed, sheetMs: median(sheet), sheetWorstMs: p95(sheet), figuresMs: median(figures) });
    }
    return told;
  } finally {
    await browser.close();
    await server.close();
  }
}
