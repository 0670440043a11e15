import {
  deviceText,
  agree,
  expect,
  fillSignIn,
  openLesson,
  press,
  shellKept,
  signIn,
  step,
  student,
  test,
  typeFigure,
} from './product';

test.describe.configure({ mode: 'serial' });
test.use({ serviceWorkers: 'allow' });

test('two tabs of one coach see each other’s records, and each record is sent once', async ({
  page,
  product,
}) => {
  await signIn(page, product);
  const other = await page.context().newPage();
  await other.goto(`${product.origin}/`);
  await expect(other.getByRole('heading', { name: 'Students' })).toBeVisible();
  await press(page, 'Add a student');
  await page.getByLabel('Name').fill('Wyn Twotabs');
  await page.getByRole('radio', { name: 'Left-handed' }).click();
  await page.getByLabel('Year of birth').fill('1990');
  await page.getByLabel(/^Height/).fill('171');
  await press(page, 'Save and start a lesson');
  await expect(student(other, 'Wyn Twotabs')).toBeVisible();
  // The same lesson in both tabs: recorded in one, it is recorded in the other.
  await step(page, 'club');
  await page.getByRole('radio', { name: '7-iron', exact: true }).click();
  await press(page, 'Place the feet');
  await expect(page.getByTestId('plan')).toBeVisible();
  await other.goto(page.url());
  await page.bringToFront();
  await product.stop();
  await agree(page, 'Two tabs');
  await press(page, 'Record the change');
  await expect(other.getByTestId('status-strip')).toContainText('not sent yet');
  await product.start();
  await expect(page.getByTestId('status-strip')).toBeEmpty({ timeout: 40_000 });
  await expect(other.getByTestId('status-strip')).toBeEmpty({ timeout: 40_000 });
  const rows = await product.sql("select 1 from change_entry where reason = 'Two tabs'");
  expect(rows).toHaveLength(1);
  await other.close();
});

test.describe('before anything is kept for no signal', () => {
  // A service worker that is done in time would answer with the part that the server no longer has.
  test.use({ serviceWorkers: 'block' });

  test('an old tab after a deploy says so and goes on after a reload, with the lesson kept', async ({
    page,
    product,
    troubles,
  }) => {
    test.slow();
    await signIn(page, product);
    let gone = true;
    await page
      .context()
      .route(/lazyScreens-.*\.js$/, (route) =>
        gone ? route.fulfill({ status: 404, body: '' }) : route.continue(),
      );
    // The app reloads once by itself; the part is still gone then, and the coach is told.
    const reloaded = page.waitForEvent('load');
    await student(page, 'Odile Brandvold').click();
    await reloaded;
    await expect(page.getByText('A part of the app could not be loaded.')).toBeVisible();
    gone = false;
    await press(page, 'Reload');
    // The coach is back where the part was missing.
    await expect(page).toHaveURL(/\/students\/[0-9a-f-]+$/);
    await expect(page.getByRole('button', { name: 'Start a lesson' })).toBeVisible();
    // React reports the part that could not be loaded, and nothing else.
    for (const trouble of troubles.splice(0)) expect(trouble).toContain('lazyScreens');
  });
});

test('signing out with no signal: not undone by the next opening, and nothing is left to read', async ({
  page,
  product,
}) => {
  await signIn(page, product);
  await shellKept(page);
  await openLesson(page, 'Ferris Quillon', '8-iron');
  await typeFigure(page, 'stanceWidth', 'Width, heel to heel', '39.5');
  expect(await deviceText(page)).toContain('Ferris Quillon');
  await product.stop();
  await page.goto(`${product.origin}/settings`);
  await press(page, 'Sign out');
  await press(page, 'Sign out, keep them here');
  await expect(page.getByLabel('E-mail address')).toBeVisible();
  // The copies go while the sign-in is shown already.
  await expect.poll(async () => (await deviceText(page)).includes('Ferris Quillon')).toBe(false);
  expect((await deviceText(page)).includes('leadFlare')).toBe(false);
  await product.start();
  await page.goto(`${product.origin}/`);
  await expect(page.getByLabel('E-mail address')).toBeVisible();
  await expect.poll(() => deviceText(page)).not.toContain('signingOut');
  // The old session has ended on the server too.
  const who = await page.evaluate(() =>
    fetch('/api/session').then((answer) => answer.json() as Promise<unknown>),
  );
  expect(who).toBeNull();
  await fillSignIn(page);
  await expect(student(page, 'Ferris Quillon')).toContainText('lesson in progress');
});
