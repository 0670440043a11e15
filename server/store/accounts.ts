import type { AcademyPeople, Identity, InviteTo, OwnSession, ResetOf, Role } from '@pedastance/contract';
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
        role: row.role,
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

/** Whether the academy at hand is one of made-up students. */
export async function isMadeUp(client: ClientBase): Promise<boolean> {
  const { rows } = await client.query<{ made_up: boolean }>(
    'select made_up from academy where id = current_academy()',
  );
  return rows[0]?.made_up ?? false;
}

/** Adds an instructor, and the academy where it is new, as the owner. */
export async function addAccount(owner: ClientBase, account: NewAccount, madeAt: Date): Promise<void> {
  await owner.query(
    'insert into academy (id, name, created_at, made_up) values ($1, $2, $3, $4) on conflict (id) do nothing',
    [account.academyId, account.academyName, madeAt, account.madeUp ?? account.demo],
  );
  await owner.query(
    `insert into instructor (academy_id, id, email, name, password_hash, demo, role, created_at)
     values ($1, $2, $3, $4, $5, $6, $7, $8)`,
    [
      account.academyId,
      account.instructorId,
      account.email,
      account.instructorName,
      account.passwordHash,
      account.demo,
      account.role ?? 'owner',
      madeAt,
    ],
  );
}

/** Somebody who begins an academy, or joins one. */
export interface Newcomer {
  instructorId: string;
  name: string;
  email: string;
  passwordHash: string;
}

/** Begins an academy with its first owner; false where the address is known already. */
export async function startAcademy(
  client: ClientBase,
  academy: { id: string; name: string },
  { instructorId, name, email, passwordHash }: Newcomer,
  at: Date,
): Promise<boolean> {
  const { rows } = await client.query('select academy_start($1, $2, $3, $4, $5, $6, $7) as started', [
    academy.id,
    academy.name,
    instructorId,
    name,
    email,
    passwordHash,
    at,
  ]);
  return rows[0].started;
}

/** What an open invitation is to; undefined where there is none. */
export async function findInvite(pool: Pool, codeHash: Buffer, at: Date): Promise<InviteTo | undefined> {
  const { rows } = await pool.query(
    `select academy_name as "academyName", invited_by as "invitedBy", role from invite_find($1, $2)`,
    [codeHash, at],
  );
  return rows[0];
}

export type Joined = 'joined' | 'no invitation' | 'known address';

/** Joins an academy by an invitation, once. */
export async function acceptInvite(
  pool: Pool,
  codeHash: Buffer,
  { instructorId, name, email, passwordHash }: Newcomer,
  at: Date,
): Promise<Joined> {
  const { rows } = await pool.query('select invite_accept($1, $2, $3, $4, $5, $6) as joined', [
    codeHash,
    instructorId,
    name,
    email,
    passwordHash,
    at,
  ]);
  return rows[0].joined;
}

/** Who is in this academy, those first who are still in, and the invitations that are open. */
export async function academyPeople(client: ClientBase, at: Date): Promise<AcademyPeople> {
  const colleagues = await client.query(
    `select id, name, role, created_at as since, ended_at as "endedAt" from instructor
     where academy_id = current_academy()
     order by ended_at nulls first, created_at, id`,
  );
  const invites = await client.query(
    `select invite.id, invite.role, instructor.name as "invitedBy", invite.made_at as "madeAt",
       invite.expires_at as "expiresAt"
     from invite join instructor on instructor.academy_id = invite.academy_id and instructor.id = invite.made_by
     where invite.academy_id = current_academy() and invite.used_at is null and invite.withdrawn_at is null
       and invite.expires_at > $1
     order by invite.made_at`,
    [at],
  );
  return { colleagues: colleagues.rows, invites: invites.rows };
}

/** Whether somebody is an owner of this academy and still in. */
export async function isOwner(client: ClientBase, instructorId: string): Promise<boolean> {
  const { rows } = await client.query('select is_owner_here($1) as owner', [instructorId]);
  return rows[0].owner;
}

export interface ColleagueChange {
  actor: string;
  whom: string;
  role: Role;
  ends: boolean;
}

export type ColleagueChanged = 'done' | 'not an owner' | 'nobody' | 'last owner';

/** Changes a colleague's role, or ends access and every session at once. */
export async function changeColleague(
  client: ClientBase,
  { actor, whom, role, ends }: ColleagueChange,
  at: Date,
): Promise<ColleagueChanged> {
  const { rows } = await client.query('select colleague_change($1, $2, $3, $4, $5) as changed', [
    actor,
    whom,
    role,
    ends,
    at,
  ]);
  return rows[0].changed;
}

/** Whether an owner ended this instructor's access. */
export async function accessHasEnded(pool: Pool, academyId: string, instructorId: string): Promise<boolean> {
  const { rows } = await pool.query('select access_has_ended($1, $2) as ended', [academyId, instructorId]);
  return rows[0].ended;
}

/** Withdraws an open invitation, as an owner; false where there is none to withdraw. */
export async function withdrawInvite(
  client: ClientBase,
  actor: string,
  id: string,
  at: Date,
): Promise<boolean> {
  const { rows } = await client.query('select invite_withdraw($1, $2, $3) as withdrawn', [actor, id, at]);
  return rows[0].withdrawn;
}

