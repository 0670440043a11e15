import type { Page } from '@playwright/test';
import {
  asPhoneWrites,
  innerEdge,
  LIGHT,
  phoneOver,
  photograph,
  plain,
  printed,
  sceneWith,
  STANDING,
  whereToTap,
} from '../server/test/photographs';
import {
  expect,
  ofStudent,
  openLesson,
  press,
  shellKept,
  signIn,
  step,
  student,
  test,
  type Product,
} from './product';

/** As Ferris Quillon of the demo stands here: left-handed, in shoes of that build. */
const FERRIS = { ...STANDING, hand: 'left' as const, shoe: { length: 305, breadth: 112 } };

/** Nobody else here photographs Ruben Dandelisle: his two photos are those of one test. */
const RUBEN = { ...STANDING, hand: 'left' as const, shoe: { length: 308, breadth: 114 } };

type Spot = { x: number; y: number };

/** Notes a yes to photos. */
async function allowPhotos(page: Page, product: Product, name: string): Promise<void> {
  await student(page, name).click();
  await page.getByRole('link', { name: 'Data and consent' }).click();
  await page.getByRole('radio', { name: 'Photos too' }).click();
  await press(page, 'Note the yes');
  await expect(page.getByTestId('consent')).toContainText(/Photos too\./);
  await page.goto(`${product.origin}/students`);
}

/** A lesson with a left-hander who said yes to photos, at its photo. */
async function toPhotoStep(page: Page, product: Product): Promise<void> {
  await signIn(page, product);
  await allowPhotos(page, product, 'Ferris Quillon');
  await openLesson(page, 'Ferris Quillon', '7-iron');
  await step(page, 'photo');
}

async function choosePhoto(page: Page, buffer: Buffer, name = 'feet.jpg', mimeType = 'image/jpeg') {
  const [chooser] = await Promise.all([page.waitForEvent('filechooser'), press(page, 'Choose a photo')]);
  await chooser.setFiles({ name, mimeType, buffer });
}

async function tap(page: Page, { x, y }: Spot): Promise<void> {
  const box = (await page.getByTestId('photo').boundingBox())!;
  await page.mouse.click(box.x + x * box.width, box.y + y * box.height);
}

const asks = (page: Page, words: RegExp) => expect(page.getByTestId('asked')).toHaveText(words);

/** A length of the result, mm, from the words of either unit. */
async function told(page: Page, figure: string): Promise<number> {
  const words = await page.getByTestId(`photo-${figure}`).innerText();
  const [, value, unit] = /^(−?[\d.]+)\s?(cm|in|°)/.exec(words.replaceAll('\u00a0', ' '))!;
  return Number(value!.replace('−', '-')) * { cm: 10, in: 25.4, '°': 1 }[unit as 'cm']!;
}

test.describe('with the shell kept', () => {
  test.use({ serviceWorkers: 'allow' });

  test('one sheet, one photo, a hidden heel: from the file to a recorded address with no connection, then sent', async ({
    page,
    product,
  }) => {
    const scene = sceneWith(FERRIS, await printed('A4'));
    const camera = phoneOver(scene, {}, 1900);
    const file = await asPhoneWrites(photograph(scene, camera, LIGHT, 'a left-hander'), camera);
    const at = whereToTap(scene, camera);
    await signIn(page, product);
    await shellKept(page);
    await allowPhotos(page, product, 'Ferris Quillon');
    await expect(page.getByTestId('status-strip')).toBeEmpty();
    await openLesson(page, 'Ferris Quillon', '7-iron');
    await product.stop();
    await step(page, 'photo');
    const began = Date.now();
    await choosePhoto(page, file);
    await expect(page.getByTestId('sheet-seen')).toHaveText('Sheet found');
    for (const spot of [at.stick1, at.stick2, at.ball, at.leadToe, at.leadHeel, at.trailToe]) {
      await tap(page, spot);
      await page.waitForTimeout(1000);
    }
    await press(page, 'Heel hidden');
    await asks(page, /inner edge, near the heel/);
    await tap(page, innerEdge(scene, camera, 'trail', 0.3));
    await tap(page, innerEdge(scene, camera, 'trail', 0.8));
    await expect(page.getByTestId('photo-result')).toContainText('As good as a tape.');
    await expect(page.getByTestId('over-lead')).toBeVisible();
    expect(Math.abs((await told(page, 'stanceWidth')) - 420)).toBeLessThan(12);
    expect(Math.abs((await told(page, 'leadFlare')) - 22)).toBeLessThan(3);
    await press(page, 'Use these figures');
    await expect(page.getByTestId('finding').or(page.getByText('Stops you')).first()).toBeVisible();
    expect(Date.now() - began).toBeLessThan(20_000);
    await step(page, 'keep');
    await press(page, /^Record/);
    await expect(page.getByText(/Recorded: 7-iron/)).toBeVisible();
    await product.start();
    await expect(page.getByTestId('status-strip')).toBeEmpty({ timeout: 40_000 });
    const [row] = await product.sql<{ bytes: number; exif: boolean; way: string }>(
      `select octet_length(jpeg) as bytes, position('Exif'::bytea in jpeg) > 0 as exif, way
       from photo join measurement on measurement.address_id = photo.address_id and figure = 'stanceWidth'`,
    );
    expect(row).toMatchObject({ exif: false, way: 'photo' });
    expect(row!.bytes).toBeLessThanOrEqual(400_000);
  });
});

