import type { Client } from 'pg';
import { APPLICATION_ROLE, signInRole } from '../config/settings';

const BACKUP_ROLE = 'pedastance_backup';
const DUPLICATE_ROLE = ['42710', '23505'];

async function createRole(client: Client, role: string): Promise<void> {
  try {
    await client.query(`create role ${role} nosuperuser nobypassrls nocreatedb nocreaterole`);
  } catch (error) {
    // Roles belong to the whole cluster: another database of it, or another server starting now, made it.
    if (!DUPLICATE_ROLE.includes((error as { code?: string }).code ?? '')) throw error;
  }
}

/** Reads everything for a backup, past row-level security, and writes nothing. Only a superuser makes such a role. */
async function prepareBackupRole(client: Client): Promise<void> {
  const { rows } = await client.query('select rolsuper from pg_roles where rolname = current_user');
  if (!rows[0].rolsuper) return;
  await createRole(client, BACKUP_ROLE);
  await client.query(`alter role ${BACKUP_ROLE} nologin bypassrls`);
  await client.query(`grant pg_read_all_data to ${BACKUP_ROLE}`);
}

/**
 * Makes the four roles as whom nobody signs in (the owner of the tables, the doorman, the eraser, and
 * the application's), and the one that signs in to this database and may do what the application may.
 * None of these can bypass row-level security; the role for backups, as whom nobody signs in either, can, to read. Safe to run again.
 */
export async function prepareRoles(client: Client, applicationPassword: string): Promise<void> {
  const { rows } = await client.query<{ database: string }>('select current_database() as database');
  const signsIn = signInRole(rows[0]!.database);
  for (const role of [
    'pedastance_owner',
    'pedastance_doorman',
    'pedastance_eraser',
    APPLICATION_ROLE,
    signsIn,
  ]) {
    await createRole(client, role);
  }
  await client.query(`alter role ${APPLICATION_ROLE} nologin password null`);
  await client.query(
    `alter role ${signsIn} login inherit password ${client.escapeLiteral(applicationPassword)}`,
  );
  // A statement that runs this long is given up, and its request is retried; so is a transaction left open.
  await client.query(`alter role ${signsIn} set statement_timeout = '15s'`);
  // Compiling a query takes longer than any of ours runs.
  await client.query(`alter role ${signsIn} set jit = off`);
  await client.query(`alter role ${signsIn} set idle_in_transaction_session_timeout = '30s'`);
  await client.query(`grant ${APPLICATION_ROLE} to ${signsIn}`);
  await client.query(
    'grant pedastance_owner, pedastance_doorman, pedastance_eraser, pedastance_app to current_user',
  );
  await client.query('grant pedastance_doorman, pedastance_eraser to pedastance_owner');
  await client.query('revoke create on schema public from public');
  await client.query('grant usage, create on schema public to pedastance_owner with grant option');
  await client.query(
    `grant usage on schema public to ${APPLICATION_ROLE}, pedastance_doorman, pedastance_eraser`,
  );
  await prepareBackupRole(client);
}
