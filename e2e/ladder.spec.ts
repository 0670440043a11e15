import { expect, openLesson, press, shellKept, signIn, step, student, test } from './product';

test.use({ serviceWorkers: 'allow' });

test('a flare ladder: left-handed, by one thumb, broken off by a reload without a server, and the judgement goes by it', async ({
  page,
  product,
}) => {
  await signIn(page, product);
  await shellKept(page);
  await openLesson(page, 'Ferris Quillon', '7-iron');
  await step(page, 'ladder');
  const rung = page.getByTestId('rung-figure');
  for (let turn = 0; turn < 3; turn += 1) await press(page, 'Turned');
  /** Scores by a body that turns freely from 24° on. */
  const score = async () => {
    const degrees = Number((await rung.innerText()).replace('°', ''));
    await press(page, degrees >= 24 ? 'Did it' : 'Not yet');
    return degrees;
  };
  const stood: number[] = [];
  for (let turn = 0; turn < 6; turn += 1) stood.push(await score());
  expect(stood).toEqual([0, 10, 20, 30, 30, 20]);
  await product.stop();
  await page.waitForTimeout(400);
  await page.reload();
  await expect(page.getByText('Try 7, at most 15')).toBeVisible();
  // A wrong tap is taken back.
  await press(page, 'It hurts');
  await expect(page.getByText(/It hurts: stop here/)).toBeVisible();
  await expect(rung).toHaveCount(0);
  await press(page, 'Take the last one back');
  while (await rung.isVisible()) stood.push(await score());
  expect(stood.length).toBeLessThanOrEqual(15);
  await expect(page.getByTestId('ladder-found')).toContainText(/25°\. Could be (19|20)° to 2\d°\./);
  await press(page, /^Take it: trail flare 25/);
  await expect(page.getByText('Taken: from now on this student is judged by it.')).toBeVisible();
  await product.start();
  await expect(page.getByTestId('status-strip')).toBeEmpty({ timeout: 40_000 });
  const [kept] = await product.sql<{ item: string; low: number }>(
    'select item, low from exception_entry order by id desc limit 1',
  );
  expect(kept).toEqual({ item: 'trailFlare', low: 25 });
  const [logged] = await product.sql<{ turns: number }>(
    `select jsonb_array_length(turns) as turns from ladder_entry order by id desc limit 1`,
  );
  expect(logged!.turns).toBe(stood.length + 3);
  await step(page, 'read');
  await expect(page.getByText(/This student’s own: trail flare 25 to/).first()).toBeVisible();
});

test('a ladder that was kept is gone on with in the next lesson, warmed up anew, and tells what it told before', async ({
  page,
  product,
}) => {
  await signIn(page, product);
  await student(page, 'Gunnar Oxthwaite').click();
  await press(page, 'Start a lesson');
  await step(page, 'ladder');
  for (let turn = 0; turn < 3; turn += 1) await press(page, 'Turned');
  for (const result of ['Not yet', 'Not yet', 'Not yet', 'Did it']) await press(page, result);
  await press(page, 'Keep it for another day');
  await expect(page.getByText('Kept. It goes on from here within two weeks.')).toBeVisible();
  await expect(page.getByTestId('status-strip')).toBeEmpty({ timeout: 20_000 });
  await step(page, 'keep');
  await press(page, 'Finish the lesson');
  await page.goto(`${product.origin}/students`);
  await student(page, 'Gunnar Oxthwaite').click();
  await expect(page.getByTestId('ladder-card')).toContainText(/Trail flare, .*°\. Could be /);
  await press(page, 'Start a lesson');
  await step(page, 'ladder');
  await expect(page.getByTestId('ladder-earlier')).toContainText('Today goes on from there.');
  await expect(page.getByText('Warm up, 1 of 3')).toBeVisible();
  for (let turn = 0; turn < 3; turn += 1) await press(page, 'Turned');
  // Up to 30 it was done; so it goes down again from there.
  await expect(page.getByTestId('rung-figure')).toHaveText('30°');
});

test('what is barred is not offered to a minor, and scores that contradict each other are told', async ({
  page,
  product,
}) => {
  await signIn(page, product);
  await student(page, 'Pip Marrowby').click();
  await press(page, 'Start a lesson');
  await step(page, 'ladder');
  await expect(page.getByText(/stops short of its end/)).toBeVisible();
  for (let turn = 0; turn < 3; turn += 1) await press(page, 'Turned');
  const rung = page.getByTestId('rung-figure');
  for (let more = 0; more < 12; more += 1) await press(page, 'A step more');
  await expect(rung).toHaveText('30°');
  await press(page, 'Not yet');
  for (let less = 0; less < 8; less += 1) await press(page, 'A step less');
  await expect(rung).toHaveText('0°');
  await press(page, 'Did it');
  for (const result of ['Did it', 'Not yet']) await press(page, result);
  await expect(page.getByText(/0° did it, 30° did not\. Try one of them again\./)).toBeVisible();
});
