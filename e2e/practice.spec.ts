import { expect, press, shellKept, signIn, test } from './product';

test.use({ serviceWorkers: 'allow' });

test('a coach practises the eye with no connection: a guess, the truth, and how good the eye is', async ({
  page,
  product,
}) => {
  await signIn(page, product);
  await shellKept(page);
  await product.stop();
  await page.goto(`${product.origin}/practice`);
  const guess = page.getByLabel(/Your guess/);
  await guess.fill('a lot');
  await press(page, 'See');
  await expect(page.getByText(/Type a number/)).toBeVisible();
  await expect(page.getByTestId('true-lead')).toHaveCount(0);
  // The first picture’s lead toe points out by 10°.
  await guess.fill('16');
  await press(page, 'See');
  await expect(page.getByTestId('truth')).toHaveText('It is 10°. You said 6° too much.');
  await expect(page.getByTestId('true-lead')).toBeVisible();
  const pictured = await page
    .getByRole('img', { name: /player’s feet/ })
    .locator('image')
    .evaluate(async (image) => (await fetch(image.getAttribute('href')!)).ok);
  expect(pictured).toBe(true);
  await press(page, 'Next picture');
  await guess.fill('28');
  await press(page, 'See');
  await expect(page.getByTestId('truth')).toHaveText('It is 28°. Spot on.');
  await expect(page.getByTestId('eye-record')).toContainText('2 guesses: off by 4° as a rule.');
  await page.reload();
  await page.getByRole('button', { name: 'Width' }).click();
  await guess.fill('40');
  await press(page, 'See');
  await expect(page.getByTestId('eye-record')).toContainText('One guess');
  await product.start();
});
