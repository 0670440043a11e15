import AxeBuilder from '@axe-core/playwright';
import type { Browser, BrowserContext, Page } from '@playwright/test';
import {
  agreedOf,
  expect,
  ofStudent,
  openCard,
  ownFile,
  press,
  shellKept,
  signIn,
  student,
  takeFile,
  test,
  type Product,
} from './product';

/** Makes a link to the card that is open, and answers it once the server has it. */
async function linkOf(page: Page): Promise<string> {
  await press(page, 'Keep it and make a link');
  const link = await page.getByTestId('card-link').innerText();
  await expect(page.getByTestId('status-strip')).toBeEmpty();
  return link;
}

/** Signs in and sends a student's newest card, whichever club it is by now; answers the link and the club. */
async function sent(page: Page, product: Product, name: string): Promise<{ link: string; club: string }> {
  await signIn(page, product);
  await openCard(page, product, name);
  const club = await page.getByTestId('card-view').getByRole('heading', { level: 1 }).innerText();
  return { link: await linkOf(page), club };
}

/** A student's phone: another browser, with nothing of the academy in it. */
async function phoneOf(browser: Browser, options = {}): Promise<{ context: BrowserContext; phone: Page }> {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, ...options });
  return { context, phone: await context.newPage() };
}

const CLOSED = 'This card is not open. Ask your coach for a new one.';

test('a left-hander’s card is sent, read with no account, ticked, and hurts; then it is revoked', async ({
  page,
  product,
  browser,
}) => {
  await signIn(page, product);
  await openCard(page, product, 'Ferris Quillon');
  await expect(page.getByTestId('card-view')).not.toContainText(/\b(lead|trail)\b/i);
  const club = await page.getByTestId('card-view').getByRole('heading', { level: 1 }).innerText();
  const link = await linkOf(page);

  const { context, phone } = await phoneOf(browser);
  const asked: string[] = [];
  const addresses: string[] = [];
  phone.on('request', (request) => {
    asked.push(new URL(request.url()).origin);
    addresses.push(request.url());
  });
  await phone.goto(link);
  await expect(phone.getByRole('heading', { name: club })).toBeVisible();
  await expect(phone.getByText('It will look odd from up there. It is right.')).toBeVisible();
  await expect(phone.getByText(/^Ferris, agreed/)).toBeVisible();
  const said = await phone.locator('body').innerText();
  expect(said).not.toContain('Quillon');
  expect(said).not.toMatch(/\b(lead|trail) (foot|toe|heel)\b/i);
  expect([...new Set(asked)]).toEqual([product.origin]);
  // The secret stays in the fragment and in bodies: no address that is asked for has it.
  const secret = link.split('#')[1]!;
  expect(addresses.filter((address) => address.split('#')[0]!.includes(secret))).toEqual([]);
  expect(await context.cookies()).toEqual([]);
  const { violations } = await new AxeBuilder({ page: phone }).analyze();
  expect(violations.map(({ id, nodes }) => [id, nodes.map(({ target }) => target)])).toEqual([]);

  await phone.getByRole('button', { name: 'Tick a round' }).click();
  await phone.getByRole('button', { name: 'Tick a round' }).click();
  await expect(phone.getByText('Today: 2 rounds done.')).toBeVisible();
  await page.reload();
  await expect(page.getByText(/Ticked on 1 day, 2 rounds in all\./)).toBeVisible();
  await expect(page.getByText(/^Opened 1 time, last on/)).toBeVisible();
  await phone.getByRole('button', { name: 'It hurts' }).click();
  await expect(phone.getByText('Stop for today.')).toBeVisible();
  await expect(phone.getByRole('button', { name: 'Tick a round' })).toHaveCount(0);
  await page.goto(`${product.origin}/students`);
  await expect(page.getByTestId('today')).toContainText(/Ticked on .* that it hurts/);

  // Pressed by mistake: taken back, and the card goes on.
  await phone.getByRole('button', { name: 'It does not hurt, I pressed by mistake' }).click();
  await expect(phone.getByText('Today: 2 rounds done.')).toBeVisible();
  await student(page, 'Ferris Quillon').click();
  await expect(page.getByText(/ticked, and taken back by the student\./)).toBeVisible();
  await expect(page.getByTestId('pain-to-ask')).toHaveCount(0);

  // It does hurt: the page that is open says so by itself, the lesson too, until somebody has asked.
  await phone.getByRole('button', { name: 'It hurts' }).click();
  await expect(page.getByTestId('pain-to-ask')).toBeVisible({ timeout: 10_000 });
  await expect(page.getByText(/Not asked yet\./)).toBeVisible();
  await page
    .getByRole('button', { name: /lesson$/ })
    .first()
    .click();
  await expect(page.getByTestId('pain-to-ask')).toContainText(/^▲It hurts, ticked on .* Ask first\./);
  await page.getByRole('button', { name: 'It was nothing' }).click();
  await expect(page.getByTestId('pain-to-ask')).toHaveCount(0);
  await page.goto(`${product.origin}/students`);
  await expect(page.getByTestId('today')).not.toContainText(/Ticked on .* that it hurts/);

  await openCard(page, product, 'Ferris Quillon');
  await page.getByRole('button', { name: 'Revoke' }).first().click();
  await expect(page.getByText(/lets go of it at its next contact/)).toBeVisible();
  await phone.reload();
  await expect(phone.getByText(CLOSED)).toBeVisible();
  expect(await phone.evaluate(() => localStorage.length)).toBe(0);
  await phone.goto(`${product.origin}/card/#AAAAAAAAAAAAAAAAAAAAAA`);
  await expect(phone.getByText(CLOSED)).toBeVisible();
  await context.close();
});

