import type { Identity } from '@pedastance/contract';
import type { ClientBase, Pool } from 'pg';

export interface Account {
  identity: Identity;
  passwordHash: string;
  demo: boolean;
  /** Seals what a sign-out leaves on a device; 256 bits, base64. */
  deviceKey: string;
}

/** The account of an e-mail address, through the doorman: no academy is known yet. */
export async function accountByEmail(pool: Pool, email: string): Promise<Account | undefined> {
  const { rows } = await pool.query('select * from sign_in_lookup($1)', [email]);
  const row = rows[0];
  return (
    row && {
      identity: {
        academyId: row.academy_id,
        academyName: row.academy_name,
        instructorId: row.instructor_id,
        instructorName: row.instructor_name,
      },
      passwordHash: row.password_hash,
      demo: row.demo,
      deviceKey: row.device_key.toString('base64'),
    }
  );
}

export interface NewAccount extends Identity {
  email: string;
  passwordHash: string;
  demo: boolean;
}

/** Adds an instructor, and the academy where it is new, as the owner. */
export async function addAccount(owner: ClientBase, account: NewAccount, madeAt: Date): Promise<void> {
  await owner.query(
    'insert into academy (id, name, created_at) values ($1, $2, $3) on conflict (id) do nothing',
    [account.academyId, account.academyName, madeAt],
  );
  await owner.query(
    `insert into instructor (academy_id, id, email, name, password_hash, demo, created_at)
     values ($1, $2, $3, $4, $5, $6, $7)`,
    [
      account.academyId,
      account.instructorId,
      account.email,
      account.instructorName,
      account.passwordHash,
      account.demo,
      madeAt,
    ],
  );
}