/** The account behind an open session. */
export async function ownAccount(
  pool: Pool,
  token: Buffer,
  at: Date,
): Promise<{ email: string; passwordHash: string; demo: boolean } | undefined> {
  const { rows } = await pool.query(
    `select email, password_hash as "passwordHash", demo from own_account($1, $2)`,
    [token, at],
  );
  return rows[0];
}

/** Changes the password behind an open session and ends the others; false where it was changed meanwhile. */
export async function changePassword(
  pool: Pool,
  token: Buffer,
  { shownHash, newHash }: { shownHash: string; newHash: string },
  at: Date,
): Promise<boolean> {
  const { rows } = await pool.query('select password_change($1, $2, $3, $4) as changed', [
    token,
    shownHash,
    newHash,
    at,
  ]);
  return rows[0].changed;
}

/** Makes a session at home where it is used, for who showed the password; false where it has changed meanwhile. */
export async function confirmSession(
  pool: Pool,
  token: Buffer,
  shownHash: string,
  { device, network }: { device: string; network: Buffer },
  at: Date,
): Promise<boolean> {
  const { rows } = await pool.query('select session_confirm($1, $2, $3, $4, $5) as confirmed', [
    token,
    shownHash,
    device,
    network,
    at,
  ]);
  return rows[0].confirmed;
}

export async function ownSessions(pool: Pool, token: Buffer, at: Date): Promise<OwnSession[]> {
  const { rows } = await pool.query(
    `select id, device, opened_at as "openedAt", expires_at as "expiresAt", here from own_sessions($1, $2)`,
    [token, at],
  );
  return rows;
}

/** Ends another session of one's own; false where there is none such. */
export async function endOwnSession(pool: Pool, token: Buffer, id: string, at: Date): Promise<boolean> {
  const { rows } = await pool.query('select own_session_end($1, $2, $3) as ended', [token, id, at]);
  return rows[0].ended;
}

export interface NewResetLink {
  actor: string;
  whom: string;
  id: string;
  codeHash: Buffer;
  until: Date;
}

/** Makes a link that sets a colleague's password, as an owner. */
export async function makeResetLink(
  client: ClientBase,
  { actor, whom, id, codeHash, until }: NewResetLink,
  at: Date,
): Promise<'made' | 'not an owner' | 'nobody'> {
  const { rows } = await client.query('select reset_make($1, $2, $3, $4, $5, $6) as made', [
    actor,
    whom,
    id,
    codeHash,
    at,
    until,
  ]);
  return rows[0].made;
}

/** Makes a link for an owner by the address, as the administrator; false where no owner who is in has it. */
export async function makeOwnReset(
  owner: ClientBase,
  { id, email, codeHash, until }: { id: string; email: string; codeHash: Buffer; until: Date },
  at: Date,
): Promise<boolean> {
  const { rowCount } = await owner.query(
    `insert into reset_link (academy_id, id, code_hash, instructor_id, made_by, made_at, expires_at)
     select academy_id, $1, $2, id, id, $3, $4 from instructor
     where email = $5 and role = 'owner' and ended_at is null and not demo`,
    [id, codeHash, at, until, email],
  );
  return rowCount === 1;
}

/** Whose password an open link sets; undefined where there is none such. */
export async function findResetLink(pool: Pool, codeHash: Buffer, at: Date): Promise<ResetOf | undefined> {
  const { rows } = await pool.query(
    `select academy_name as "academyName", instructor_name as "instructorName" from reset_find($1, $2)`,
    [codeHash, at],
  );
  return rows[0];
}

/** Sets the password by an open link, once; false where there is none such. */
export async function useResetLink(
  pool: Pool,
  codeHash: Buffer,
  newHash: string,
  at: Date,
): Promise<boolean> {
  const { rows } = await pool.query('select reset_use($1, $2, $3) as used', [codeHash, newHash, at]);
  return rows[0].used;
}

/** Puts new recovery codes in place of the old ones; false where the password was changed meanwhile. */
export async function renewRecoveryCodes(
  pool: Pool,
  token: Buffer,
  shownHash: string,
  codeHashes: readonly Buffer[],
  at: Date,
): Promise<boolean> {
  const { rows } = await pool.query('select recovery_renew($1, $2, $3, $4) as renewed', [
    token,
    shownHash,
    codeHashes,
    at,
  ]);
  return rows[0].renewed;
}

/** How many recovery codes are left to the account behind an open session. */
export async function recoveryCodesLeft(pool: Pool, token: Buffer, at: Date): Promise<number> {
  const { rows } = await pool.query('select recovery_left($1, $2) as left', [token, at]);
  return rows[0].left;
}

/** Sets the password by a recovery code, once; false where address and code do not belong together. */
export async function useRecoveryCode(
  pool: Pool,
  { email, codeHash, newHash }: { email: string; codeHash: Buffer; newHash: string },
  at: Date,
): Promise<boolean> {
  const { rows } = await pool.query('select recovery_use($1, $2, $3, $4) as used', [
    email,
    codeHash,
    newHash,
    at,
  ]);
  return rows[0].used;
}
