import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { agree, expect, openLesson, press, signIn, step, student, test } from './product';

async function openShots(page: Page, name: string): Promise<void> {
  await student(page, name).click();
  await page.getByRole('link', { name: 'Shots: typed, from a file, or to one' }).click();
  await expect(page.getByRole('heading', { name: 'Shots' })).toBeVisible();
}

async function choose(page: Page, name: string, text: string): Promise<void> {
  const chooser = page.waitForEvent('filechooser');
  await press(page, 'Bring in a file …');
  await (await chooser).setFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
}

const countOf = async (page: Page): Promise<number> =>
  Number(/(\d+) shots in the log/.exec(await page.getByRole('main').last().innerText())![1]);

const FILE = [
  'No;Carry (yds);Club Path;Side;Club speed mph',
  '1;150;-2,5;10R;90',
  '2;far;1,0;3L;91',
  '3;148;0,5;0;89',
].join('\r\n');

test('a file of shots: what is unclear is asked, bad rows are told by line, good ones kept on the coach’s word', async ({
  page,
  product,
}) => {
  await signIn(page, product);
  // A left-hander: a miss to the right is on the golfer's own side.
  await openShots(page, 'Ferris Quillon');
  const before = await countOf(page);
  await choose(page, 'range.csv', FILE);
  await expect(page.getByText(/Before it can be read: /)).toContainText('side, in which unit');
  await expect(page.getByTestId('shots-preview')).toBeHidden();
  await page.getByLabel('Side is in').selectOption('yards');
  await page.getByLabel('Side, which side is positive').selectOption('right positive');
  await page.getByLabel('Club path, which side is positive').selectOption('right positive');
  const preview = page.getByTestId('shots-preview');
  await expect(preview).toContainText('Line 2: club path 2.5°, club speed 40.2 m/s, carry 137 m, side −9 m');
  await expect(page.getByText('Line 3, carry: expected 0 to 380 metres, found “far”.')).toBeVisible();
  expect(await countOf(page)).toBe(before);
  await press(page, 'Bring in the 2 good rows, leave the others');
  await expect(page.getByText('2 shots brought in, 1 rows left out.')).toBeVisible();
  expect(await countOf(page)).toBe(before + 2);

  // The same header again: nothing is asked a second time. A file with nothing in it writes nothing.
  await choose(page, 'again.csv', FILE.replace('far', '151'));
  await expect(page.getByRole('button', { name: 'Bring in 3 shots' })).toBeVisible();
  await choose(page, 'empty.csv', 'Carry');
  await expect(page.getByText('expected a header and at least one row')).toBeVisible();
  expect(await countOf(page)).toBe(before + 2);

  // Out to a file and in again: as many, and as they were.
  const download = page.waitForEvent('download');
  await press(page, 'Save all as a file');
  const text = readFileSync(await (await download).path(), 'utf8');
  expect(text.split('\r\n')).toHaveLength(before + 2 + 1);
  await choose(page, 'ours.csv', text);
  await press(page, `Bring in ${before + 2} shots`);
  await expect(page.getByText(`${before + 2} shots brought in.`)).toBeVisible();
  await expect(page.getByTestId('status-strip')).toHaveText('', { timeout: 20_000 });
  const rows = await product.sql<{ source: string; path: number | null; side: number | null; n: number }>(
    `select path, side, count(*)::int as n from shot join student on student.id = shot.student_id
     where student.name = $1 group by path, side, club_speed, ball_speed, carry, strike, mishit`,
    ['Ferris Quillon'],
  );
  // Every shot that was there is there twice.
  expect(rows.every(({ n }) => n % 2 === 0)).toBe(true);
  expect(rows.some(({ path, side }) => path === 2.5 && side === -9.144)).toBe(true);

  // From here on the path is the student's own, and a guess while it rests on so few; no simulated shot counts.
  await page.goto(`${product.origin}/students`);
  await openLesson(page, 'Ferris Quillon', 'Driver');
  await step(page, 'change');
  await expect(page.getByTestId('path-panel')).toContainText(/\d+ of this student’s own shots/);
  await expect(page.getByTestId('path-panel')).not.toContainText('simulated');
});

