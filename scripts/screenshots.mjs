// Takes the pictures of docs/screenshots anew, from demo data, at phone and desk size.
import { execFileSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { serveForNow } from './serveForNow.mjs';
import { ROOT, fail, installPackages, say } from './tools.mjs';
import { buildWeb } from './webBuild.mjs';

const FOLDER = join(ROOT, 'docs', 'screenshots');
const FLAGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-sync',
];
const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true };
const WIDE = { viewport: { width: 1280, height: 800 } };

/** A student's row in the list. */
const student = (page, name) => page.getByTestId('student-row').filter({ hasText: name });

async function signIn(page, origin) {
  await page.goto(origin);
  await page.getByLabel('E-mail address').fill('coach@lanternhill.example');
  await page.getByLabel('Password').fill('paper-and-tape');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await student(page, /Odile Brandvold/).waitFor();
}

/** A lesson with the feet placed as they were found in the first one of the log. */
async function lessonFromFirstRecord(page, name) {
  await student(page, name).click();
  await page.getByTestId('log-card').last().getByRole('link').click();
  await page.getByRole('radio', { name: 'As they stood' }).click();
  await page.getByRole('button', { name: 'Start a lesson from these feet' }).click();
  await page.getByTestId('plan').waitFor();
}

/** Notes that feet and load stand as they are drawn, so that all of it is read. */
async function standAsDrawn(page) {
  await step(page, 'read');
  // What is under the second moves up once the first is gone, and again with the judgement.
  for (const name of ['The feet stand as drawn', /foot, as drawn/]) {
    const asDrawn = page.getByRole('button', { name });
    await page.waitForTimeout(800);
    await asDrawn.click();
    await asDrawn.waitFor({ state: 'hidden' });
  }
  await step(page, 'feet');
  await page.getByTestId('plan').waitFor();
}

async function dial(page, row, press, times = 1) {
  await page.getByTestId(`row-${row}`).click();
  for (let time = 0; time < times; time += 1) await page.getByRole('button', { name: press }).click();
}

const PLACES = {
  who: ['Student', 'Came for'],
  legs: ['Student', 'Legs and trunk'],
  ladder: ['Student', 'Tests'],
  feet: ['Address', 'Plan'],
  tape: ['Address', 'Tape'],
  photo: ['Address', 'Photo'],
  body: ['Address', 'Body'],
  pressure: ['Address', 'Pressure'],
  read: ['Read'],
  change: ['Change'],
  keep: ['Keep', 'Record'],
  try: ['Keep', 'Try'],
};

async function step(page, name) {
  if (name === 'club') return page.getByRole('button', { name: /^Club:/ }).click();
  const [place, part] = PLACES[name];
  await page
    .getByRole('tab', { name: new RegExp(`^${place}`) })
    .first()
    .click();
  if (part) await page.getByRole('tab', { name: part, exact: true }).last().click();
}

const see = (page, item, words) =>
  page.getByTestId(`body-${item}`).getByRole('button', { name: words, exact: true }).click();

/** Methods on the feet of the first record, and a method of one's own being written. */
async function methodPictures(page, shot) {
  await page.goto(new URL('/students', page.url()).href);
  await student(page, /Odile Brandvold/).click();
  await page.getByTestId('log-card').last().getByRole('link').click();
  await page.getByRole('link', { name: /side by side/ }).click();
  await page.getByLabel('Set against').selectOption({ label: 'Free the hips' });
  await shot('compare');
  await page.goto(new URL('/methods/by-the-arc', page.url()).href);
  await page.getByTestId('question-leadFlare').waitFor();
  await page.getByRole('button', { name: 'Start our own from it' }).click();
  const question = page.getByTestId('edit-leadFlare');
  await question.getByRole('button').first().click();
  await question
    .getByRole('textbox', { name: /^Middle/ })
    .first()
    .fill('28');
  await question.evaluate((element) => element.scrollIntoView());
  await shot('method-edit');
}

