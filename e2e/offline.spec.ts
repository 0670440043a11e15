import {
  agree,
  expect,
  fillSignIn,
  figure,
  HARBOUR,
  LANTERN,
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
// The shell that opens with no server is what is tried here.
test.use({ serviceWorkers: 'allow' });

const landedFor = (
  product: { sql: <Row>(text: string, values?: unknown[]) => Promise<Row[]> },
  reason: string,
) =>
  product
    .sql<{ count: number }>('select count(*)::int as count from change_entry where reason = $1', [reason])
    .then((rows) => rows[0]!.count);

test('reload in the middle of a lesson loses nothing', async ({ page, product }) => {
  await signIn(page, product);
  await openLesson(page, 'Tamsin Wrenlow', '7-iron');
  await typeFigure(page, 'stanceWidth', 'Width, heel to heel', '39.5');
  await step(page, 'body');
  await expect(page.getByTestId('body-hipBump')).toBeVisible();
  await page.waitForTimeout(400);
  await page.reload();
  await expect(page.getByRole('tab', { name: 'Body', exact: true })).toHaveAttribute('aria-selected', 'true');
  await step(page, 'feet');
  await expect(figure(page, 'row-stanceWidth')).toHaveText('39.5 cm');
});

test('the server stopped and started during a save: said, tried again, landed once', async ({
  page,
  product,
}) => {
  await signIn(page, product);
  await shellKept(page);
  await openLesson(page, 'Ferris Quillon', '8-iron');
  await agree(page, 'Stopped and started.');
  await product.stop();
  await press(page, 'Record the change');
  await expect(page.getByTestId('status-strip')).toContainText(
    '5 entries not sent yet, no connection; trying again',
  );
  await expect(page.getByText('5 not sent yet, and going out by themselves.')).toBeVisible();
  await product.start();
  await expect(page.getByText('On this device and on the server.')).toBeVisible({ timeout: 40_000 });
  expect(await landedFor(product, 'Stopped and started.')).toBe(1);
});

test('reload and a closed tab while the server is stopped: the shell opens, the lesson is there, it lands once', async ({
  page,
  context,
  product,
}) => {
  await signIn(page, product);
  await shellKept(page);
  await openLesson(page, 'Gunnar Oxthwaite', '9-iron');
  await product.stop('SIGKILL');
  await typeFigure(page, 'stanceWidth', 'Width, heel to heel', '51.5');
  await agree(page, 'Made with no server.');
  await page.waitForTimeout(400);

  const address = page.url();
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'Reason' })).toHaveValue('Made with no server.');
  await press(page, 'Record the change');
  await expect(page.getByTestId('status-strip')).toContainText('not sent yet');

  await page.close();
  const reopened = await context.newPage();
  await reopened.goto(address);
  await expect(reopened.getByTestId('status-strip')).toContainText('5 entries not sent yet');
  await reopened.getByRole('button', { name: 'Finish the lesson' }).click();
  await expect(reopened.getByTestId('log-card').first()).toContainText('not sent yet');
  await expect(reopened.getByTestId('log-card').first()).toContainText('Made with no server.');

  await product.start();
  await expect(reopened.getByTestId('status-strip')).toHaveText('', { timeout: 40_000 });
  await expect(reopened.getByTestId('log-card').first()).not.toContainText('not sent yet');
  expect(await landedFor(product, 'Made with no server.')).toBe(1);
});

test('a student can be added and measured with no server', async ({ page, product }) => {
  await signIn(page, product);
  await shellKept(page);
  await product.stop();
  await press(page, 'Add a student');
  await page.getByLabel('Name').fill('Farley Fieldless');
  await page.getByRole('radio', { name: 'Left-handed' }).click();
  await page.getByLabel('Year of birth').fill('2001');
  await page.getByLabel('Height, cm').fill('181');
  await press(page, 'Save and start a lesson');
  await page.getByRole('radio', { name: '7-iron', exact: true }).click();
  await press(page, 'Place the feet');
  await expect(page.getByTestId('plan')).toBeVisible();
  await product.start();
  await expect(page.getByTestId('status-strip')).toHaveText('', { timeout: 40_000 });
  const rows = await product.sql(
    "select 1 from student join build on build.student_id = student.id where name = 'Farley Fieldless'",
  );
  expect(rows).toHaveLength(1);
});

test('the server killed after it had the entry and before the answer came: still once', async ({
  page,
  product,
}) => {
  await signIn(page, product);
  await openLesson(page, 'Bartolo Kettlesand', '9-iron');
  await agree(page, 'Answer lost.');
  // The entries reach the server; their answers are lost on the way back.
  let lost = 0;
  await page.route('**/api/entries', async (route) => {
    if (lost < 2) {
      lost += 1;
      await route.fetch();
      return route.abort();
    }
    return route.continue();
  });
  await press(page, 'Record the change');
  await expect(page.getByText('On this device and on the server.')).toBeVisible({ timeout: 40_000 });
  expect(lost).toBe(2);
  expect(await landedFor(product, 'Answer lost.')).toBe(1);
});

