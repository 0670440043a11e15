import { expect, openLesson, press, signIn, step, student, test, typeFigure } from './product';

test('one judgement: read, changed, recorded and found again; where body and method part the student’s own band holds', async ({
  page,
  product,
}) => {
  const name = 'Odile Brandvold';
  await signIn(page, product);
  await openLesson(page, name, '8-iron');
  await typeFigure(page, 'leadFlare', 'Lead flare', '15');
  await typeFigure(page, 'trailFlare', 'Trail flare', '4');
  await typeFigure(page, 'stanceWidth', 'Width, heel to heel', '36');
  await step(page, 'read');
  const judgement = page.getByTestId('judgement');
  await expect(judgement).toContainText(
    /Going back the trail leg stops the hips at about \d+°; 48° is needed/,
  );
  await expect(judgement).toContainText(/Turn the trail foot out \d+°/);
  await expect(judgement).toContainText(/Backswing about \d+°, 48° needed/);
  await expect(judgement).toContainText(/Your method wants trail flare at 12 to 18°\. This body needs \d+°/);

  // The student's own band, for this club: used at once, shown with its day, and kept in the log.
  const choices = page.getByTestId('parting-choices');
  await choices.getByRole('button', { name: /^For this club: trail flare/ }).click();
  await expect(page.getByTestId('own-bands')).toContainText(
    /This student’s own: trail flare \d+ to \d+°. Agreed/,
  );
  await expect(judgement).not.toContainText('Your method wants trail flare');
  await expect(page.getByTestId('status-strip')).toHaveText('', { timeout: 20_000 });
  const kept = () =>
    product.sql<{ item: string; club: string; ended: boolean }>(
      `select item, club, ended from exception_entry join student on student.id = exception_entry.student_id
       join log_entry on log_entry.id = exception_entry.id where student.name = $1 order by log_entry.made_at`,
      [name],
    );
  expect(await kept()).toEqual([{ item: 'trailFlare', club: '8-iron', ended: false }]);

  // The same thing is offered in the change, taken, and left again.
  const told = /Turn the trail foot out \d+°, to \d+° out/.exec(await judgement.innerText())![0];
  await step(page, 'change');
  await expect(page.getByTestId('instruction')).toContainText(told);
  await press(page, 'Take: Trail foot');
  await expect(page.getByTestId('instruction')).toContainText(told);
  await press(page, 'Leave: Trail foot');
  await expect(page.getByTestId('instruction')).toContainText('Nothing is changed yet');
  // What the coach leaves as it is is not asked for, and kept with the judgement.
  await press(page, 'Leave something as it is');
  await page.getByRole('checkbox', { name: 'Lead heel', exact: true }).click();
  await expect(page.getByTestId('things-to-do')).not.toContainText('Lead heel');
  await expect(page.getByTestId('instruction')).not.toContainText('lead heel');
  await page.getByRole('checkbox', { name: 'Lead heel', exact: true }).click();
  await page.getByRole('checkbox', { name: 'Ball', exact: true }).click();
  await expect(page.getByTestId('instruction')).toContainText(told);
  await press(page, 'Take: Trail foot');

  // A record keeps the judgement it was made with; the student's page begins with it.
  await step(page, 'keep');
  await page.getByRole('textbox', { name: 'Reason' }).fill('Room for the trail hip.');
  await press(page, 'Record the change');
  await expect(page.getByText('On this device and on the server.')).toBeVisible({ timeout: 20_000 });
  await page.goto(`${product.origin}/students`);
  await student(page, name).click();
  await expect(page.getByTestId('judgement')).toContainText(told);
  await page.getByTestId('log-card').first().getByRole('link').click();
  await expect(page.getByTestId('judgement').last()).toContainText(told);
  const [row] = await product.sql<{ thing: string; cause: string; pinned: string[]; shots: boolean }>(
    `select judgement -> 'things' -> 0 ->> 'thing' as thing, judgement -> 'things' -> 0 ->> 'cause' as cause,
       judgement -> 'pinned' as pinned, jsonb_array_length(judgement -> 'shotIds') > 0 as shots
     from reading_entry join log_entry using (id) join student on student.id = reading_entry.student_id
     where student.name = $1 order by log_entry.made_at desc limit 1`,
    [name],
  );
  expect(row).toEqual({ thing: 'trail foot', cause: 'trail leg back', pinned: ['ballAlong'], shots: true });

  // What was agreed is the student's own from then on, until it is let go; then what was given before holds, until that ends.
  await page.goto(`${product.origin}/students`);
  await student(page, name).click();
  await press(page, 'Go on with the lesson');
  await step(page, 'club');
  await page.getByRole('radio', { name: '8-iron', exact: true }).click();
  await press(page, 'Place the feet');
  await typeFigure(page, 'trailFlare', 'Trail flare', '4');
  await step(page, 'read');
  await expect(page.getByTestId('agreed-bands')).toContainText(
    /Agreed .*: trail flare \d+°\. The method has 12 to 18°\./,
  );
  await expect(page.getByTestId('own-bands')).toHaveCount(0);
  await press(page, /^Let it go: trail flare/);
  await expect(page.getByTestId('agreed-bands')).toHaveCount(0);
  await press(page, /^End it/);
  await expect(page.getByTestId('own-bands')).toHaveCount(0);
  await expect.poll(kept).toHaveLength(3);
});
