// Drags a shoe on the real page, and one plain box on a bare page, and counts what the browser did.
import { chromium } from 'playwright-core';

const FLAGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];
const MOVES = 180;
const FRAME_MS = 1000 / 60;

const BARE_PAGE = `<!doctype html><body style="margin:0;touch-action:none">
<div id="box" style="position:absolute;left:100px;top:300px;width:60px;height:60px;background:#888;will-change:transform"></div>
<script>
  const box = document.getElementById('box');
  let held = null;
  box.addEventListener('pointerdown', (event) => { held = { x: event.clientX, y: event.clientY }; box.setPointerCapture(event.pointerId); });
  box.addEventListener('pointermove', (event) => { if (held) box.style.transform = 'translate(' + (event.clientX - held.x) + 'px,' + (event.clientY - held.y) + 'px)'; });
  box.addEventListener('pointerup', () => { held = null; });
</script>`;

/** Counts animation frames, and in how many of them the watched attribute had changed. */
function watch({ selector, attribute }) {
  const element = document.querySelector(selector);
  const read = () => (attribute === 'style' ? element.style.transform : element.getAttribute(attribute));
  const counts = { frames: [], drawn: 0, startedAt: performance.now(), on: true };
  let last = read();
  let before = performance.now();
  const frame = (now) => {
    if (!counts.on) return;
    counts.frames.push(now - before);
    before = now;
    const is = read();
    if (is !== last) counts.drawn += 1;
    last = is;
    requestAnimationFrame(frame);
  };
  requestAnimationFrame(frame);
  window.watched = counts;
}

const metricsOf = async (session) => {
  const { metrics } = await session.send('Performance.getMetrics');
  return Object.fromEntries(metrics.map(({ name, value }) => [name, value]));
};

/** Moves a finger for three seconds at sixty moves a second, and answers what it cost. */
async function drag(page, session, from, watched) {
  const touch = (type, x, y) =>
    session.send('Input.dispatchTouchEvent', { type, touchPoints: type === 'touchEnd' ? [] : [{ x, y }] });
  await touch('touchStart', from.x, from.y);
  await page.evaluate(watch, watched);
  const before = await metricsOf(session);
  const startedAt = performance.now();
  for (let move = 0; move < MOVES; move += 1) {
    const angle = (move / 60) * 2 * Math.PI;
    await touch('touchMove', from.x + 22 * Math.sin(angle), from.y + 16 * Math.sin(2 * angle));
    const due = startedAt + (move + 1) * FRAME_MS;
    const spare = due - performance.now();
    if (spare > 0) await new Promise((resolve) => setTimeout(resolve, spare));
  }
  const after = await metricsOf(session);
  const counts = await page.evaluate(() => {
    window.watched.on = false;
    return { ...window.watched, seconds: (performance.now() - window.watched.startedAt) / 1000 };
  });
  await touch('touchEnd', from.x, from.y);
  const frames = counts.frames.slice(1).sort((a, b) => a - b);
  return {
    taskMs: ((after.TaskDuration - before.TaskDuration) * 1000) / MOVES,
    scriptMs: ((after.ScriptDuration - before.ScriptDuration) * 1000) / MOVES,
    frameMs: frames[Math.floor(frames.length * 0.95)],
    drawn: counts.drawn / counts.seconds,
    layoutMs: ((after.LayoutDuration - before.LayoutDuration) * 1000) / MOVES,
    styleMs: ((after.RecalcStyleDuration - before.RecalcStyleDuration) * 1000) / MOVES,
  };
}

async function openFeet(page, origin) {
  await page.goto(origin);
  await page.getByLabel('E-mail address').fill('coach@lanternhill.example');
  await page.getByLabel('Password').fill('paper-and-tape');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.getByTestId('student-row').filter({ hasText: 'Odile Brandvold' }).click();
  await page.getByRole('button', { name: 'Start a lesson' }).click();
  await page.getByRole('button', { name: /^Club:/ }).click();
  await page.getByRole('radio', { name: '7-iron' }).click();
  await page.getByRole('button', { name: 'Place the feet' }).click();
  await page.getByTestId('plan').waitFor();
  // With all of it measured the turn is drawn, the lines and figures are read, and all of it follows.
  await page.getByRole('tab', { name: /^Read/ }).click();
  await page.getByRole('button', { name: 'The feet stand as drawn' }).click();
  await page.getByRole('tab', { name: /^Address/ }).click();
  await page.getByTestId('plan').waitFor();
  await page.waitForTimeout(1500);
}

const middleOf = (page, selector) =>
  page.evaluate((wanted) => {
    const box = document.querySelector(wanted).getBoundingClientRect();
    return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  }, selector);

/** Notes when a finger lifts and when what the ruler says of the read is another word. */
function watchWords() {
  const tabs = [...document.querySelectorAll('[role=tab]')];
  const read = tabs.find(({ textContent }) => textContent.startsWith('Read'));
  const counts = { lifted: 0, told: [] };
  window.addEventListener(
    'pointerup',
    () => {
      counts.lifted = performance.now();
    },
    true,
  );
  new MutationObserver(() => {
    if (counts.lifted) counts.told.push(performance.now() - counts.lifted);
    counts.lifted = 0;
  }).observe(read, { characterData: true, childList: true, subtree: true });
  window.words = counts;
}

/** How long after a finger lifts from a shoe the words of the read are there, ms: the shoe goes out and back, again and again. */
async function wordsAfterLifting(page, context) {
  const session = await context.newCDPSession(page);
  await page.bringToFront();
  await page.evaluate(watchWords);
  const touch = (type, x, y) =>
    session.send('Input.dispatchTouchEvent', { type, touchPoints: type === 'touchEnd' ? [] : [{ x, y }] });
  for (let at = 0; at < 20; at += 1) {
    const { x, y } = await middleOf(page, '[data-part=trail] .grip');
    const far = at % 2 === 0 ? -90 : 90;
    await touch('touchStart', x, y);
    for (let step = 1; step <= 6; step += 1) await touch('touchMove', x + (far * step) / 6, y);
    await touch('touchEnd', x, y);
    await page.waitForTimeout(700);
  }
  await session.detach();
  const told = await page.evaluate(() => window.words.told);
  return told.sort((a, b) => a - b);
}

/** For each slowing: the plan's shoe and the bare page's box, the least busy of three runs of each. */
export async function measureDragging(origin) {
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
    args: FLAGS,
  });
  try {
    const context = await browser.newContext({
      viewport: { width: 390, height: 844 },
      hasTouch: true,
      isMobile: true,
    });
    const plan = await context.newPage();
    await openFeet(plan, origin);
    const box = await context.newPage();
    await box.setContent(BARE_PAGE);
    const words = await wordsAfterLifting(plan, context);
    const results = [];
    for (const slowed of [1, 2, 4]) {
      const best = async (page, selector, watched) => {
        await page.bringToFront();
        const session = await context.newCDPSession(page);
        await session.send('Performance.enable');
        await session.send('Emulation.setCPUThrottlingRate', { rate: slowed });
        const runs = [];
        for (let attempt = 0; attempt < 3; attempt += 1)
          runs.push(await drag(page, session, await middleOf(page, selector), watched));
        await session.detach();
        return runs.sort((a, b) => a.taskMs - b.taskMs)[0];
      };
      results.push({
        slowed,
        plan: await best(plan, '[data-part=trail] .grip', {
          selector: '[data-part=trail]',
          attribute: 'transform',
        }),
        box: await best(box, '#box', { selector: '#box', attribute: 'style' }),
      });
    }
    return { results, words };
  } finally {
    await browser.close();
  }
}
