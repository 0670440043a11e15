import { readFileSync } from 'node:fs';
import type { Download, Page } from '@playwright/test';
import { expect, HARBOUR, press, signIn, startAcademy, student, test, type Product } from './product';

/** A student of this test's own, minor and left-handed, so that nobody else's are touched. */
async function newMinor(page: Page, name: string): Promise<string> {
  await press(page, 'Add a student');
  await page.getByLabel('Name').fill(name);
  await page.getByRole('radio', { name: 'Left-handed' }).click();
  await page.getByLabel('Year of birth').fill('2014');
  await page.getByLabel(/^Height/).fill('148');
  await press(page, /^Save$/);
  await expect(page.getByRole('heading', { name })).toBeVisible();
  await expect(page.getByTestId('status-strip')).toBeEmpty();
  return /students\/([0-9a-f-]+)/.exec(page.url())![1]!;
}

const privacyOf = async (page: Page, product: Product, id: string) => {
  await page.goto(`${product.origin}/students/${id}/privacy`);
  await expect(page.getByTestId('consent')).toBeVisible();
};

async function saved(page: Page, name: string): Promise<{ download: Download; text: string }> {
  const [download] = await Promise.all([page.waitForEvent('download'), press(page, name)]);
  return { download, text: readFileSync(await download.path(), 'utf8') };
}

async function choose(page: Page, button: string, name: string, text: string): Promise<void> {
  const [chooser] = await Promise.all([page.waitForEvent('filechooser'), press(page, button)]);
  await chooser.setFiles({ name, mimeType: 'text/plain', buffer: Buffer.from(text) });
}

test('a guardian’s yes is noted with no connection, and sent when there is one', async ({
  page,
  product,
}) => {
  await signIn(page, product);
  const id = await newMinor(page, 'Ivo Guardedly');
  await privacyOf(page, product, id);
  await expect(page.getByText('A guardian has to say yes')).toBeVisible();
  await press(page, 'Note the yes');
  await expect(page.getByText('Name of the guardian: expected one, found nothing')).toBeVisible();
  await product.stop();
  await page.getByLabel('Name of the guardian').fill('Una Guardedly');
  await page.getByRole('radio', { name: 'Photos too' }).click();
  await press(page, 'Note the yes');
  await expect(page.getByText(/Una Guardedly said yes on .* Photos too\./)).toBeVisible();
  await product.start();
  await expect(page.getByTestId('status-strip')).toBeEmpty({ timeout: 40_000 });
  const [row] = await product.sql<{ guardian: string; photos: boolean }>(
    'select guardian, photos from consent where student_id = $1',
    [id],
  );
  expect(row).toEqual({ guardian: 'Una Guardedly', photos: true });
});

test('one student is handed their data and another is erased: asked twice, taken back, then gone from every device', async ({
  page,
  product,
  browser,
}) => {
  test.slow();
  await signIn(page, product);
  const name = 'Oda Leavesoon';
  const id = await newMinor(page, name);
  // Another device of the academy has the student too.
  const elsewhere = await (await browser.newContext()).newPage();
  await signIn(elsewhere, product);
  await expect(student(elsewhere, name)).toBeVisible();
  // Put away until all is over: it learns of it when it is taken out again.
  await elsewhere.context().setOffline(true);

  await privacyOf(page, product, id);
  const { download, text } = await saved(page, 'Everything, one file');
  expect(download.suggestedFilename()).toMatch(/one student .*\.jsonl$/);
  expect(text.split('\n')[0]).toContain('"format":"pedastance records"');
  expect(text).toContain(name);
  const { text: table } = await saved(page, 'Build');
  expect(table).toContain('height, cm');

  await press(page, 'Erase this student');
  await page.getByLabel('Name, typed again').fill('Oda');
  await press(page, 'Erase after a day');
  await expect(page.getByTestId('erase').getByRole('alert').first()).toContainText('name as it is written');
  await page.getByLabel('Name, typed again').fill(name);
  await press(page, 'Erase after a day');
  await expect(page.getByText(/Will be erased a day after/)).toBeVisible();
  await press(page, 'Take it back');
  await press(page, 'Erase this student');
  await page.getByLabel('Name, typed again').fill(name);
  await press(page, 'Erase after a day');
  await expect(page.getByText(/Will be erased a day after/)).toBeVisible();

  await page.goto(`${product.origin}/academy`);
  await expect(page.getByTestId('privacy')).toContainText(`asked to erase ${name}`);
  await product.sql(`update erasure set asked_at = asked_at - interval '25 hours' where student = $1`, [id]);
  await product.sql('select erasures_run(academy, 100) from erasures_due() as academy');
  await page.goto(`${product.origin}/students`);
  await expect(page.getByText(`Erased: ${name}.`)).toBeVisible();
  await press(page, 'I have read it');
  await expect(student(page, name)).toHaveCount(0);
  await elsewhere.context().setOffline(false);
  await expect(elsewhere.getByText(`Erased: ${name}.`)).toBeVisible();
  await expect(student(elsewhere, name)).toHaveCount(0);
  await elsewhere.context().close();
});