/** A trial of what was agreed, by hand, a few shots into it. */
async function declareByHand(page) {
  const another = page.getByRole('button', { name: 'Try something else' });
  if (await another.isVisible()) await another.click();
  await page.getByRole('radio', { name: /^Full trial/ }).click();
  await page.getByLabel(/^Warm-up shots/).fill('0');
  await page.getByLabel('Cue for B').fill('Big toe at the bag stand');
  await page.getByRole('button', { name: 'Start' }).click();
  for (let shot = 2; shot < 6; shot += 1) {
    await page.getByRole('radio', { name: 'on line' }).click();
    await page.getByRole('button', { name: 'Shot done' }).click();
    await page.getByText(`Shot ${shot} of 24`).waitFor();
  }
  await page.getByRole('radio', { name: 'on line' }).click();
}

/** A card as its student opens it. */
async function cardPicture(page, shot) {
  await page.goto(new URL('/students', page.url()).href);
  await student(page, /Tamsin Wrenlow/).click();
  await page.getByRole('link', { name: 'Card for the 9-iron' }).click();
  await page.getByRole('button', { name: 'Keep it and make a link' }).click();
  const link = await page.getByTestId('card-link').innerText();
  await page
    .getByText(/^Made .*, opens until/)
    .first()
    .waitFor();
  await page.goto(link);
  await page.getByRole('button', { name: 'Tick a round' }).waitFor();
  await shot('card');
}

/** A rendered photo of feet like hers, with where everything in it is seen. */
async function renderedFeet() {
  const folder = mkdtempSync(join(tmpdir(), 'feet-'));
  const wanted = {
    name: 'feet',
    paper: 'A4',
    across: 2048,
    standing: { shoe: { length: 268, breadth: 98 }, stanceWidth: 400 },
    stands: { elevation: 56, distance: 1450 },
  };
  const script = join(ROOT, 'server', 'test', 'renderPhotographs.ts');
  execFileSync(process.execPath, ['--import', 'tsx', script, folder, JSON.stringify([wanted])]);
  return {
    file: join(folder, 'feet.jpg'),
    at: JSON.parse(readFileSync(join(folder, 'feet.json'), 'utf8')),
  };
}

/** Feet measured in a photo: the sheet found, seven taps, and what came of them. */
async function photoPicture(page, shot) {
  await page
    .getByRole('tab', { name: /^Address/ })
    .first()
    .waitFor();
  const lesson = page.url();
  await step(page, 'photo');
  await page.getByRole('button', { name: 'Note the consent' }).click();
  await page.getByRole('radio', { name: 'Photos too' }).click();
  await page.getByRole('button', { name: 'Note the yes' }).click();
  await page.getByText(/Photos too\./).waitFor();
  await page.goto(lesson);
  await step(page, 'photo');
  const { file, at } = await renderedFeet();
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Choose a photo' }).click();
  await (await chooser).setFiles(file);
  await page.getByTestId('photo').waitFor();
  for (const name of ['stick1', 'stick2', 'ball', 'leadToe', 'leadHeel', 'trailToe', 'trailHeel']) {
    const box = await page.getByTestId('photo').boundingBox();
    await page.mouse.click(box.x + at[name].x * box.width, box.y + at[name].y * box.height);
    await page.getByTestId(`mark-${name}`).waitFor();
  }
  await page.getByTestId('photo-result').waitFor();
  await shot('photo');
}

/** A flare ladder nearly at its end, by a body that turns freely from 22° on. */
async function ladderPicture(page, shot) {
  await step(page, 'ladder');
  await page.getByRole('button', { name: 'Right flare' }).click();
  for (let turn = 0; turn < 3; turn += 1) await page.getByRole('button', { name: 'Turned' }).click();
  for (let turn = 0; turn < 12; turn += 1) {
    const degrees = parseInt(await page.getByTestId('rung-figure').innerText(), 10);
    await page.getByRole('button', { name: degrees >= 22 ? 'Did it' : 'Not yet' }).click();
  }
  await page.getByTestId('ladder-found').waitFor();
  await shot('ladder');
}

