import type { Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { written } from '../core/test/matSwings';
import {
  agree,
  expect,
  ofStudent,
  openLesson,
  press,
  signIn,
  step,
  student,
  test,
  type Product,
} from './product';

/** Three swings come nine seconds apart, after eight of settling. */
const THREE_SWINGS_MS = 60_000;

const swing = (page: Page, number: number) =>
  page.getByRole('radio', { name: `Swing ${number}`, exact: true });

/** Brings in a recording of a mat from a file. */
async function bringRecording(page: Page, text: string): Promise<void> {
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    press(page, 'Bring in a recording …'),
  ]);
  await chooser.setFiles({ name: 'mat.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
}

async function openPressure(page: Page, product: Product, student: string): Promise<void> {
  await signIn(page, product);
  await openLesson(page, student, '7-iron');
  await step(page, 'pressure');
}

test('a left-hander settles on the mat, three swings are found over a cut line, the habit is named and its cue kept', async ({
  page,
  product,
}) => {
  await openPressure(page, product, 'Ferris Quillon');
  await press(page, 'Stand on the mat');
  await expect(
    page.getByText('A simulated student on a simulated mat: nothing of it is this student’s.'),
  ).toBeVisible();
  await expect(page.getByTestId('live-share')).toHaveText(/^\d+%$/);
  // Nobody stands still at once.
  await expect(page.getByTestId('live-sway')).toHaveText(/^Still\.$|^Sways by \d+%\.$/);
  await page.waitForTimeout(5500);
  await press(page, 'Hold … take it');
  await expect(page.getByText(/^Got it: lead \d+%, heel to toe \d+% and \d+%\.$/)).toBeVisible();
  // The line is cut for a while, and goes on where it was.
  await product.stop();
  await expect(page.getByText('The mat is not heard just now. It goes on where it was.')).toBeVisible();
  await product.start();
  await expect(page.getByText('The mat is not heard just now.')).toHaveCount(0, { timeout: 20_000 });
  await expect(swing(page, 3)).toBeVisible({ timeout: THREE_SWINGS_MS });
  await press(page, 'Step off');
  // A moment that was found wrong is put right, and stays before the next.
  await swing(page, 2).click();
  const chart = page.getByTestId('swing-chart').getByRole('slider');
  const before = Number(await chart.getAttribute('aria-valuenow'));
  await chart.focus();
  await chart.press('ArrowRight');
  await expect(chart).toHaveAttribute('aria-valuenow', String(before + 10));
  await page.getByLabel(/^Path of this swing/).fill('95');
  await expect(page.getByText('Expected −30 to 30 degrees, found 95.')).toBeVisible();
  await page.getByLabel(/^Path of this swing/).fill('-4,5');
  await expect(page.getByText('5 swings with a path tell how path and drift go together.')).toBeVisible();
  const pattern = page.getByTestId('pressure-pattern');
  await expect(pattern).toContainText('Think: ');
  await expect(pattern).toContainText('Rehearse: ');
  const cue = (await pattern.innerText())
    .split('\n')
    .find((line) => line.startsWith('Think: '))!
    .slice(7);
  await press(page, 'Keep the swings with this cue');
  await expect(page.getByText('Kept in the log.')).toBeVisible();
  await expect(page.getByTestId('status-strip')).toBeEmpty({ timeout: 40_000 });
  const [kept] = await product.sql<{ swings: number; cue: string; source: string; pattern: string | null }>(
    `select jsonb_array_length(swings) as swings, cue, source, pattern from pressure_entry
     where ${ofStudent('Ferris Quillon')}`,
  );
  expect(kept).toMatchObject({ swings: 3, cue, source: 'simulated mat' });
  expect(kept!.pattern).not.toBeNull();
  const [noted] = await product.sql<{ path: number }>(
    `select (swings -> 1 -> 'path')::float8 as path from pressure_entry where ${ofStudent('Ferris Quillon')}`,
  );
  expect(noted!.path).toBe(-4.5);
  // What was taken stands in the table of figures, by the mat: the share and both feet's heel to toe.
  await step(page, 'read');
  await expect(page.getByRole('tab', { name: /^Address/ })).toContainText('3 of 9');
  await expect(page.getByTestId('last-pressure')).toContainText('Look today: ');
  // The habit is in the one judgement: what is done about it now, or that it waits.
  await expect(page.getByTestId('judgement')).toContainText(
    new RegExp(`On a simulated mat, |where the weight goes|${cue.replace('.', '\\.')}`),
  );
});

test('a recording from a file: a spoilt one is refused with its lines, a swapped one mended, and it comes back as it went', async ({
  page,
  product,
}) => {
  await openPressure(page, product, 'Bartolo Kettlesand');
  const bring = (text: string) => bringRecording(page, text);
  const good = swingFile();
  await bring('Shot,Carry\n1,150\n');
  await expect(page.getByText(/^Line 1, time: expected time_ms, and for left and right/)).toBeVisible();
  await bring(good.replace('\n500,', '\n500,-'));
  await expect(page.getByText(/^Line \d+, load: expected a number of 0 or more, found -/)).toBeVisible();
  await expect(page.getByText('The file was not taken. Nothing has changed.')).toBeVisible();
  await bring(good.split('\n').slice(0, 150).join('\n'));
  await expect(page.getByTestId('pressure-preview')).toContainText('No swing in it.');
  await press(page, 'Leave it');
  await bring(
    good.replace(
      'left_load,left_along,right_load,right_along',
      'right_load,right_along,left_load,left_along',
    ),
  );
  await expect(page.getByText('The finish is on the trail foot: the feet look swapped.')).toBeVisible();
  await press(page, 'Swap the feet');
  await expect(page.getByText('The finish is on the trail foot: the feet look swapped.')).toHaveCount(0);
  await press(page, 'Take the swings');
  await expect(page.getByText('One swing')).toBeVisible();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    press(page, 'Save the swings as a file'),
  ]);
  const saved = readFileSync(await download.path(), 'utf8');
  await bring(saved);
  await expect(page.getByTestId('pressure-preview')).toContainText('1 swing in it.');
  await press(page, 'Take the swings');
  await expect(page.getByText('2 swings', { exact: true })).toBeVisible();
  await expect(page.getByText('Three swings tell a habit from a chance.')).toBeVisible();
});

