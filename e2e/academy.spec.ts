import type { BrowserContext, Page } from '@playwright/test';
import { expect, LONG_PASSWORD as LONG, press, startAcademy, student, test, type Product } from './product';

const openAcademy = async (page: Page, product: Product) => {
  await page.goto(`${product.origin}/settings`);
  await press(page, 'Colleagues and keys');
  await expect(page.getByTestId('people')).toBeVisible();
};

/** A link for a colleague, as the owner's screen shows it once. */
async function linkOf(page: Page): Promise<string> {
  await press(page, 'Make a link: instructor');
  return page.getByTestId('link-once').innerText();
}

async function join(context: BrowserContext, link: string, email: string): Promise<Page> {
  const page = await context.newPage();
  await page.goto(link);
  await expect(page.getByText('Dot Example invites you to Windy Tee as an instructor.')).toBeVisible();
  await page.getByLabel('Your name').fill('Eve Example');
  await page.getByLabel('E-mail address').fill(email);
  await page.getByLabel('Password').fill(LONG);
  await press(page, 'Join');
  await expect(page.getByRole('heading', { name: 'Students' })).toBeVisible();
  return page;
}

test('an academy of one’s own: bad input is named, then it is there, empty, with the chosen school first', async ({
  page,
  product,
}) => {
  await page.goto(`${product.origin}/start`);
  await press(page, 'Start');
  await expect(page.getByText('Academy: expected a name, found nothing')).toBeVisible();
  await page.getByLabel('Academy, or your own name').fill('Windy Tee');
  await page.getByLabel('Your name').fill('Dot Example');
  await page.getByLabel('E-mail address').fill('dot@windy.example');
  await page.getByLabel('Password').fill('short');
  await press(page, 'Start');
  await expect(page.getByText('Password: expected at least 10 signs, found 5')).toBeVisible();
  await page.getByLabel('Password').fill('qwertyuiop');
  await press(page, 'Start');
  await expect(page.getByText(/Password: expected a password that few others have/)).toBeVisible();
  await expect(page.getByLabel('E-mail address')).toHaveValue('dot@windy.example');

  await startAcademy(page, product, 'dot@windy.example');
  await expect(student(page, 'Odile')).toHaveCount(0);
  await page.goto(`${product.origin}/methods`);
  await expect(page.getByRole('link', { name: /Free the hips/ }).first()).toBeVisible();
  const [first] = await product.sql<{ name: string }>(
    `select house_method.name from house_method join academy on academy.id = house_method.academy_id
     where academy.name = 'Windy Tee' order by house_method.made_at limit 1`,
  );
  expect(first!.name).toBe('Free the hips');
});

/** Both change one student from what they saw: the second is told, and nothing of either is lost. */
async function bothEdit(host: Page, eve: Page, product: Product): Promise<void> {
  await host.goto(`${product.origin}/students`);
  await press(host, 'Add a student');
  await host.getByLabel('Name').fill('Ina Bothtaught');
  await host.getByRole('radio', { name: 'Left-handed' }).click();
  await host.getByLabel('Year of birth').fill('1988');
  // The browser's own units: inches.
  await host.getByLabel(/^Height/).fill('67');
  await press(host, /^Save$/);
  const landed = () =>
    product.sql(
      "select 1 from build join student on student.id = build.student_id where student.name = 'Ina Bothtaught'",
    );
  await expect.poll(landed).toHaveLength(1);
  await eve.goto(`${product.origin}/students`);
  await student(eve, 'Ina Bothtaught').click();
  const edit = async (page: Page, words: string) => {
    await page.getByRole('link', { name: 'Edit' }).click();
    await page.getByLabel('Note: pain, surgery, what to leave alone').fill(words);
  };
  await edit(host, 'Told the host');
  await edit(eve, 'Told Eve');
  await press(host, /^Save$/);
  const cautions = () => product.sql("select cautions from student where name = 'Ina Bothtaught'");
  await expect.poll(cautions).toEqual([{ cautions: 'Told the host' }]);
  await press(eve, /^Save$/);
  await eve.getByTestId('status-strip').getByRole('link').click();
  await expect(eve.getByText('This was changed by somebody else since')).toBeVisible();
  await expect(eve.getByText(/Told the host/)).toBeVisible();
  expect(await cautions()).toEqual([{ cautions: 'Told the host' }]);
  await press(eve, 'Put mine over it');
  await expect(eve.getByText('Everything has been sent.')).toBeVisible();
}

test('two coaches in two browsers: invited, both in, and access ended at once', async ({
  page,
  browser,
  product,
}) => {
  await startAcademy(page, product, 'host@windy.example');
  await openAcademy(page, product);
  const link = await linkOf(page);
  const other = await browser.newContext();
  const eve = await join(other, link, 'eve@windy.example');
  // The link works once.
  const late = await other.newPage();
  await late.goto(`${product.origin}/sign-in`);
  await late.goto(link);
  await expect(late.getByText(/This invitation is not open/)).toBeVisible();
  await late.close();

  await bothEdit(page, eve, product);
  await openAcademy(page, product);
  await expect(page.getByTestId('colleague')).toHaveCount(2);
  await press(page, 'End access of Eve Example');
  await expect(page.getByText(/signed out everywhere at once/)).toBeVisible();
  await press(page, 'End it');
  await expect(page.getByTestId('colleague').last()).toContainText('access ended');
  await eve.reload();
  await expect(eve.getByText(/An owner has ended your access\. Nothing was waiting/)).toBeVisible();
  await other.close();
});

