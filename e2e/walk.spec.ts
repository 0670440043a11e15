import { band, drag, expect, figure, press, signIn, step, test, typeFigure, student } from './product';

/**
 * The whole walk with a student typed in, and every figure worked by hand beside it:
 * outer shoulders 46.0 cm, sole 28.4 by 10.6 cm, all by tape, and a 7-iron of 37 in.
 */
const SHOULDERS = 46.0;
const SOLE_BREADTH = 10.6;
const SOLE_LENGTH = 28.4;
const FLARE = (15 * Math.PI) / 180;
/** 37 in is halfway from -1 sole breadth at 36 in to none at 38 in; plumb to the middle of shoes that are flared 15. */
const WIDTH_MIDDLE = SHOULDERS - (SOLE_BREADTH / 2) * Math.cos(FLARE) - SOLE_LENGTH * Math.sin(FLARE);
const WIDTH_BAND = `${(WIDTH_MIDDLE - 2.5).toFixed(1)} to ${(WIDTH_MIDDLE + 2.5).toFixed(1)}`;

for (const hand of ['right', 'left'] as const) {
  test(`the whole walk, ${hand}-handed`, async ({ page, product }) => {
    const name = `Walkover Testling ${hand} ${test.info().project.name}`;
    await signIn(page, product);

    // Add a student.
    await press(page, 'Add a student');
    await page.getByLabel('Name').fill(name);
    await page.getByRole('radio', { name: hand === 'right' ? 'Right-handed' : 'Left-handed' }).click();
    await page.getByLabel('Year of birth').fill('1975');
    await page.getByLabel('Height, cm').fill('172');
    await page.getByLabel('Shoulders, outer edge to outer edge, cm').fill(String(SHOULDERS));
    await page.getByRole('radio', { name: 'Sole by tape' }).click();
    await page.getByLabel('Sole length, cm').fill(String(SOLE_LENGTH));
    await page.getByLabel('Sole, widest, cm').fill(String(SOLE_BREADTH));
    await press(page, 'Save and start a lesson');

    // Club, then feet.
    await page.getByRole('radio', { name: '7-iron', exact: true }).click();
    await press(page, 'Place the feet');
    await expect(page.getByTestId('plan')).toBeVisible();
    await typeFigure(page, 'stanceWidth', 'Width, heel to heel', '47.5');
    await typeFigure(page, 'leadFlare', 'Lead flare', '16');
    await typeFigure(page, 'trailFlare', 'Trail flare', '3');
    await expect(figure(page, 'row-stanceWidth')).toHaveText('47.5 cm');
    await expect(band(page, 'row-stanceWidth')).toHaveText(`▲ too wide ${WIDTH_BAND}`);
    await expect(band(page, 'row-leadFlare')).toHaveText('● fine 12 to 18°');
    await expect(band(page, 'row-trailFlare')).toHaveText('▼ too square 12 to 18°');
    await expect(figure(page, 'row-toeLine')).toHaveText('square');
    // Toes level: the heels differ by L (cos 16 - cos 3) over 47.5 cm.
    const cosine = (degrees: number) => Math.cos((degrees * Math.PI) / 180);
    const heelLine = (Math.atan((SOLE_LENGTH * (cosine(3) - cosine(16))) / 47.5) * 180) / Math.PI;
    await expect(figure(page, 'row-heelLine')).toHaveText(`${heelLine.toFixed(0)}° closed`);

    // A shoe dragged outward is wider, on whichever side it stands.
    const trailIsLeft = hand === 'right';
    await drag(page, '[data-part=trail] .grip', { x: trailIsLeft ? -24 : 24, y: 0 });
    await expect(figure(page, 'row-stanceWidth')).not.toHaveText('47.5 cm');
    const dragged = Number.parseFloat((await figure(page, 'row-stanceWidth').textContent())!);
    expect(dragged).toBeGreaterThan(48);
    await press(page, 'Take the last move back');
    await expect(figure(page, 'row-stanceWidth')).toHaveText('47.5 cm');

    // Balance, by touching a sole and by the steps.
    await page.getByTestId('row-leadShare').click();
    await press(page, 'Weight on lead foot plus 1%');
    await expect(figure(page, 'row-leadShare')).toHaveText('51%');
    // A load that is stepped to is known to ± 5%, and no band is narrower than that.
    await expect(band(page, 'row-leadShare')).toHaveText('● fine 45 to 55%');
    await drag(page, '[data-part=lead-load]', { x: 0, y: 14 });
    await expect(figure(page, 'row-leadHeelToe')).not.toHaveText('50%');

    // The body is looked at from the knees up; here it is skipped. Two are put forward, ground up.
    await step(page, 'body');
    await press(page, 'On to the read');
    await expect(page.getByTestId('judgement')).toContainText('Test the legs first.');
    const width = page.getByTestId('finding-stanceWidth');
    await width.getByRole('button').first().click();
    await expect(width).toContainText('47.5 cm');
    await expect(width).toContainText('± 1.0 cm');
    await expect(width).toContainText('hips cannot get over the lead foot');
    await expect(page.getByTestId('finding-trailFlare')).toContainText('▼ too square');

    // Change: take both, in the student's own sides.
    await press(page, 'On to the change');
    const told = page.getByTestId('instruction');
    const narrower = /Move the trail foot in (\d+) cm, to (\d+) cm/.exec(await told.innerText())!;
    const [by, to] = [Number(narrower[1]), Number(narrower[2])];
    // Each is said in whole centimetres.
    expect(Math.abs(by + to - 47.5)).toBeLessThanOrEqual(1);
    expect(Math.abs(to - WIDTH_MIDDLE)).toBeLessThan(3.5);
    const outward = /Turn the trail foot out (\d+)°, to (\d+)° out/.exec(await told.innerText())!;
    const flare = Number(outward[2]);
    expect(flare).toBeGreaterThanOrEqual(8);
    await press(page, 'Take: Width');
    await press(page, 'Take: Trail foot');
    await page.getByRole('radio', { name: 'Left, right' }).click();
    const trailSide = hand === 'right' ? 'Right' : 'Left';
    const instruction = page.getByTestId('instruction');
    await expect(instruction).toContainText(
      `Move the ${trailSide.toLowerCase()} foot in ${by} cm, to ${to} cm`,
    );
    await expect(instruction).toContainText(
      `Turn the ${trailSide.toLowerCase()} foot out ${outward[1]}°, to ${flare}° out. Keep the toe on its line.`,
    );
    await press(page, 'Adjust on the plan');
    await expect(page.locator('[data-part=ghost]')).toBeVisible();
    await press(page, 'Done adjusting');

    // Keep: a reason is asked for, and named when it is missing.
    await press(page, 'On to keeping it');
    await press(page, 'Record the change');
    await expect(page.getByText('Reason: expected why you agreed on this, found nothing')).toBeVisible();
    await page.getByRole('textbox', { name: 'Reason' }).fill('Wide and square: no turn.');
    await page.getByLabel('Feel: what the student should feel').fill('Small feet, toes out.');
    await press(page, 'Record the change');
    await expect(page.getByText('On this device and on the server.')).toBeVisible();
    await press(page, 'Finish the lesson');

    // The log, newest first, from what to what.
    const card = page.getByTestId('log-card').first();
    await expect(card).toContainText('7-iron');
    const [, agreedWidth] = /47\.5\scm → ([\d.]+\scm)/.exec(await card.innerText())!;
    expect(Math.abs(Number.parseFloat(agreedWidth!) - to)).toBeLessThanOrEqual(0.5);
    await expect(card).toContainText('3° → ');
    await expect(card).toContainText('The stance is too wide.');
    await expect(card).toContainText('Wide and square: no turn.');
    await card.getByRole('link', { name: 'Both addresses on the plan' }).click();
    await expect(page.getByTestId('plan')).toBeVisible();
    await expect(page.locator('[data-part=width-figure]')).toHaveText(agreedWidth!);
    await page.getByRole('radio', { name: 'As they stood' }).click();
    await expect(page.locator('[data-part=width-figure]')).toHaveText('47.5 cm');
    await expect(page.getByTestId('finding-stanceWidth')).toContainText(WIDTH_BAND);

    // And as the database has it.
    const rows = await product.sql<{ reason: string; hand: string; width: number }>(
      `select change_entry.reason, student.hand, agreed.lead_heel_x - agreed.trail_heel_x as width
       from change_entry join student on student.id = change_entry.student_id
       join address_entry as agreed on agreed.id = change_entry.to_address_id
       where student.name = $1`,
      [name],
    );
    expect(rows).toHaveLength(1);
    expect(rows[0]).toMatchObject({ reason: 'Wide and square: no turn.', hand });
    expect(rows[0]!.width).toBeCloseTo(10 * Number.parseFloat(agreedWidth!), 0);
  });
}

