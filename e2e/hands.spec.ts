import type { Page } from '@playwright/test';
import {
  drag,
  expect,
  figure,
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

/** Counts what a thumb does: every press that reaches the page. */
async function countTaps(page: Page): Promise<() => Promise<number>> {
  await page.evaluate(() => {
    const counted = window as unknown as { taps: number };
    counted.taps = 0;
    addEventListener('click', () => (counted.taps += 1), { capture: true });
  });
  return () => page.evaluate(() => (window as unknown as { taps: number }).taps);
}

const places = (page: Page) => page.getByRole('tablist', { name: 'Places of the lesson' });

test.describe('with the shell kept', () => {
  test.use({ serviceWorkers: 'allow' });

  test('a student opened, a flare mended and recorded: eight taps and one drag at most, left-handed, no connection', async ({
    page,
    product,
  }) => {
    await signIn(page, product);
    await shellKept(page);
    await student(page, 'Ferris Quillon').click();
    await expect(page.getByRole('button', { name: 'Start a lesson' })).toBeVisible();
    await product.stop();
    const taps = await countTaps(page);
    await press(page, 'Start a lesson');
    // It begins at the address, with the club of the last record; the record's feet are drawn and pass for nothing.
    await expect(page.getByTestId('plan')).toBeVisible();
    await expect(page.getByRole('button', { name: /^Club: Driver/ })).toBeVisible();
    await expect(page.getByTestId('row-setback-agreed')).toContainText(/^agreed \d+ \w+: /);
    await expect(places(page).getByRole('tab', { name: /^Address/ })).toContainText('0 of 9');
    await drag(page, '[data-part=lead] .handle', { x: -34, y: 0 });
    await expect(places(page).getByRole('tab', { name: /^Address/ })).not.toContainText('0 of 9');
    await places(page)
      .getByRole('tab', { name: /^Change/ })
      .click();
    const told = page.getByTestId('instruction');
    await expect(told).toContainText('You could say');
    await press(page, 'Use it');
    await expect(told).toContainText('Tell Ferris');
    await press(page, 'On to keeping it');
    await page
      .getByRole('button', { name: /^Use as the reason/ })
      .first()
      .click();
    await press(page, 'Record the change');
    await expect(page.getByText(/Recorded: Driver/)).toBeVisible();
    expect(await taps()).toBeLessThanOrEqual(8);
    await product.start();
    await expect(page.getByTestId('status-strip')).toBeEmpty({ timeout: 40_000 });
  });
});

test('an address by tape: one key after another, in under 45 s at a key every 0.4 s', async ({
  page,
  product,
}) => {
  await signIn(page, product);
  await student(page, 'Ferris Quillon').click();
  await press(page, 'Start a lesson');
  await step(page, 'tape');
  const keypad = page.getByTestId('keypad');
  const key = (name: string) => keypad.getByRole('button', { name, exact: true }).click();
  const taps = await countTaps(page);
  const type = async (figures: string) => {
    for (const digit of figures) await key(digit === '.' ? 'Point' : digit);
    await key('Next');
  };
  await type('47.5');
  await type('12');
  await type('18');
  // A quarter shoe, by the marks of the lead shoe.
  await keypad
    .getByRole('button', { name: /^By the lead shoe: / })
    .nth(1)
    .click();
  await type('5');
  // Out of reach is refused with the range, and typed again; then it is left out.
  await type('999');
  await expect(page.getByRole('alert')).toContainText(
    /^▲ Ball, out from the toe line: expected .*found “999”$/,
  );
  for (let digit = 0; digit < 3; digit += 1) await key('Delete the last digit');
  await key('Not measured');
  for (const digit of '55') await key(digit);
  await key('Read');
  expect((await taps()) * 0.4).toBeLessThanOrEqual(45);
  await expect(page.getByTestId('judgement')).toBeVisible();
  await step(page, 'feet');
  await expect(figure(page, 'row-stanceWidth')).toHaveText('47.5 cm');
  await expect(figure(page, 'row-leadFlare')).toHaveText('12°');
  await expect(figure(page, 'row-trailFlare')).toHaveText('18°');
  await expect(figure(page, 'row-leadShare')).toHaveText('55%');
  await expect(page.getByTestId('row-setback')).toContainText('0.25 of its length');
  await expect(page.getByTestId('row-ballOut')).toContainText('not measured');
  await expect(places(page).getByRole('tab', { name: /^Address/ })).toContainText('6 of 9');
  // Laid over the outsides of the shoes the same tape says a narrower stance.
  await step(page, 'tape');
  await page.getByRole('radio', { name: 'Outsides' }).click();
  for (const digit of '60') await key(digit);
  await key('Next');
  await step(page, 'feet');
  await expect(page.getByTestId('row-stanceWidth')).toContainText('outer 60.0');
});

test('a quick look: ten taps at most to a first judgement, each figure by eye', async ({ page, product }) => {
  await signIn(page, product);
  await student(page, 'Tamsin Wrenlow').click();
  await press(page, 'Start a lesson');
  await expect(page.getByTestId('plan')).toBeVisible();
  const taps = await countTaps(page);
  await step(page, 'quickLook');
  const see = (look: string, words: string) =>
    page.getByTestId(`look-${look}`).getByRole('button', { name: words, exact: true }).click();
  await see('width', 'Wide');
  await see('lead-foot', 'Square');
  await see('trail-foot', 'A little out');
  await see('line', 'Open');
  await see('heel-to-toe', 'On the toes');
  await see('side-to-side', 'Even');
  await press(page, 'Read what was seen');
  expect(await taps()).toBeLessThanOrEqual(10);
  await expect(page.getByTestId('judgement')).toContainText('Stops you');
  await step(page, 'quickLook');
  // What was seen stays as it was seen, whatever was seen after it.
  for (const [look, words] of [
    ['width', 'Wide'],
    ['lead-foot', 'Square'],
    ['trail-foot', 'A little out'],
  ] as const) {
    const chip = page.getByTestId(`look-${look}`).getByRole('button', { name: words, exact: true });
    await expect(chip).toHaveAttribute('aria-pressed', 'true');
  }
  // Seen, and not measured: no finer than an eye sees.
  await step(page, 'feet');
  await expect(figure(page, 'row-stanceWidth')).toHaveText(/^about \d+ cm$/);
});

test('did it hold: what was agreed against the next time it was measured, then and today', async ({
  page,
  product,
}) => {
  await signIn(page, product);
  await student(page, 'Odile Brandvold').click();
  const held = page.getByTestId('held-card');
  await expect(held).toContainText(/7-iron\d+ \w+● Trail flare held: 26°\./);
  // The figure from lesson to lesson, drawn and told.
  await expect(held.getByRole('img').first()).toHaveAccessibleName(
    /trail flare, lesson by lesson: 2° on .*, 15° on .*, 26° on .*\. Agreed: 30°\.$/,
  );
  await expect(held.locator('svg').first()).toBeVisible();
  await page.goto(`${product.origin}/students`);
  await openLesson(page, 'Odile Brandvold', '7-iron');
  await step(page, 'read');
  await expect(page.getByTestId('since-agreed')).toContainText('○ Trail flare: not measured since.');
  await step(page, 'feet');
  await typeFigure(page, 'trailFlare', 'Trail flare', '9');
  await step(page, 'read');
  await expect(page.getByTestId('since-agreed')).toContainText('▲ Trail flare drifted: 9°, not 30°.');
});

const SIZES = [
  [360, 640],
  [390, 844],
  [768, 1024],
  [1280, 800],
] as const;

test('the five places are all in view at every size, and nothing of a step lies under a bar', async ({
  page,
  product,
}) => {
  test.slow();
  await signIn(page, product);
  await student(page, 'Ferris Quillon').click();
  await press(page, 'Start a lesson');
  await expect(page.getByTestId('plan')).toBeVisible();
  for (const [width, height] of SIZES) {
    await page.setViewportSize({ width, height });
    for (const name of ['feet', 'tape', 'photo', 'quickLook', 'read', 'change', 'keep'] as const) {
      await step(page, name);
      for (const tab of await places(page).getByRole('tab').all()) {
        const box = (await tab.boundingBox())!;
        expect(box.x).toBeGreaterThanOrEqual(0);
        expect(box.x + box.width).toBeLessThanOrEqual(width);
        expect(box.y + box.height).toBeLessThanOrEqual(height);
        expect(box.height).toBeGreaterThanOrEqual(48);
      }
      // Whatever can be pressed is reached by scrolling, and the bars lie beside it, never over it.
      const covered = await page.evaluate(() => {
        const main = document.querySelector('[role=main]')!;
        const under: string[] = [];
        for (const element of main.querySelectorAll(
          '[role=button]:not([aria-disabled=true]),[role=radio],input,textarea',
        )) {
          element.scrollIntoView({ block: 'center' });
          const box = element.getBoundingClientRect();
          if (box.width === 0) continue;
          const hit = document.elementFromPoint(box.x + box.width / 2, box.y + box.height / 2);
          if (!hit || !(element.contains(hit) || hit.contains(element)))
            under.push(`${element.textContent || element.getAttribute('aria-label')}`);
        }
        return under;
      });
      expect([width, name, covered]).toEqual([width, name, []]);
    }
  }
});

test('text at twice its size: every step keeps its places, its desk and its button in view', async ({
  page,
  product,
}) => {
  await signIn(page, product);
  await openLesson(page, 'Odile Brandvold', '9-iron');
  await page.evaluate(() => {
    document.documentElement.style.fontSize = '200%';
  });
  for (const name of [
    'feet',
    'tape',
    'photo',
    'quickLook',
    'body',
    'read',
    'change',
    'keep',
    'who',
    'legs',
    'ladder',
  ] as const) {
    await step(page, name);
    const cut = await page.evaluate(() => {
      const bar = document.querySelector('[aria-label="Places of the lesson"]')!.getBoundingClientRect();
      const pressed = [...document.querySelectorAll('[role=button], [role=tab], [role=radio]')];
      return pressed.flatMap((element) => {
        const box = element.getBoundingClientRect();
        const scrolled = element.closest('[tabindex="0"][aria-label]') !== null;
        const aside = box.left < -1 || box.right > innerWidth + 1;
        // What scrolls may lie below; what stands still has to be whole, and above the places.
        const under =
          !scrolled && !element.closest('[aria-label="Places of the lesson"]') && box.bottom > bar.top + 1;
        const tall = element.scrollHeight > element.clientHeight + 2 || element.scrollWidth > box.width + 2;
        return aside || under || tall ? [`${element.textContent}: ${JSON.stringify(box)}`] : [];
      });
    });
    expect([name, cut]).toEqual([name, []]);
  }
});

test('feet are left and right unless a coach chose otherwise, each student by their own hand', async ({
  page,
  product,
}) => {
  await page.context().addCookies([await product.sessionOf(LANTERN)]);
  await page.goto(`${product.origin}/`);
  for (const [name, trail] of [
    ['Odile Brandvold', 'Right'],
    ['Ferris Quillon', 'Left'],
  ] as const) {
    await openLesson(page, name, '8-iron');
    await expect(page.getByTestId('row-trailFlare')).toContainText(`${trail} flare`);
    await expect(page.getByTestId('row-setback')).toContainText(`${trail} foot set back`);
    await page.goto(`${product.origin}/students`);
  }
});
