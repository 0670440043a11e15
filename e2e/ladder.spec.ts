import type { CDPSession, Page } from '@playwright/test';
import {
  ofStudent,
  expect,
  openCard,
  openLesson,
  ownFile,
  press,
  shellKept,
  signIn,
  step,
  student,
  takeFile,
  test,
  turnPhone,
} from './product';

test.use({ serviceWorkers: 'allow' });

const NO_CONNECTION_MS = 40_000;

/** Opens a field test of the open lesson. */
async function openTest(page: Page, name: string | RegExp): Promise<void> {
  await step(page, 'ladder');
  const back = page.getByRole('button', { name: 'All tests' });
  if (await back.isVisible()) await back.click();
  await press(page, name);
}

const rungOf = (page: Page) => page.getByTestId('rung-figure');

async function warmUp(page: Page, words = 'Turned'): Promise<void> {
  for (let turn = 0; turn < 3; turn += 1) await press(page, words);
}

/** Scores a turn of a body that does it from 24° on; answers the rung. */
async function score(page: Page): Promise<number> {
  const degrees = Number((await rungOf(page).innerText()).replace('°', ''));
  await press(page, degrees >= 24 ? 'Did it' : 'Not yet');
  return degrees;
}

/** Takes the hips' turn with the phone as a gauge. */
async function measureHips(page: Page, session: CDPSession, turned: number): Promise<void> {
  await press(page, 'Measure the hips');
  await page.getByRole('radio', { name: 'Gauge' }).click();
  const gauge = page.getByTestId('gauge');
  await turnPhone(session, 100);
  await turnPhone(session, 100.4);
  await expect(gauge).toContainText('steady');
  await press(page, 'Zero');
  await turnPhone(session, 100);
  for (const part of [0.3, 0.6, 0.9, 1]) await turnPhone(session, 100 + part * turned);
  await expect(gauge).toContainText(`${turned}°`);
  await expect(gauge).toContainText('steady');
  await press(page, 'Take the gauge’s angle: The hips');
  await page.getByRole('radio', { name: 'Trail leg' }).click();
}

const allSent = (page: Page) =>
  expect(page.getByTestId('status-strip')).toBeEmpty({ timeout: NO_CONNECTION_MS });

test('a flare ladder: left-handed, with the gauge, broken off by a reload without a server; judgement and card go by it', async ({
  page,
  product,
}) => {
  const session = await page.context().newCDPSession(page);
  await turnPhone(session, 100);
  await signIn(page, product);
  await shellKept(page);
  await openLesson(page, 'Ferris Quillon', '7-iron');
  await openTest(page, 'Trail flare');
  await warmUp(page);
  const stood: number[] = [];
  for (const turned of [28, 37]) {
    await measureHips(page, session, turned);
    stood.push(await score(page));
  }
  for (let turn = 0; turn < 4; turn += 1) stood.push(await score(page));
  expect(stood).toEqual([0, 10, 20, 30, 30, 20]);
  await product.stop();
  await page.waitForTimeout(400);
  await page.reload();
  await expect(page.getByText('Try 7, at most 15')).toBeVisible();
  // A wrong tap is taken back.
  await press(page, 'It hurts');
  await expect(page.getByText(/It hurts: stop here/)).toBeVisible();
  await expect(rungOf(page)).toHaveCount(0);
  await press(page, 'Take the last one back');
  while (await rungOf(page).isVisible()) stood.push(await score(page));
  expect(stood.length).toBeLessThanOrEqual(15);
  await expect(page.getByTestId('ladder-found')).toContainText(/25°\. Could be (19|20)° to 2\d°\./);
  // 28° on a square foot and 37° on 10° are 53° and 52° on 25°.
  await expect(page.getByTestId('leg-stops')).toContainText(/^The trail leg stops the hips at 5[0-4]°/);
  await press(page, /^Take it: trail flare 25/);
  await expect(page.getByText('Taken: from now on this student is judged by it.')).toBeVisible();
  await product.start();
  await allSent(page);
  const [kept] = await product.sql<{ item: string; low: number }>(
    'select item, low from exception_entry order by id desc limit 1',
  );
  expect(kept).toEqual({ item: 'trailFlare', low: 25 });
  const [logged] = await product.sql<{ turns: number }>(
    `select jsonb_array_length(turns) as turns from ladder_entry order by id desc limit 1`,
  );
  expect(logged!.turns).toBe(stood.length + 3);
  const measured = await product.sql<{ trail_flare: number; back: number; stopped_back: string }>(
    `select trail_flare, back, stopped_back from earlier_turn
     where screen_id = (select id from leg_screen order by id desc limit 1) order by taken_at desc limit 2`,
  );
  expect(measured).toEqual([
    { trail_flare: 10, back: 37, stopped_back: 'trail' },
    { trail_flare: 0, back: 28, stopped_back: 'trail' },
  ]);
  await step(page, 'read');
  await expect(page.getByText(/This student’s own: trail flare 25 to/).first()).toBeVisible();
  await openCard(page, product, 'Ferris Quillon');
  await expect(page.getByTestId('card-view')).toContainText(/Your test of .* found: left toe out 25°\./);
});