test('a card that has all the rounds it can keep says so, and counts no more', async ({
  page,
  product,
  browser,
}) => {
  const { link } = await sent(page, product, 'Odile Brandvold');
  await product.sql(
    `insert into card_tick (academy_id, id, student_id, card_id, ticked_on, rounds, hurts, received_at)
     select academy_id, gen_random_uuid(), student_id, card_id, current_date - 1, 1, false, now()
     from (select * from card_link where ${ofStudent('Odile Brandvold')} order by received_at desc limit 1) as link,
       generate_series(1, 2000)`,
  );
  const { context, phone } = await phoneOf(browser);
  await phone.goto(link);
  const full = phone.getByText('This card has all the rounds it can keep. Ask your coach for a new one.');
  await expect(full).toHaveCount(0);
  await phone.getByRole('button', { name: 'Tick a round' }).click();
  await expect(full).toBeVisible();
  await expect(phone.getByText(/^Today: /)).toHaveCount(0);
  await context.close();
});

test('a minor’s link waits for a guardian', async ({ page, product }) => {
  await signIn(page, product);
  await openCard(page, product, 'Pip Marrowby');
  await expect(page.getByText(/Note the guardian’s word first/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Keep it and make a link' })).toHaveCount(0);
});

test('before and after go on a card with the student’s own yes, and come off it when that is withdrawn', async ({
  page,
  product,
  browser,
}) => {
  await signIn(page, product);
  await openCard(page, product, 'Tamsin Wrenlow');
  await page.getByRole('checkbox', { name: 'Photos, before and after' }).click();
  await expect(page.getByTestId('card-photos').getByRole('img')).toHaveCount(2);
  const link = await linkOf(page);
  const { context, phone } = await phoneOf(browser);
  await phone.goto(link);
  await expect(phone.getByRole('img', { name: /^Your feet from above, / })).toHaveCount(2);
  const widths = phone.getByRole('row', { name: /Width, heel to heel/ });
  // As the stand-in camera rendered them: 349 mm, then 267.
  await expect(widths).toContainText(/34\.\d\scm\s*26\.\d\scm|13\.\d+\sin\s*10\.\d+\sin/);
  await expect(phone.locator('body')).not.toContainText('Wrenlow');
  const { violations } = await new AxeBuilder({ page: phone }).analyze();
  expect(violations.map(({ id, nodes }) => [id, nodes.map(({ target }) => target)])).toEqual([]);
  // Seen once, they stay for where there is no signal.
  await context.setOffline(true);
  await phone.evaluate(() => dispatchEvent(new Event('online')));
  await expect(phone.getByText(/No connection\. This is the card/)).toBeVisible();
  await expect(phone.getByRole('img', { name: /^Your feet from above, / })).toHaveCount(2);
  await context.setOffline(false);
  const { student } = await agreedOf(product, 'Tamsin Wrenlow');
  await page.goto(`${product.origin}/students/${student}/privacy`);
  await page.getByRole('radio', { name: 'Photos too' }).click();
  await press(page, 'Note the yes');
  await expect(page.getByTestId('consent')).toContainText(/Photos too\./);
  await expect(page.getByTestId('status-strip')).toBeEmpty();
  await phone.reload();
  await expect(phone.getByText(/It will look odd/)).toBeVisible();
  await expect(phone.getByRole('img', { name: /^Your feet from above, / })).toHaveCount(0);
  await openCard(page, product, 'Tamsin Wrenlow');
  await expect(page.getByText('Photos on a card need the student’s own yes.')).toBeVisible();
  await context.close();
});

test('a coach’s choices stand on the card, are kept, and what the student holds is brought up to date', async ({
  page,
  product,
  browser,
}) => {
  const { link } = await sent(page, product, 'Gunnar Oxthwaite');
  const { context, phone } = await phoneOf(browser);
  await phone.goto(link);
  await expect(phone.getByText('Hover the club')).toHaveCount(0);
  await page.getByRole('checkbox', { name: 'Hover the club' }).click();
  await page.getByRole('radiogroup', { name: 'Days a week' }).getByRole('radio', { name: '5' }).click();
  await expect(page.getByTestId('card-view')).toContainText('Hover the club');
  await press(page, 'Keep it as it is now');
  await expect(page.getByText('Kept. Send it, print it, or change it later.')).toBeVisible();
  await expect(page.getByTestId('status-strip')).toBeEmpty();
  await phone.reload();
  await expect(phone.getByText('Hover the club')).toBeVisible();
  await expect(phone.getByText('5 days a week')).toBeVisible();
  await expect(phone.getByText(/Your coach brought this up to date on/)).toBeVisible();
  await context.close();
});

test.describe('where the phone keeps it', () => {
  test('opens with no connection, keeps what is ticked, and lets go of it when its time is over', async ({
    page,
    product,
    browser,
  }) => {
    const { link, club } = await sent(page, product, 'Tamsin Wrenlow');
    const { context, phone } = await phoneOf(browser, { serviceWorkers: 'allow' });
    await phone.goto(link);
    await expect(phone.getByRole('heading', { name: club })).toBeVisible();
    await shellKept(phone);
    await product.stop();
    await phone.reload();
    await expect(phone.getByRole('heading', { name: club })).toBeVisible();
    await expect(phone.getByText(/No connection\. This is the card as your phone keeps it/)).toBeVisible();
    await phone.getByRole('button', { name: 'Tick a round' }).click();
    await expect(phone.getByText('What you ticked goes out with the next connection.')).toBeVisible();
    await product.start();
    await phone.reload();
    await expect(phone.getByText('Today: 1 round done.')).toBeVisible();
    await expect(phone.getByText('What you ticked goes out')).toHaveCount(0);
    await product.stop();
    await phone.clock.setFixedTime(new Date('2090-01-01T12:00:00Z'));
    await phone.reload();
    await expect(phone.getByText('No connection. Open it again where there is one.')).toBeVisible();
    expect(await phone.evaluate(() => localStorage.length)).toBe(0);
    await product.start();
    await context.close();
  });

  test('a browser that holds the app opens a card as a card', async ({ page, product, browser }) => {
    const { link, club } = await sent(page, product, 'Odile Brandvold');
    const { context, phone } = await phoneOf(browser, { serviceWorkers: 'allow' });
    await context.addCookies([await product.sessionOf('coach@lanternhill.example')]);
    await phone.goto(`${product.origin}/`);
    await expect(phone.getByRole('heading', { name: 'Students' })).toBeVisible();
    await shellKept(phone);
    await phone.goto(link);
    await expect(phone.getByRole('button', { name: 'Tick a round' })).toBeVisible();
    await expect(phone.getByRole('heading', { name: club })).toBeVisible();
    await phone.goto(`${product.origin}/students`);
    await expect(phone.getByRole('heading', { name: 'Students' })).toBeVisible();
    await context.close();
  });
});

/** The words of each page of a PDF, read by a library that had no part in making it. */
async function wordsOf(pdf: Buffer): Promise<string[]> {
  const { getDocument } = await import('pdfjs-dist/legacy/build/pdf.mjs');
  const document = await getDocument({ data: new Uint8Array(pdf), verbosity: 0 }).promise;
  const pages = Array.from({ length: document.numPages }, async (_, at) => {
    const { items } = await (await document.getPage(at + 1)).getTextContent();
    return items.map((item) => ('str' in item ? item.str : '')).join(' ');
  });
  return (await Promise.all(pages)).map((text) => text.replace(/\s+/g, ' '));
}

test('on paper it is one side, A4 and Letter, for a left-hander and for a sore knee, each with a whole bag', async ({
  page,
  product,
  browser,
}) => {
  await signIn(page, product);
  for (const name of ['Ferris Quillon', 'Bartolo Kettlesand']) {
    await openCard(page, product, name);
    await page.getByRole('checkbox', { name: 'With the other clubs that have a card' }).click();
    const link = await linkOf(page);
    const { context, phone } = await phoneOf(browser);
    await phone.goto(link);
    await expect(phone.getByText('It will look odd from up there. It is right.')).toBeVisible();
    const [sentence] = await phone.locator('.card-sentence').allInnerTexts();
    for (const format of ['A4', 'Letter'] as const) {
      const pages = await wordsOf(await phone.pdf({ format }));
      expect([name, format, pages.length]).toEqual([name, format, 1]);
      for (const words of [sentence!, 'It will look odd', 'If it hurts, stop', 'Check before you swing'])
        expect(pages[0]).toContain(words.replace(/\s+/g, ' '));
      expect(pages[0]).not.toContain('Tick a round');
    }
    await context.close();
  }
});

test('a drill of one’s own: written, offered where it fits, out as a file and in again, a spoilt one refused', async ({
  page,
  product,
}) => {
  await signIn(page, product);
  await page.goto(`${product.origin}/drills`);
  await press(page, 'Write a drill');
  await press(page, 'Save the drill');
  await expect(page.getByText(/^▲ Name: expected/)).toBeVisible();
  await page.getByLabel('Name').fill('Penny under the toe');
  await page.getByLabel('How it is done').fill('A penny under the lead toe; leave it there.');
  await page.getByLabel('How many').fill('Ten balls.');
  for (const thing of ['Lead foot', 'Trail foot', 'Line', 'Width', 'Load', 'Ball'])
    await page.getByRole('checkbox', { name: thing, exact: true }).click();
  await press(page, 'Save the drill');
  const own = page.getByTestId('drill').first();
  await expect(own).toContainText('Penny under the toe');
  await expect(page.getByTestId('status-strip')).toBeEmpty();

  await openCard(page, product, 'Tamsin Wrenlow');
  await page.getByRole('checkbox', { name: 'Penny under the toe' }).click();
  await expect(page.getByTestId('card-view')).toContainText('A penny under the left toe; leave it there.');

  await page.goto(`${product.origin}/drills`);
  const text = await ownFile(page);
  const bring = (contents: string) => takeFile(page, 'drills.json', contents);
  await bring(text.replace('"Penny under the toe"', '""'));
  await expect(page.getByText('The file was not taken. Nothing has changed.')).toBeVisible();
  await expect(page.getByText(/^Line \d+, drills\.0\.name: expected/)).toBeVisible();
  await press(page, 'Take out Penny under the toe');
  await expect(page.getByText('None yet. Write one, or take some from a file.')).toBeVisible();
  await bring(text);
  await expect(page.getByTestId('drill').first()).toContainText('Penny under the toe');
  await expect(page.getByText('The file was not taken')).toHaveCount(0);
  await press(page, 'Take out Penny under the toe');
  await expect(page.getByTestId('status-strip')).toBeEmpty();
});
