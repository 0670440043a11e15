import { expect, LONG_PASSWORD, press, startAcademy, test, type Product } from './product';

test('a passkey is made with the password, signs in without it, and signs nobody in once it has ended', async ({
  page,
  product,
}) => {
  // Browsers have passkeys for names alone.
  const origin = product.origin.replace('127.0.0.1', 'localhost');
  const session = await page.context().newCDPSession(page);
  await session.send('WebAuthn.enable');
  await session.send('WebAuthn.addVirtualAuthenticator', {
    options: {
      ...{ protocol: 'ctap2', transport: 'internal', hasResidentKey: true, hasUserVerification: true },
      ...{ isUserVerified: true, automaticPresenceSimulation: true },
    },
  });
  await startAcademy(page, { origin } as Product, 'passkey@windy.example');
  await page.goto(`${origin}/academy`);
  const password = page.getByLabel('Your password, to make a passkey');
  await password.fill('not this one');
  await press(page, 'Make a passkey');
  await expect(page.getByText('Expected your password as it is now, found another.')).toBeVisible();
  await password.fill(LONG_PASSWORD);
  await press(page, 'Make a passkey');
  const passkeys = page.getByTestId('passkeys');
  await expect(passkeys.getByText(/^Chrom\w+ on Linux$/)).toBeVisible();
  await expect(passkeys.getByText(/not used yet$/)).toBeVisible();

  const signOut = async () => {
    await page.goto(`${origin}/settings`);
    await press(page, 'Sign out');
  };
  await signOut();
  await press(page, 'Sign in with a passkey');
  await expect(page.getByRole('heading', { name: 'Students' })).toBeVisible();
  await page.goto(`${origin}/academy`);
  await expect(passkeys.getByText(/last used/)).toBeVisible();
  await passkeys.getByRole('button', { name: 'End this passkey' }).click();
  await expect(passkeys.getByText(/last used/)).toHaveCount(0);
  await signOut();
  await press(page, 'Sign in with a passkey');
  await expect(page.getByText(/This passkey signs nobody in here/)).toBeVisible();
});