test('a ladder that was kept is gone on with in the next lesson, warmed up anew, and tells what it told before', async ({
  page,
  product,
}) => {
  await signIn(page, product);
  await student(page, 'Gunnar Oxthwaite').click();
  await press(page, 'Start a lesson');
  await openTest(page, 'Trail flare');
  await warmUp(page);
  for (const result of ['Not yet', 'Not yet', 'Not yet', 'Did it']) await press(page, result);
  await press(page, 'Keep it for another day');
  await expect(page.getByText('Kept. It goes on from here within two weeks.')).toBeVisible();
  await allSent(page);
  await step(page, 'keep');
  await press(page, 'Finish the lesson');
  // The student's page opens once the device has let go of the lesson.
  await expect(page.getByTestId('ladder-card')).toContainText(/Trail flare, .*°\. Could be /);
  await press(page, 'Start a lesson');
  await step(page, 'ladder');
  await expect(page.getByTestId('field-test').first()).toContainText(/°\. Could be /);
  await press(page, 'Trail flare');
  await expect(page.getByTestId('ladder-earlier')).toContainText('Today goes on from there.');
  await expect(page.getByText('Warm up, 1 of 3')).toBeVisible();
  await warmUp(page);
  // Up to 30 it was done; so it goes down again from there.
  await expect(rungOf(page)).toHaveText('30°');
});

test('what is barred is not offered to a minor, and scores that contradict each other are told', async ({
  page,
  product,
}) => {
  await signIn(page, product);
  await student(page, 'Pip Marrowby').click();
  await press(page, 'Start a lesson');
  await openTest(page, 'Trail flare');
  await expect(page.getByText(/stops short of its end/)).toBeVisible();
  await warmUp(page);
  const rung = rungOf(page);
  for (let more = 0; more < 12; more += 1) await press(page, 'A step more');
  await expect(rung).toHaveText('30°');
  await press(page, 'Not yet');
  for (let less = 0; less < 8; less += 1) await press(page, 'A step less');
  await expect(rung).toHaveText('0°');
  await press(page, 'Did it');
  for (let again = 0; again < 2; again += 1) await press(page, 'Did it');
  await expect(page.getByText(/0° did it, 30° did not\. Try one of them again\./)).toBeVisible();
});

test('as wide as a student can post is taken and judged by; marks, settling and a finish stand in the log', async ({
  page,
  product,
}) => {
  await signIn(page, product);
  await openLesson(page, 'Bartolo Kettlesand', '7-iron');
  await openTest(page, 'Width');
  await warmUp(page, 'Swung');
  while (await rungOf(page).isVisible()) {
    const width = Number((await rungOf(page).innerText()).replace(/[^\d]/g, ''));
    await press(page, width <= 40 ? 'Did it' : 'Not yet');
  }
  await expect(page.getByText(/a wider stance than (36|39|42).cm is told as too wide/)).toBeVisible();
  await press(page, /^Take it: no wider than (36|39|42).cm/);
  await expect(page.getByText('Taken: from now on this student is judged by it.')).toBeVisible();

  await openTest(page, 'Low point');
  await press(page, 'Measure a divot');
  for (const [start, end] of [
    ['-6', '4'],
    ['-5', '5'],
    ['-7', '3'],
  ] as const) {
    await page.getByLabel(/^Starts/).fill(start);
    await page.getByLabel(/^Ends/).fill(end);
    await press(page, 'Note the divot');
  }
  await page.getByLabel(/^Starts/).fill('9');
  await page.getByLabel(/^Ends/).fill('4');
  await expect(page.getByText('Expected an end no nearer the target than the start.')).toBeVisible();
  // Divots that start 6 cm behind the ball: the ball goes there.
  await expect(page.getByText(/move the ball 7.cm away from the target/)).toBeVisible();
  await press(page, /^Take it: ball/);
  await expect(page.getByText('Taken: from now on this student is judged by it.')).toBeVisible();

  await openTest(page, 'Rock and settle');
  for (const place of ['Just ahead of mid-foot', /^Mid-foot/, 'Just ahead of mid-foot'])
    await press(page, place);
  await press(page, 'Keep it');
  await openTest(page, 'Finish held');
  for (const result of ['Held it', 'Fell away', 'Held it']) await press(page, result);
  await expect(page.getByTestId('test-found')).toContainText('Held 2 of 3.');
  await press(page, 'Keep it');
  await openTest(page, 'Set back');
  for (const scored of ['Lost balance', 'Head moved', 'Lost balance']) await press(page, scored);
  await expect(page.getByTestId('setback-rung')).toHaveText('Middle of the shoe');
  await press(page, 'It hurts');
  await expect(page.getByText(/It hurts: stop here/)).toBeVisible();
  await allSent(page);
  const tests = await product.sql<{ test: string }>(
    `select test from test_entry where ${ofStudent('Bartolo Kettlesand')} order by test`,
  );
  expect(tests.map(({ test: name }) => name)).toEqual(['finish', 'low point', 'settled']);
  const own = await product.sql<{ item: string; club: string | null }>(
    `select item, club from exception_entry where item in ('widest', 'ballAlong')
     and ${ofStudent('Bartolo Kettlesand')} order by item`,
  );
  expect(own).toEqual([
    { item: 'ballAlong', club: '7-iron' },
    { item: 'widest', club: null },
  ]);
  await step(page, 'ladder');
  await press(page, 'All tests');
  await expect(page.getByTestId('field-test').filter({ hasText: 'Finish held' })).toContainText(
    'Held 2 of 3.',
  );
});