test('a recording in whole milliseconds: a strike in a gap is left out, practice swings are asked about, each with a word', async ({
  page,
  product,
}) => {
  await openPressure(page, product, 'Bartolo Kettlesand');
  const scenes = [
    'steps in',
    'practice',
    'waggles',
    'swing',
    'practice',
    'swing',
    'swing',
    'steps off',
  ] as const;
  const { rows, swings } = written(5, scenes, { rate: 60, roundedTo: 1 });
  const { impact } = swings[swings.length - 1]!;
  const holed = rows.filter(([at], place) => place === 0 || Math.abs(Number(at) - impact) > 60);
  await bringRecording(page, holed.map((row) => row.join(',')).join('\n'));
  const preview = page.getByTestId('pressure-preview');
  await expect(preview).toContainText('at 60 frames a second. 4 swings in it.');
  await expect(preview).toContainText('1 swing is left out: frames are missing there.');
  await expect(preview).toContainText('Its times are in whole milliseconds');
  await press(page, 'Take the swings');
  await expect(page.getByText(/^Swings 1 and 3 are softer or slower/)).toBeVisible();
  await press(page, 'Yes, take them out');
  await expect(page.getByText('2 swings', { exact: true })).toBeVisible();
  await expect(page.getByText(/softer or slower/)).toHaveCount(0);
  await swing(page, 1).click();
  await page.getByRole('radio', { name: 'Strike', exact: true }).click();
  await expect(
    page.getByText('A mat tells the strike to about 30 ms. Move it where a film shows it.'),
  ).toBeVisible();
});

