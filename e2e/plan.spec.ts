import {
  clubKept,
  drag,
  expect,
  figure,
  openLesson,
  partAt,
  preferenceKept,
  press,
  signIn,
  test,
  typeFigure,
} from './product';

test.beforeEach(async ({ page, product }) => {
  await signIn(page, product);
  await openLesson(page, 'Gunnar Oxthwaite', '6-iron');
});

test('flaring about the heel moves the toe line; with the toe kept, the heel line', async ({ page }) => {
  await page.getByTestId('row-leadFlare').click();
  await page.getByRole('radio', { name: 'About the heel' }).click();
  await typeFigure(page, 'leadFlare', 'Lead flare', '40');
  await expect(figure(page, 'row-toeLine')).toHaveText(/open$/);
  await expect(figure(page, 'row-heelLine')).toHaveText('square');
  await press(page, 'Take the last move back');
  await page.getByRole('radio', { name: 'Toe kept on its line' }).click();
  await typeFigure(page, 'leadFlare', 'Lead flare', '40');
  await expect(figure(page, 'row-toeLine')).toHaveText('square');
  await expect(figure(page, 'row-heelLine')).toHaveText(/closed$/);
});

test('the trail foot drops back with its flare kept or turned with the line, and the setback is what was typed', async ({
  page,
}) => {
  const flare = await figure(page, 'row-trailFlare').textContent();
  await page.getByTestId('row-setback').click();
  await typeFigure(page, 'setback', 'Trail foot set back', '8.5');
  await expect(figure(page, 'row-setback')).toHaveText('8.5 cm');
  await expect(figure(page, 'row-trailFlare')).toHaveText(flare!);
  await expect(page.getByTestId('row-setback')).toContainText('laces of the lead shoe');
  await press(page, 'Take the last move back');
  await page.getByRole('radio', { name: 'Turned with the line' }).click();
  await typeFigure(page, 'setback', 'Trail foot set back', '8.5');
  await expect(figure(page, 'row-setback')).toHaveText('8.5 cm');
  await expect(figure(page, 'row-trailFlare')).not.toHaveText(flare!);
});

test('a toe is dragged to turn a foot, the ball along its line, and the feet stay where they are drawn', async ({
  page,
}) => {
  const before = await partAt(page, '[data-part=lead] .grip');
  await drag(page, '[data-part=ball]', { x: -12, y: 0 });
  expect(Number.parseFloat((await figure(page, 'row-ballAlong').textContent())!)).toBeGreaterThan(5.5);
  const after = await partAt(page, '[data-part=lead] .grip');
  expect(Math.abs(after.x - before.x)).toBeLessThan(1.5);

  const flare = Number.parseFloat((await figure(page, 'row-trailFlare').textContent())!);
  // The coach faces a right-hander: the trail foot is on the left, outward is to the left.
  await drag(page, '[data-part=trail] .handle', { x: -30, y: 0 });
  expect(Number.parseFloat((await figure(page, 'row-trailFlare').textContent())!)).toBeGreaterThan(flare + 5);
  await expect(figure(page, 'row-toeLine')).toHaveText('square');
});

test('by keyboard alone: choose, move, turn, take back', async ({ page }) => {
  const width = async () => Number.parseFloat((await figure(page, 'row-stanceWidth').textContent())!);
  const before = await width();
  await page.getByTestId('plan').focus();
  await page.keyboard.press('t');
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('ArrowLeft');
  expect(await width()).toBeCloseTo(before + 1.0, 1);
  await page.keyboard.press('Shift+ArrowRight');
  expect(await width()).toBeCloseTo(before + 0.9, 1);
  const flare = Number.parseFloat((await figure(page, 'row-leadFlare').textContent())!);
  await page.keyboard.press('l');
  await page.keyboard.press(']');
  expect(Number.parseFloat((await figure(page, 'row-leadFlare').textContent())!)).toBeCloseTo(flare + 1, 1);
  for (let taken = 0; taken < 4; taken += 1) await page.keyboard.press('u');
  expect(await width()).toBeCloseTo(before, 1);
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keyboard' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
});

test('the plan is told in words, and follows the feet', async ({ page }) => {
  const words = page.locator('p[id$="-words"]').first();
  await expect(words).toContainText('Heels');
  await typeFigure(page, 'stanceWidth', 'Width, heel to heel', '50');
  await expect(words).toContainText('Heels 50.0 cm apart.');
});

test('coach’s and student’s view; inches everywhere', async ({ page }) => {
  const coach = {
    trail: await partAt(page, '[data-part=trail] .handle'),
    lead: await partAt(page, '[data-part=lead] .handle'),
  };
  expect(coach.lead.x).toBeGreaterThan(coach.trail.x);
  await press(page, /seen by the coach/);
  const student = {
    trail: await partAt(page, '[data-part=trail] .handle'),
    lead: await partAt(page, '[data-part=lead] .handle'),
  };
  expect(student.lead.x).toBeLessThan(student.trail.x);
  const ball = await partAt(page, '[data-part=ball]');
  expect(ball.y).toBeLessThan(student.lead.y);

  const cm = Number.parseFloat((await figure(page, 'row-stanceWidth').textContent())!);
  const lesson = page.url();
  await clubKept(page, '6-iron');
  await page.goto(`${new URL(lesson).origin}/settings`);
  await page.getByRole('radio', { name: 'Inches' }).click();
  await preferenceKept(page, 'length', 'inches');
  await page.goto(lesson);
  await expect(figure(page, 'row-stanceWidth')).toHaveText(`${(cm / 2.54).toFixed(2)} in`);
});

test('what the plan shows is told behind its question mark, and where a finger rests on it', async ({
  page,
}) => {
  const legend = page.getByRole('dialog', { name: 'What the plan shows' });
  await press(page, 'What the plan shows');
  await expect(legend).toContainText('The leg that stops the turn');
  await page.keyboard.press('Escape');
  await expect(legend).toHaveCount(0);
  const plan = (await page.getByTestId('plan').boundingBox())!;
  await page.mouse.move(plan.x + plan.width / 2, plan.y + 12);
  await page.mouse.down();
  await expect(legend).toBeVisible();
  await page.mouse.up();
  await legend.getByRole('button', { name: 'Close' }).click();
  // A shoe that is held is moved, and explains nothing.
  const shoe = await partAt(page, '[data-part=lead] .grip');
  await page.mouse.move(shoe.x, shoe.y);
  await page.mouse.down();
  await page.waitForTimeout(900);
  await expect(legend).toHaveCount(0);
  await page.mouse.up();
});