test('a ladder of one’s own: built, in a file, gone up in a lesson, sent with a card and ticked at home', async ({
  page,
  product,
  browser,
}) => {
  await signIn(page, product);
  await page.goto(`${product.origin}/ladders`);
  await press(page, 'Build a ladder');
  await page.getByLabel('Name').fill('Ball back');
  await page.getByLabel(/^What it finds/).fill('Finds how far back the ball may lie.');
  await page.getByLabel(/^It counts when/).fill('the strike is clean.');
  await page.getByRole('radio', { name: 'Ball inside the lead heel' }).click();
  await page.getByRole('radio', { name: 'Works up to some rung' }).click();
  await page.getByLabel(/^First rung/).fill('0');
  await page.getByLabel(/^Last rung/).fill('12');
  await page.getByLabel(/^Step/).fill('5');
  await press(page, 'Save the ladder');
  await expect(page.getByText(/^▲ Step: expected a step that leads/)).toBeVisible();
  await page.getByLabel(/^Step/).fill('2');
  await press(page, 'Save the ladder');
  await expect(page.getByTestId('own-ladder').first()).toContainText('From 0 cm to 12 cm, by 2 cm');
  await allSent(page);
  const text = await ownFile(page);
  const bring = (contents: string) => takeFile(page, 'ladders.json', contents);
  await bring(text.replace('"step": 20', '"step": 0'));
  await expect(page.getByText(/^Line \d+, ladders\.0\.step: expected/)).toBeVisible();
  await bring(text.replaceAll('Ball back', 'Ball further back'));
  await expect(page.getByTestId('own-ladder').first()).toContainText('Ball further back');
  await allSent(page);

  await page.goto(`${product.origin}/students`);
  await openLesson(page, 'Tamsin Wrenlow', '7-iron');
  await openTest(page, 'Ball further back');
  await warmUp(page, 'Swung');
  for (const result of ['Did it', 'Did it', 'Not yet', 'Not yet']) await press(page, result);
  await expect(page.getByTestId('ladder-found')).toContainText(/cm\. Could be .* to .*cm\./);
  await press(page, 'Keep it for another day');
  await allSent(page);

  await openCard(page, product, 'Tamsin Wrenlow');
  await page.getByRole('radio', { name: 'Ball further back' }).click();
  await expect(page.getByTestId('card-view')).toContainText('It counts when the strike is clean.');
  await press(page, 'Keep it and make a link');
  const link = await page.getByTestId('card-link').innerText();
  await allSent(page);
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const phone = await context.newPage();
  await phone.goto(link);
  const rungs = phone.locator('.card-rungs li');
  await expect(rungs).toHaveCount(7);
  for (const [at, words] of [
    [0, 'Did it'],
    [2, 'Did it'],
    [4, 'Not yet'],
    [6, 'Not yet'],
  ] as const)
    await rungs.nth(at).getByRole('button', { name: words }).click();
  await expect(rungs.nth(4)).toContainText('○');
  await expect(phone.getByText(/goes out with the next connection/)).toHaveCount(0);
  await phone.reload();
  await expect(rungs.nth(2)).toContainText('●');
  await context.close();
  await page.reload();
  await expect(page.getByTestId('ladder-at-home')).toContainText(
    /at home: 2 of 4 tries done\. .* cm\. Could be/,
  );
});