test('a recording whose columns say nothing is mapped once, and its swings take the paths of the shots they were', async ({
  page,
  product,
}) => {
  await openPressure(page, product, 'Bartolo Kettlesand');
  const [header, ...rows] = swingFile().split('\n');
  const unnamed = ['A;B;C;D;E', ...rows.map((row) => row.replaceAll(',', ';'))].join('\n');
  expect(header).toContain('left_load');
  const bring = () => bringRecording(page, unnamed);
  await bring();
  await expect(page.getByText(/^Line 1, time: expected time_ms/)).toBeVisible();
  const columns = page.getByTestId('pressure-columns');
  await expect(columns).toContainText('Still to be said: time, left foot load, left foot heel to toe');
  for (const [label, name] of [
    ['Time', 'A'],
    ['Left foot load', 'B'],
    ['Left foot heel to toe', 'C'],
    ['Right foot load', 'D'],
    ['Right foot heel to toe', 'E'],
  ] as const)
    await columns.getByLabel(label, { exact: true }).selectOption({ label: name });
  await press(page, 'Read it so');
  await expect(page.getByTestId('pressure-preview')).toContainText('1 swing in it.');
  await press(page, 'Take the swings');
  await expect(page.getByText('One swing')).toBeVisible();
  // The next file like it is read without a word.
  await bring();
  await expect(page.getByTestId('pressure-preview')).toContainText('1 swing in it.');
  await press(page, 'Take the swings');
  await expect(page.getByText('2 swings', { exact: true })).toBeVisible();

  // The monitor's own file of the same two shots, hit from the feet of this lesson.
  await step(page, 'feet');
  await agree(page, 'Paths and pressure.');
  await press(page, 'Record the change');
  await expect(page.getByText('On this device and on the server.')).toBeVisible({ timeout: 20_000 });
  await page.goto(`${product.origin}/students`);
  await student(page, 'Bartolo Kettlesand').click();
  await page.getByRole('link', { name: 'Shots: typed, from a file, or to one' }).click();
  const [shots] = await Promise.all([page.waitForEvent('filechooser'), press(page, 'Bring in a file …')]);
  const paths = Buffer.from('path (right +)\n-3.5\n-1\n');
  await shots.setFiles({ name: 'range.csv', mimeType: 'text/csv', buffer: paths });
  await press(page, 'Bring in 2 shots');
  await expect(page.getByText('2 shots brought in.')).toBeVisible();
  await page.goto(`${product.origin}/students`);
  await student(page, 'Bartolo Kettlesand').click();
  await press(page, 'Go on with the lesson');
  // The swings are those with this club, and stay with it whatever else is played meanwhile.
  for (const club of ['Driver', '7-iron']) {
    await step(page, 'club');
    await page.getByRole('radio', { name: club, exact: true }).click();
    await press(page, 'Place the feet');
    await step(page, 'pressure');
    if (club === 'Driver') await expect(page.getByText('2 swings', { exact: true })).toHaveCount(0);
  }
  await press(page, 'Take the paths of today’s 2 shots, in order');
  await expect(page.getByText('The paths are those of today’s shots.')).toBeVisible();
  await press(page, 'Keep the swings');
  await expect(page.getByText('Kept in the log.')).toBeVisible();
  await expect(page.getByTestId('status-strip')).toBeEmpty({ timeout: 20_000 });
  const kept = await product.sql<{ path: number; at: number; known: boolean }>(
    `select (swing ->> 'path')::float8 as path, (swing #>> '{shot,at}')::int as at, exists (
       select from shots_entry where id = (swing #>> '{shot,entryId}')::uuid) as known
     from pressure_entry, jsonb_array_elements(swings) as swing
     where ${ofStudent('Bartolo Kettlesand')} order by 2`,
  );
  expect(kept).toEqual([
    { path: -3.5, at: 0, known: true },
    { path: -1, at: 1, known: true },
  ]);
});