test('an old reading says the same after the build is taken again', async ({ page, product }) => {
  await signIn(page, product);
  await student(page, 'Odile Brandvold').click();
  // A long log comes in pages; the oldest record is the last once all have come.
  const [counted] = await product.sql<{ records: number }>(
    "select count(*)::int as records from reading_entry join student on student.id = student_id where student.name like 'Odile%'",
  );
  const open = async () => {
    await expect(page.getByTestId('log-card')).toHaveCount(counted!.records);
    await page.getByTestId('log-card').last().getByRole('link').click();
  };
  await open();
  const before = await page.getByTestId('finding-stanceWidth').textContent();
  await page.goBack();
  await page.getByRole('link', { name: 'Edit' }).click();
  await page.getByLabel('Shoulders, outer edge to outer edge, cm').fill('44');
  await press(page, 'Save');
  await expect(page.getByText('44.0 cm ± 0.8 cm')).toBeVisible();
  await open();
  expect(await page.getByTestId('finding-stanceWidth').textContent()).toBe(before);
});

test('bad input names the field, what was expected and what was found, and keeps what was typed', async ({
  page,
  product,
}) => {
  await signIn(page, product);
  await press(page, 'Add a student');
  await page.getByLabel('Name').fill('Bad Inputson');
  await page.getByLabel('Height, cm').fill('17.8');
  await press(page, 'Save and start a lesson');
  await expect(page.getByText('▲ Hand: expected right or left, found neither')).toBeVisible();
  await expect(page.getByText('▲ Height: expected 90 to 230 cm, found “17.8”')).toBeVisible();
  await expect(page.getByLabel('Name')).toHaveValue('Bad Inputson');
  await press(page, 'Cancel');
  await expect(student(page, 'Bad Inputson')).toHaveCount(0);

  // Somebody whom no other test has chosen a club for.
  await press(page, 'Add a student');
  await page.getByLabel('Name').fill('Good Inputson');
  await page.getByRole('radio', { name: 'Left-handed' }).click();
  await page.getByLabel('Year of birth').fill('1981');
  await page.getByLabel('Height, cm').fill('178');
  await press(page, 'Save and start a lesson');
  await step(page, 'read');
  await expect(page.getByText('Choose it first.')).toBeVisible();
  await step(page, 'club');
  await page.getByRole('radio', { name: 'Driver', exact: true }).click();
  await expect(page.getByRole('radio', { name: 'Pitch', exact: true })).toBeDisabled();
  await page.getByLabel('Club length, in').fill('49');
  await expect(page.getByText(/expected 18 to 48\sin \(Equipment Rules of golf.*found “49”/)).toBeVisible();
  await press(page, 'Place the feet');
  await page.getByTestId('row-leadFlare').click();
  await press(page, 'Type Lead flare');
  await page.getByTestId('desk').getByRole('textbox').fill('95');
  await press(page, 'Set the typed figure');
  await expect(page.getByText('▲ Lead flare: expected −45 to 90°, found “95”')).toBeVisible();
});

test('the browser’s back goes back a screen at a time', async ({ page, product }) => {
  await signIn(page, product);
  await student(page, 'Gunnar Oxthwaite').click();
  await page.getByTestId('log-card').first().getByRole('link').click();
  await expect(page.getByTestId('plan')).toBeVisible();
  await page.goBack();
  await expect(page.getByTestId('log-card').first()).toBeVisible();
  await page.goBack();
  await expect(page.getByRole('heading', { name: 'Students' })).toBeVisible();
  expect(new URL(page.url()).pathname).toBe('/students');
});