test('two coaches on one browser: an expired session keeps the outbox, nobody else sees or sends it', async ({
  page,
  product,
}) => {
  await signIn(page, product);
  await openLesson(page, 'Pip Marrowby', '9-iron');
  await agree(page, 'Kept for its owner.');
  await product.sql('update session set expires_at = now()');
  await press(page, 'Record the change');
  await expect(page.getByTestId('status-strip')).toContainText(
    'Signed out by the server. 5 entries kept here, not sent.',
  );

  // Another coach signs in on the same browser, and sees and sends nothing of it.
  await page.getByTestId('status-strip').getByRole('link').click();
  await fillSignIn(page, HARBOUR);
  await expect(student(page, 'Linnea Foxgrove')).toBeVisible();
  await expect(student(page, 'Pip Marrowby')).toHaveCount(0);
  await expect(page.getByTestId('status-strip')).toHaveText('');
  await page.goto(`${product.origin}/outbox`);
  await expect(page.getByText('Everything has been sent.')).toBeVisible();
  expect(await landedFor(product, 'Kept for its owner.')).toBe(0);
  await page.goto(`${product.origin}/settings`);
  let letThrough = (): void => undefined;
  const held = new Promise<void>((resolve) => (letThrough = resolve));
  await page.route('**/api/session', async (route) => {
    if (route.request().method() === 'DELETE') await held;
    await route.continue();
  });
  await press(page, 'Sign out');

  // Its owner comes back before the server has heard of the sign-out, and it goes out, once.
  await page.getByLabel('E-mail address').fill(LANTERN);
  letThrough();
  await page.waitForTimeout(500);
  await expect(page.getByLabel('E-mail address')).toHaveValue(LANTERN);
  await fillSignIn(page, LANTERN);
  await expect.poll(() => landedFor(product, 'Kept for its owner.'), { timeout: 30_000 }).toBe(1);
  await expect(page.getByTestId('status-strip')).toHaveText('');
});

test('signing out warns before it would leave something behind, and keeps it', async ({ page, product }) => {
  await signIn(page, product);
  await shellKept(page);
  await openLesson(page, 'Wilhelmina', '5-iron');
  await agree(page, 'Left behind.');
  await product.stop();
  await press(page, 'Record the change');
  await expect(page.getByTestId('status-strip')).toContainText('not sent yet');
  await page.goto(`${product.origin}/settings`);
  await press(page, 'Sign out');
  await expect(page.getByText('5 not sent yet, 1 lesson in progress')).toBeVisible();
  await press(page, 'Stay signed in');
  await press(page, 'Sign out');
  await press(page, 'Sign out, keep them here');
  await expect(page.getByLabel('E-mail address')).toBeVisible();
  await product.start();
  await fillSignIn(page);
  await expect.poll(() => landedFor(product, 'Left behind.'), { timeout: 30_000 }).toBe(1);
});

test('an edit from an older version is refused with what changed, and waits for the coach', async ({
  page,
  product,
}) => {
  await signIn(page, product);
  await shellKept(page);
  // On a slow line the student's newest arrives while the coach types.
  let letThrough = (): void => undefined;
  const held = new Promise<void>((resolve) => (letThrough = resolve));
  await page.route(/\/api\/students\/[0-9a-f-]{36}/, async (route) => {
    await held;
    await route.continue();
  });
  await student(page, 'Ruben Dandelisle').click();
  await page.getByRole('link', { name: 'Edit' }).click();
  const told = page.getByLabel('Note: pain, surgery, what to leave alone');
  await told.fill('Told me');
  await product.sql(
    "update student set cautions = 'Told somebody else', version = version + 1 where name = 'Ruben Dandelisle'",
  );
  const newest = page.waitForResponse(/\/api\/students\/[0-9a-f-]{36}/);
  letThrough();
  await (await newest).finished();
  await page.waitForTimeout(300);
  await expect(told).toHaveValue('Told me');
  await press(page, 'Save');
  await expect(page.getByTestId('status-strip')).toContainText('1 entry refused');
  await page.getByTestId('status-strip').getByRole('link').click();
  await expect(page.getByText('This was changed by somebody else since')).toBeVisible();
  await expect(page.getByText(/Told somebody else/)).toBeVisible();
  await press(page, 'Throw away …');
  await press(page, 'Yes, throw it away');
  await expect(page.getByText('Everything has been sent.')).toBeVisible();
  await page.goto(`${product.origin}/students`);
  await expect(student(page, 'Ruben Dandelisle')).toContainText('Told somebody else');

  // The other way out: the coach's own over what it is now.
  await student(page, 'Ruben Dandelisle').click();
  await page.getByRole('link', { name: 'Edit' }).click();
  const cautions = page.getByLabel('Note: pain, surgery, what to leave alone');
  await expect(cautions).toHaveValue('Told somebody else');
  await cautions.fill('Told me at last');
  await product.sql(
    "update student set birth_year = 2001, version = version + 1 where name = 'Ruben Dandelisle'",
  );
  await press(page, 'Save');
  await page.getByTestId('status-strip').getByRole('link').click();
  await press(page, 'Put mine over it');
  await expect(page.getByText('Everything has been sent.')).toBeVisible();
  const rows = await product.sql("select cautions from student where name = 'Ruben Dandelisle'");
  expect(rows).toEqual([{ cautions: 'Told me at last' }]);
});