test('a student’s own shots of three clubs, a file each: all count, each with its club', async ({
  page,
  product,
}) => {
  await signIn(page, product);
  await openLesson(page, 'Gunnar Oxthwaite', '9-iron');
  await agree(page, 'A third club.');
  await press(page, 'Record the change');
  await expect(page.getByText('On this device and on the server.')).toBeVisible({ timeout: 20_000 });
  await page.goto(`${product.origin}/students`);
  await openShots(page, 'Gunnar Oxthwaite');
  for (const club of ['9-iron', '5-iron', '3-wood']) {
    await choose(page, `${club}.csv`, ['path (right +)', '-3', '-2.5', '-3.5', '-2', '-4'].join('\n'));
    const setups = page.getByLabel('Hit from');
    const named = setups.locator('option').filter({ hasText: new RegExp(`^${club}`, 'i') });
    await setups.selectOption((await named.first().getAttribute('value'))!);
    await press(page, 'Bring in 5 shots');
    await expect(page.getByText('5 shots brought in.')).toBeVisible();
  }
  await expect(page.getByTestId('status-strip')).toHaveText('', { timeout: 20_000 });
  const rows = await product.sql<{ club: string; n: number }>(
    `select address_entry.club, count(*)::int as n from shot join shots_entry on shots_entry.id = shot.entry_id
     join address_entry on address_entry.id = shots_entry.address_id join student on student.id = shot.student_id
     where student.name = $1 and shots_entry.source <> 'simulated monitor' group by 1 order by 1`,
    ['Gunnar Oxthwaite'],
  );
  expect(rows).toEqual(['3-wood', '5-iron', '9-iron'].map((club) => ({ club, n: 5 })));
  await page.goto(`${product.origin}/students`);
  await student(page, 'Gunnar Oxthwaite').click();
  await press(page, 'Go on with the lesson');
  await step(page, 'club');
  await page.getByRole('radio', { name: '5-iron', exact: true }).click();
  await press(page, 'Place the feet');
  await step(page, 'change');
  await expect(page.getByTestId('path-panel')).toContainText(/15 of this student’s own shots/);
  await expect(page.getByTestId('path-panel')).not.toContainText('simulated');
});

test('ten thousand shots from a file: on the device in under two seconds, and all of them on the server', async ({
  page,
  product,
}) => {
  await signIn(page, product);
  await openShots(page, 'Odile Brandvold');
  const before = await countOf(page);
  const rows = Array.from(
    { length: 10_000 },
    (_, at) =>
      `${(at % 90) - 45 < -30 ? 0 : ((at * 7) % 50) / 10},${100 + (at % 60)},${at % 11 === 0 ? 'yes' : 'no'}`,
  );
  await choose(page, 'many.csv', ['path (right +),carry m,mishit', ...rows].join('\n'));
  const keep = page.getByRole('button', { name: 'Bring in 10000 shots' });
  await expect(keep).toBeVisible({ timeout: 20_000 });
  const began = Date.now();
  await keep.click();
  await expect(page.getByText('10000 shots brought in.')).toBeVisible({ timeout: 20_000 });
  const kept = Date.now() - began;
  await expect(page.getByTestId('status-strip')).toHaveText('', { timeout: 60_000 });
  const landed = Date.now() - began;
  console.log(`10,000 shots: on the device after ${kept} ms, on the server after ${landed} ms`);
  expect(await countOf(page)).toBe(before + 10_000);
  const [row] = await product.sql<{ n: number }>(
    `select count(*)::int as n from shot join student on student.id = shot.student_id where student.name = $1`,
    ['Odile Brandvold'],
  );
  expect(row!.n).toBe(before + 10_000);
  expect(kept).toBeLessThan(2000);
  expect(landed).toBeLessThan(20_000);
});