test('a plain sheet’s corners are tapped, a reload in the middle loses nothing, a wrong tap is taken back', async ({
  page,
  product,
}) => {
  const scene = sceneWith(FERRIS, plain('A4'));
  const camera = phoneOver(scene, { around: 176, elevation: 58 }, 2048);
  const file = await asPhoneWrites(photograph(scene, camera, LIGHT, 'from behind'), camera);
  const at = whereToTap(scene, camera);
  await toPhotoStep(page, product);
  await choosePhoto(page, file);
  await asks(page, /Tap a corner/);
  for (const corner of at.corners) await tap(page, { x: corner.x + 0.003, y: corner.y + 0.002 });
  await asks(page, /one end of the stick/);
  await tap(page, at.stick1);
  await tap(page, { x: 0.5, y: 0.9 });
  await asks(page, /middle of the ball/);
  await press(page, 'Take the last tap back');
  await asks(page, /other end/);
  await tap(page, at.stick2);
  await expect(page.getByTestId('mark-stick2')).toBeVisible();
  await page.waitForTimeout(400);
  await page.reload();
  await asks(page, /middle of the ball/);
  for (const spot of [at.ball, at.leadToe, at.leadHeel, at.trailToe, at.trailHeel]) await tap(page, spot);
  await expect(page.getByTestId('photo-result')).toBeVisible();
  expect(Math.abs((await told(page, 'stanceWidth')) - 420)).toBeLessThan(14);
  // By the keyboard a mark moves, and the figures with it.
  const before = await told(page, 'stanceWidth');
  await page.getByTestId('mark-trailHeel').focus();
  for (let press = 0; press < 3; press += 1) await page.keyboard.press('Shift+ArrowLeft');
  await expect(async () => expect(await told(page, 'stanceWidth')).not.toBeCloseTo(before, 0)).toPass();
});

test('where only a club lies along the line, its ends and the ball’s two sides do; a sheet would be surer', async ({
  page,
  product,
}) => {
  const scene = sceneWith(FERRIS, null);
  const camera = phoneOver(scene, { elevation: 55 }, 2048);
  const file = await asPhoneWrites(photograph(scene, camera, LIGHT, 'a club'), camera);
  const at = whereToTap(scene, camera);
  await toPhotoStep(page, product);
  await choosePhoto(page, file);
  await asks(page, /Tap a corner/);
  await page.getByRole('radio', { name: 'Only a club' }).click();
  await page.getByLabel(/Its length/).fill('12');
  await expect(page.getByText(/expected 60/)).toBeVisible();
  await page.getByLabel(/Its length/).fill('120');
  await asks(page, /one end of the club/);
  for (const spot of [at.stick1, at.stick2, ...at.ballSides]) await tap(page, spot);
  await asks(page, /toe of the lead shoe/);
  for (const spot of [at.leadToe, at.leadHeel, at.trailToe, at.trailHeel]) await tap(page, spot);
  await expect(page.getByTestId('by-club').or(page.getByText(/Lay a sheet between the feet/))).toBeVisible();
  expect(Math.abs((await told(page, 'stanceWidth')) - 420)).toBeLessThan(35);
  await page.getByRole('button', { name: /^Use/ }).click();
  await step(page, 'keep');
  await press(page, /^Record/);
  await expect(page.getByTestId('status-strip')).toBeEmpty({ timeout: 20_000 });
  const [row] = await product.sql<{ points: number }>(
    `select jsonb_array_length(sight -> 'known' -> 'ground') as points
     from photo join measurement on measurement.address_id = photo.address_id and figure = 'stanceWidth'`,
  );
  expect(row!.points).toBe(4);
});