const LIST = [
  'Surname;First name;Plays;Born on;Height (cm);Remarks',
  ...Array.from(
    { length: 30 },
    (_, at) => `Listed${at};Ann;${at % 3 ? 'right' : 'left'};1.2.${1960 + at};${160 + at};`,
  ),
  'Bad;Row;sideways;1.1.1990;;',
  '"=cmd";Eve;left;1.1.1990;;=1+1',
].join('\n');

test('thirty students come from a list: mapped, looked at, the bad line named, none twice', async ({
  page,
  product,
}) => {
  await signIn(page, product, HARBOUR);
  await page.goto(`${product.origin}/data`);
  await choose(page, 'Choose a list', 'members.csv', LIST);
  const preview = page.getByTestId('students-preview');
  await expect(preview).toContainText('31 students to add');
  await expect(preview).toContainText('Line 32. Hand: expected right or left, found “sideways”.');
  await press(page, 'Add 31 students');
  await expect(page.getByText('31 students added.')).toBeVisible();
  await expect(page.getByTestId('status-strip')).toBeEmpty({ timeout: 30_000 });
  await choose(page, 'Choose a list', 'members.csv', LIST);
  await expect(preview).toContainText('0 students to add');
  await expect(preview).toContainText('31 students here already, left out');
  const rows = await product.sql<{ count: number }>(
    `select count(*)::integer as count from student where name like 'Ann Listed%'`,
  );
  expect(rows[0]!.count).toBe(30);
});

test('an academy’s records go out as a file and into another academy, looked at first; a spoilt file is named by line', async ({
  page,
  product,
  browser,
}) => {
  await signIn(page, product, HARBOUR);
  await page.goto(`${product.origin}/data`);
  const { text } = await saved(page, 'Everything, one file');
  const other = await (await browser.newContext()).newPage();
  await startAcademy(other, product, 'reads-in@windy.example');
  await other.goto(`${product.origin}/data`);
  const lines = text.split('\n');
  await choose(other, 'Choose a file of records', 'cut.jsonl', lines.slice(0, -3).join('\n'));
  await expect(other.getByTestId('records-in')).toContainText('Nothing was taken.');
  await expect(other.getByTestId('records-in')).toContainText(/Line \d+, line: expected the end of the file/);
  await choose(other, 'Choose a file of records', 'whole.jsonl', text);
  await expect(other.getByTestId('records-preview')).toContainText('From Salt Harbour Academy');
  await press(other, 'Take it in');
  await expect(other.getByText(/Taken in: \d+ students? new\./)).toBeVisible({ timeout: 30_000 });
  await other.goto(`${product.origin}/students`);
  const taught = student(other, 'last lesson').first();
  await taught.click();
  await expect(other.getByTestId('log-card').first()).toBeVisible();
  await other.context().close();
});

test('the day names what is due and what needs a word, and leads there', async ({ page, product }) => {
  await signIn(page, product);
  const today = page.getByTestId('today');
  await press(page, /All of today/);
  await expect(today).toContainText('Look again');
  await expect(today).toContainText('Drifted since it was agreed');
  await today.getByRole('link', { name: /Pip Marrowby.*guardian/ }).click();
  await expect(page.getByTestId('consent')).toContainText('A guardian has to say yes');
});

test('a record’s plan is saved as a drawing and as a picture that stand alone', async ({ page, product }) => {
  await signIn(page, product);
  await student(page, 'Ferris Quillon').click();
  await page.getByTestId('log-card').first().getByRole('link').click();
  await expect(page.getByTestId('plan')).toBeVisible();
  const { text } = await saved(page, 'Save as a drawing (SVG)');
  // The page itself may hold no style of its own; the drawing that stands alone does.
  const parsed = await page.evaluate((whole) => {
    const drawing = whole.replace(/<style>.*?<\/style>/s, '');
    const read = new DOMParser().parseFromString(drawing, 'image/svg+xml');
    return {
      faults: read.querySelectorAll('parsererror').length,
      paths: read.querySelectorAll('path').length,
      words: [...read.querySelectorAll('text')].map((each) => each.textContent).join(' '),
      ground: read.querySelector('rect')?.getAttribute('fill'),
      outside: /(href|url)\(?=?["']?https?:/.test(drawing),
    };
  }, text);
  expect(parsed).toMatchObject({ faults: 0, outside: false });
  expect(parsed.ground).toMatch(/^rgb\(/);
  expect(parsed.paths).toBeGreaterThan(6);
  expect(parsed.words).toMatch(/°|cm/);
  const [download] = await Promise.all([page.waitForEvent('download'), press(page, 'Save as a picture')]);
  const picture = readFileSync(await download.path());
  expect(picture.subarray(1, 4).toString()).toBe('PNG');
  // Width and height stand in the first chunk (PNG, 11.2.2): three pixels a point.
  const box = (await page.getByTestId('plan').boundingBox())!;
  expect(Math.abs(picture.readUInt32BE(16) - 3 * box.width)).toBeLessThanOrEqual(6);
});
