import type { OwnPasskey } from '@pedastance/contract';
import { MOST_PASSKEYS } from '@pedastance/contract/passkeys';
import type { Pool } from 'pg';

export interface KeptPasskey {
  id: string;
  publicKey: Buffer;
  counter: number;
}

/** Keeps a passkey of the account behind an open session, whose password hash is shown. */
export async function addPasskey(
  pool: Pool,
  token: Buffer,
  { id, publicKey, counter }: KeptPasskey,
  { shownHash, device }: { shownHash: string; device: string },
  at: Date,
): Promise<'made' | 'known' | 'changed' | 'too many'> {
  const { rows } = await pool.query('select passkey_add($1, $2, $3, $4, $5, $6, $7, $8) as added', [
    token,
    shownHash,
    id,
    publicKey,
    counter,
    device,
    MOST_PASSKEYS,
    at,
  ]);
  return rows[0].added;
}

/** The passkeys of the account behind an open session, the newest first. */
export async function ownPasskeys(pool: Pool, token: Buffer, at: Date): Promise<OwnPasskey[]> {
  const { rows } = await pool.query(
    `select id, device, made_at as "madeAt", used_at as "usedAt" from own_passkeys($1, $2)`,
    [token, at],
  );
  return rows;
}

/** Ends a passkey of one's own; false where there is none such. */
export async function endPasskey(pool: Pool, token: Buffer, id: string, at: Date): Promise<boolean> {
  const { rows } = await pool.query('select passkey_end($1, $2, $3) as ended', [token, id, at]);
  return rows[0].ended;
}

/** A passkey with the address of the account that it signs in to; undefined where there is none such. */
export async function findPasskey(
  pool: Pool,
  id: string,
): Promise<(KeptPasskey & { email: string }) | undefined> {
  const { rows } = await pool.query('select * from passkey_find($1)', [id]);
  const row = rows[0];
  return row && { id, email: row.email, publicKey: row.public_key, counter: Number(row.counter) };
}

/** Notes a passkey's answer to a challenge; false where the challenge was answered before. */
export async function notePasskeyUse(
  pool: Pool,
  { id, counter }: Pick<KeptPasskey, 'id' | 'counter'>,
  challenge: { hash: Buffer; ends: Date },
  at: Date,
): Promise<boolean> {
  const { rows } = await pool.query('select passkey_used($1, $2, $3, $4, $5) as used', [
    id,
    challenge.hash,
    counter,
    at,
    challenge.ends,
  ]);
  return rows[0].used;
}