test('without a mat: a stripe in a video that never leaves the device, a broomstick, a lifted foot, each in the log', async ({
  page,
  product,
}) => {
  await signIn(page, product);
  await openLesson(page, 'Gunnar Oxthwaite', '7-iron');
  await step(page, 'ladder');
  const sent: string[] = [];
  page.on('request', (request) => request.method() !== 'GET' && sent.push(request.url()));
  await press(page, /^Stripe on the shoes/);
  const video = Buffer.from(await recordedVideo(page), 'base64');
  const [chooser] = await Promise.all([page.waitForEvent('filechooser'), press(page, 'Pick a video')]);
  await chooser.setFiles({ name: 'shoes.webm', mimeType: 'video/webm', buffer: video });
  await expect(page.getByTestId('stripe-video')).toBeVisible();
  const time = () =>
    page.getByTestId('stripe-video').evaluate((each) => (each as HTMLVideoElement).currentTime);
  await page.getByLabel('Place in the video').fill('0.2');
  const before = await time();
  await press(page, 'A frame on');
  await expect.poll(time).toBeGreaterThan(before);
  await press(page, 'Note the swing');
  await expect(page.getByText('Say of one stripe at least whether it was seen.')).toBeVisible();
  const foot = (name: string) => page.getByRole('radiogroup', { name });
  for (let swing = 0; swing < 2; swing += 1) {
    await foot('Trail foot’s stripe').getByRole('radio', { name: 'Seen' }).click();
    await page.getByRole('radio', { name: 'Top', exact: true }).click();
    await foot('Trail foot’s stripe').getByRole('radio', { name: 'Gone' }).click();
    await press(page, 'Note the swing');
  }
  await expect(page.getByTestId('test-found')).toContainText(
    'The trail foot goes to its toes going back. Seen in 2 of 2.',
  );
  await expect(page.getByTestId('test-found')).toContainText('less sure than a mat');
  expect(sent).toEqual([]);
  await press(page, 'Keep it');
  await press(page, 'All tests');
  await press(page, /^Broomstick/);
  for (const felt of ['Toes', 'Middle', 'Toes']) await press(page, felt);
  await expect(page.getByTestId('test-found')).toContainText('Felt under the toes, 2 of 3.');
  await press(page, 'Keep it');
  await press(page, 'All tests');
  await press(page, /^Lift the trail foot/);
  for (const result of ['It lifted', 'Fell back']) await press(page, result);
  await press(page, 'Keep it');
  await expect(page.getByText('Kept in the log.')).toBeVisible();
  await expect(page.getByTestId('status-strip')).toBeEmpty({ timeout: 20_000 });
  const kept = await product.sql<{ test: string }>(
    `select test from test_entry where test in ('stripe', 'broomstick', 'lift') and ${ofStudent('Gunnar Oxthwaite')}
     order by test`,
  );
  expect(kept.map(({ test: name }) => name)).toEqual(['broomstick', 'lift', 'stripe']);
});

/** A second of video, drawn and recorded by the browser itself; base64. */
const recordedVideo = (page: Page): Promise<string> =>
  page.evaluate(async () => {
    const canvas = Object.assign(document.createElement('canvas'), { width: 64, height: 48 });
    const paint = canvas.getContext('2d')!;
    const recorder = new MediaRecorder(canvas.captureStream(30), { mimeType: 'video/webm;codecs=vp8' });
    const parts: Blob[] = [];
    recorder.ondataavailable = ({ data }) => parts.push(data);
    const over = new Promise((resolve) => (recorder.onstop = resolve));
    recorder.start();
    for (let frame = 0; frame < 30; frame += 1) {
      paint.fillStyle = `hsl(${12 * frame} 80% 50%)`;
      paint.fillRect(0, 0, 64, 48);
      await new Promise((resolve) => setTimeout(resolve, 33));
    }
    recorder.stop();
    await over;
    const bytes = new Uint8Array(await new Blob(parts).arrayBuffer());
    return btoa(String.fromCharCode(...bytes));
  });

/** One plain swing as a file: back to the trail foot, down onto the lead one. */
function swingFile(): string {
  const within = (from: number, to: number, share: number) =>
    from + (to - from) * Math.min(1, Math.max(0, share));
  const rows = Array.from({ length: 480 }, (_, at) => {
    const time = 10 * at;
    const back = within(50, 20, (time - 1500) / 720);
    const down = within(20, 80, (time - 2220) / 330);
    const lead = time < 2220 ? back : time < 2550 ? down : within(80, 92, (time - 2550) / 750);
    const light = 0.12 * Math.exp(-(((time - 2300) / 60) ** 2));
    const pressing =
      time > 2300 && time < 2700
        ? 0.4 * Math.sin((Math.PI * (time - 2300)) / 250) * (time > 2550 ? 0.5 : 1)
        : 0;
    const load = 8000 * (1 - light + pressing);
    const trailAlong = within(50, 85, (time - 2400) / 900);
    return [time, (load * lead) / 100, 45, (load * (100 - lead)) / 100, trailAlong].join(',');
  });
  return ['time_ms,left_load,left_along,right_load,right_along', ...rows].join('\n');
}