test('what is no photo to measure by is told, and nothing is lost', async ({ page, product }) => {
  await toPhotoStep(page, product);
  const scene = sceneWith({ ...STANDING, hand: 'right' }, null);
  const camera = phoneOver(scene, { elevation: 26, around: 50 }, 1200);
  const whole = await asPhoneWrites(photograph(scene, camera, LIGHT, 'low'), camera);
  const gif = Buffer.from('R0lGODlhAQABAIAAAAAAAP///yH5BAEAAAAALAAAAAABAAEAAAIBRAA7', 'base64');
  const huge = Buffer.from(whole);
  const frame = huge.indexOf(Buffer.from([0xff, 0xc0, 0x00, 0x11]));
  huge.writeUInt16BE(16_000, frame + 5);
  huge.writeUInt16BE(14_000, frame + 7);
  for (const [file, words] of [
    [Buffer.from('not at all'), 'This file is no picture'],
    [gif, 'This picture moves'],
    [huge, 'too large'],
    [whole.subarray(0, 2000), 'cannot read this picture'],
  ] as const) {
    await choosePhoto(page, file);
    await expect(page.getByRole('alert')).toContainText(words);
  }
  // A right-hander's feet for a left-handed student, from too low at the side.
  await choosePhoto(page, whole);
  await asks(page, /Tap a corner/);
  const corners = [
    { x: 0.45, y: 0.5 },
    { x: 0.55, y: 0.6 },
    { x: 0.55, y: 0.5 },
    { x: 0.45, y: 0.6 },
  ];
  for (const corner of corners) await tap(page, corner);
  await press(page, 'No stick');
  const at = whereToTap(scene, camera);
  for (const spot of [at.ball, at.leadToe, at.leadHeel, at.trailToe, at.trailHeel]) await tap(page, spot);
  await expect(page.getByRole('alert')).toContainText('These corners make no sheet');
});

/** How many photos of a student the server has, with their readings. */
async function photosKept(product: Product, name: string): Promise<number> {
  const [row] = await product.sql<{ count: number }>(
    `select count(*)::int as count from photo join reading_entry using (academy_id, student_id, address_id)
     where ${ofStudent(name)}`,
  );
  return row!.count;
}

/** Measures a photo whose sheet is found, and records what was read. */
async function measureAndRecord(
  page: Page,
  product: Product,
  file: Buffer,
  at: ReturnType<typeof whereToTap>,
): Promise<void> {
  const before = await photosKept(product, 'Ruben Dandelisle');
  // What is being sent stands above the photo, and moves it while it is tapped.
  await expect(page.getByTestId('status-strip')).toBeEmpty({ timeout: 20_000 });
  await step(page, 'photo');
  await choosePhoto(page, file);
  await asks(page, /one end of the stick/);
  for (const spot of [at.stick1, at.stick2, at.ball, at.leadToe, at.leadHeel, at.trailToe, at.trailHeel])
    await tap(page, spot);
  await press(page, 'Use these figures');
  await step(page, 'keep');
  await press(page, /^Record/);
  await expect(page.getByText(/Recorded: /)).toBeVisible();
  // What was recorded earlier in the lesson stands there too: this one is done when it has arrived.
  await expect.poll(() => photosKept(product, 'Ruben Dandelisle'), { timeout: 60_000 }).toBe(before + 1);
}

test('before and after: two photos at one scale beside each other and one over the other, then one is deleted', async ({
  page,
  product,
}) => {
  const before = sceneWith(RUBEN, await printed('A4'));
  const after = sceneWith({ ...RUBEN, trailFlare: 20, stanceWidth: 470 }, await printed('A4'), {
    turned: -12,
  });
  const photos = [before, after].map((scene, number) => {
    const camera = phoneOver(
      scene,
      { elevation: 60 - 8 * number, around: 10 * number, distance: 1400 },
      2048,
    );
    const picture = photograph(scene, camera, LIGHT, `photo ${number}`);
    return { at: whereToTap(scene, camera), file: asPhoneWrites(picture, camera) };
  });
  await signIn(page, product);
  await allowPhotos(page, product, 'Ruben Dandelisle');
  await openLesson(page, 'Ruben Dandelisle', '7-iron');
  const lesson = page.url();
  await measureAndRecord(page, product, await photos[0]!.file, photos[0]!.at);
  await page.goto(lesson);
  await step(page, 'club');
  await page.getByRole('radio', { name: '7-iron', exact: true }).click();
  await press(page, 'Place the feet');
  await measureAndRecord(page, product, await photos[1]!.file, photos[1]!.at);
  await expect(page.getByTestId('status-strip')).toBeEmpty({ timeout: 20_000 });
  await page.goto(`${product.origin}/students`);
  await student(page, 'Ruben Dandelisle').click();
  await page.getByTestId('log-card').first().getByRole('link').first().click();
  const card = page.getByTestId('photos');
  await expect(card.getByRole('img')).toBeVisible();
  await card.getByLabel('Compare with').selectOption({ index: 1 });
  await expect(card.getByRole('img')).toHaveCount(2);
  const compared = await card.getByTestId('compared-trailFlare').innerText();
  const [was, is] = [...compared.matchAll(/(\d+)°/g)].map(([, degrees]) => Number(degrees));
  expect(Math.abs(was! - 8)).toBeLessThanOrEqual(3);
  expect(Math.abs(is! - 20)).toBeLessThanOrEqual(3);
  await card.getByRole('radio', { name: 'One over the other' }).click();
  await card.getByRole('slider').fill('30');
  await expect(card.getByTestId('on-ground').nth(1)).toHaveCSS('opacity', '0.3');
  await press(page, 'Delete this photo');
  await press(page, 'Delete it');
  await expect(card).toHaveCount(0);
});