/** Three swings on the stand-in mat, over one another. */
async function pressurePicture(page, shot) {
  await step(page, 'pressure');
  await page.getByRole('button', { name: 'Stand on the mat' }).click();
  await page.getByRole('radio', { name: 'Swing 3', exact: true }).waitFor({ timeout: 60_000 });
  await page.getByRole('button', { name: 'Step off' }).click();
  await shot('pressure');
}

async function phonePictures(page, shot) {
  await shot('students');
  await student(page, /Odile Brandvold/).click();
  await page.getByTestId('log-card').first().waitFor();
  await shot('student');
  await page.goBack();
  await lessonFromFirstRecord(page, /Odile Brandvold/);
  await standAsDrawn(page);
  await dial(page, 'trailFlare', 'Right flare minus 5°', 2);
  await dial(page, 'stanceWidth', 'Width, heel to heel plus 2 cm', 2);
  await shot('feet');
  await step(page, 'legs');
  await shot('legs');
  await ladderPicture(page, shot);
  await step(page, 'feet');
  await dial(page, 'trailHeelToe', 'Heel to toe, right foot plus 5%', 3);
  await step(page, 'tape');
  await shot('tape');
  await photoPicture(page, shot);
  await step(page, 'body');
  await see(page, 'trailKneeFlex', 'Like the left');
  await see(page, 'hipBump', 'Pushed');
  await see(page, 'seat', 'Over the heels');
  await page.getByTestId('body-trailKneeFlex').scrollIntoViewIfNeeded();
  await shot('body');
  await step(page, 'read');
  await page.getByTestId('judgement').waitFor();
  await shot('read');
  await step(page, 'change');
  await page
    .getByRole('button', { name: /^Take:/ })
    .first()
    .click();
  await shot('change');
  await step(page, 'try');
  await page
    .getByTestId('run-trial')
    .or(page.getByTestId('declare-trial'))
    .or(page.getByText('Tried, and'))
    .first()
    .waitFor();
  await declareByHand(page);
  await shot('try');
  await step(page, 'keep');
  await page.getByRole('textbox', { name: 'Reason' }).fill('Stands too wide to get onto the left foot.');
  await page.getByLabel('Feel: what the student should feel').fill('Left hip over the left heel.');
  await shot('keep');
  await pressurePicture(page, shot);
  await methodPictures(page, shot);
  await cardPicture(page, shot);
}

async function widePictures(page, shot) {
  await student(page, /Ferris Quillon/).click();
  await page.getByTestId('log-card').first().getByRole('link').click();
  await page.getByTestId('plan').waitFor();
  await shot('record-wide');
  await page.getByRole('button', { name: /^Back to Ferris/ }).click();
  await page.getByTestId('trial-card').getByRole('link').click();
  await page.getByTestId('verdict').waitFor();
  await shot('trial-wide');
  await page.goto(new URL('/students', page.url()).href);
  await lessonFromFirstRecord(page, /Ferris Quillon/);
  await standAsDrawn(page);
  await page.goto(new URL('/settings', page.url()).href);
  await page.getByRole('radio', { name: 'Dusk' }).click();
  await page.goBack();
  await page.getByTestId('plan').waitFor();
  await step(page, 'change');
  await page.getByRole('button', { name: 'Adjust on the plan' }).waitFor();
  await shot('change-wide-dusk');
}

async function pictures() {
  await installPackages();
  await buildWeb();
  mkdirSync(FOLDER, { recursive: true });
  const { chromium } = await import('playwright-core');
  const product = await serveForNow();
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
    args: FLAGS,
  });
  try {
    for (const [size, take] of [
      [PHONE, phonePictures],
      [WIDE, widePictures],
    ]) {
      const page = await (await browser.newContext(size)).newPage();
      page.setDefaultTimeout(20_000);
      await signIn(page, product.origin);
      await take(page, async (name) => {
        await page.waitForTimeout(600);
        await page.screenshot({ path: join(FOLDER, `${name}.png`) });
        say(`docs/screenshots/${name}.png`);
      });
    }
  } finally {
    await browser.close();
    await product.stop();
  }
}

pictures().catch(fail);
