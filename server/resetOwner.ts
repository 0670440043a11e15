import { randomBytes } from 'node:crypto';
import { Client } from 'pg';
import { v7 as uuidv7 } from 'uuid';
import { tokenHash } from './accounts/sessions';
import { readOwnerReset } from './config/settings';
import { makeOwnReset } from './store/accounts';

const HOUR_MS = 60 * 60 * 1000;

/** Makes a link that lets an owner set a new password, for whom no other owner can; run by the administrator. */
async function main(): Promise<void> {
  const { adminUrl, email, origin } = readOwnerReset(process.env);
  const code = randomBytes(32).toString('base64url');
  const client = new Client({ connectionString: adminUrl });
  await client.connect();
  try {
    await client.query('set role pedastance_owner');
    const at = new Date();
    const until = new Date(at.getTime() + HOUR_MS);
    const made = await makeOwnReset(client, { id: uuidv7(), email, codeHash: tokenHash(code), until }, at);
    if (!made) throw new Error(`no owner who is in has the address ${email}`);
  } finally {
    await client.end();
  }
  process.stdout.write(
    `Open this within an hour, once, and hand it to nobody else:\n${origin}/reset#${code}\n`,
  );
}

main().catch((error: Error) => {
  process.stderr.write(`No link was made: ${error.message}\n`);
  process.exit(1);
});