test('the password is changed, and other sessions end with it', async ({ page, browser, product }) => {
  await startAcademy(page, product, 'keys@windy.example');
  const other = await browser.newContext();
  const elsewhere = await other.newPage();
  await elsewhere.goto(`${product.origin}/`);
  await elsewhere.getByLabel('E-mail address').fill('keys@windy.example');
  await elsewhere.getByLabel('Password').fill(LONG);
  await press(elsewhere, 'Sign in');
  await expect(elsewhere.getByRole('heading', { name: 'Students' })).toBeVisible();
  await openAcademy(page, product);
  await expect(page.getByRole('button', { name: 'End this session' })).toHaveCount(1);
  await page.getByLabel('Password now').fill('not this one');
  await page.getByLabel('New password').fill('heels under the hips');
  await press(page, 'Change the password');
  await expect(page.getByText(/Expected your password as it is now/)).toBeVisible();
  await page.getByLabel('Password now').fill(LONG);
  await press(page, 'Change the password');
  await expect(page.getByText('Changed. Every other session has ended', { exact: false })).toBeVisible();
  await elsewhere.reload();
  await expect(elsewhere.getByText(/Signed out by the server/)).toBeVisible();
  await other.close();
});

test('a colleague who forgot the password sets a new one by the link an owner hands over', async ({
  page,
  browser,
  product,
}) => {
  await startAcademy(page, product, 'helper@windy.example');
  await openAcademy(page, product);
  const other = await browser.newContext();
  const eve = await join(other, await linkOf(page), 'forgetful@windy.example');
  await openAcademy(page, product);
  await press(page, 'New password for Eve Example');
  const link = await page.getByTestId('link-once').innerText();
  const set = await other.newPage();
  await set.goto(link);
  await expect(set.getByText('For Eve Example, Windy Tee.')).toBeVisible();
  await set.getByLabel('New password', { exact: true }).fill('short');
  await press(set, 'Set it');
  await expect(set.getByText('New password: expected at least 10 signs, found 5')).toBeVisible();
  await set.getByLabel('New password', { exact: true }).fill('one shoe and a quarter back');
  await press(set, 'Set it');
  await expect(set.getByText(/sign in with the new one/)).toBeVisible();
  await eve.reload();
  await expect(eve.getByText(/Signed out by the server/)).toBeVisible();
  await other.close();
});

test('a coach who forgot the password comes back by a recovery code, once', async ({ page, product }) => {
  await startAcademy(page, product, 'codes@windy.example');
  await openAcademy(page, product);
  await page.getByLabel('Your password, to make codes').fill(LONG);
  await press(page, 'Make new codes');
  const codes = (await page.getByTestId('codes-once').innerText()).split('\n').filter(Boolean);
  expect(codes).toHaveLength(8);
  await page.goto(`${product.origin}/settings`);
  await press(page, 'Sign out');
  await page.getByRole('link', { name: 'Forgot the password?' }).click();
  const recover = async (code: string) => {
    await page.getByLabel('E-mail address').fill('codes@windy.example');
    await page.getByLabel('Recovery code').fill(code);
    await page.getByLabel('New password').fill('heels under the hips again');
    await press(page, 'Set the password');
  };
  await recover('AAAA-AAAA-AAAA-AAAA');
  await expect(page.getByText('The e-mail address or the code is not right')).toBeVisible();
  await recover(codes[3]!.toLowerCase());
  await expect(page.getByText(/Set\. Every session has ended/)).toBeVisible();
  await page.getByRole('link', { name: 'Sign in' }).click();
  await page.getByLabel('E-mail address').fill('codes@windy.example');
  await page.getByLabel('Password').fill('heels under the hips again');
  await press(page, 'Sign in');
  await expect(page.getByRole('heading', { name: 'Students' })).toBeVisible();
  // The day tells what was done with keys, until it is looked through.
  await page.setViewportSize({ width: 1280, height: 800 });
  const told = page.getByTestId('today').getByRole('link', { name: /Keys, access, consent/ });
  await expect(told).toContainText('Keys, access, consent: 2 new');
  // Whoever opens the page for something else has not looked through it.
  await page.goto(`${product.origin}/academy`);
  await expect(page.getByTestId('act').first()).toContainText('came back by a recovery code');
  await page.goto(`${product.origin}/students`);
  await told.click();
  await expect(page.getByTestId('act').first()).toBeInViewport();
  await expect(page.getByTestId('act').first()).toContainText('came back by a recovery code');
  await page.goBack();
  await expect(page.getByRole('heading', { name: 'Students' })).toBeVisible();
  await expect(told).toHaveCount(0);
});

test('a sign-in that is used in another browser and network shows the password again before a file is saved', async ({
  page,
  product,
}) => {
  await startAcademy(page, product, 'moved@windy.example');
  // As if it had begun elsewhere.
  await product.sql(
    `update session set device = 'Another browser', network = sha256('another network')
     from instructor where instructor.id = session.instructor_id and instructor.email = 'moved@windy.example'`,
  );
  await page.goto(`${product.origin}/data`);
  await expect(page.getByText('Type your password once more')).toBeVisible();
  await page.getByLabel('Your password').fill('another');
  await press(page, 'It is me');
  await expect(page.getByText(/Expected your password as it is now/)).toBeVisible();
  await page.getByLabel('Your password').fill(LONG);
  await press(page, 'It is me');
  await expect(page.getByTestId('confirm-here')).toHaveCount(0);
  const saved = page.waitForEvent('download');
  await press(page, 'Everything, one file');
  expect((await saved).suggestedFilename()).toMatch(/records.*\.jsonl$/);
});
