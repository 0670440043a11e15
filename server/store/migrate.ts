import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { Client } from 'pg';
import { prepareRoles } from './roles';
import { indexMissingWords } from './students';

const MIGRATIONS = join(__dirname, '..', 'migrations');
/** One lock for all servers on a database; the number means nothing else. */
const MIGRATION_LOCK = 7_461_200_331;
/** Roles are shared by all databases of a cluster, so making them takes a lock of the cluster's own table. */
const ROLES_RETRY_CODE = 'XX000';

const NUMBERED = /^\d{4}_[a-z_]+\.sql$/;

async function migrationNames(): Promise<string[]> {
  return (await readdir(MIGRATIONS)).filter((name) => NUMBERED.test(name)).sort();
}

/** Makes the cluster's roles, taking turns with servers of its other databases. */
export async function makeRoles(client: Client, password: string): Promise<void> {
  for (let tries = 1; ; tries += 1) {
    try {
      return await prepareRoles(client, password);
    } catch (error) {
      // "tuple concurrently updated": a server of another database is at the same roles this moment.
      if ((error as { code?: string }).code !== ROLES_RETRY_CODE || tries === 20) throw error;
      await new Promise((resolve) => setTimeout(resolve, 50 * tries));
    }
  }
}

async function applyMissing(client: Client, last: string | undefined): Promise<string[]> {
  await client.query('set role pedastance_owner');
  await client.query(`
    create table if not exists schema_migration (
      name text constraint schema_migration_key primary key,
      applied_at timestamptz not null default now()
    );
    alter table schema_migration enable row level security;
    alter table schema_migration force row level security;
    drop policy if exists schema_migration_owner on schema_migration;
    create policy schema_migration_owner on schema_migration to pedastance_owner using (true) with check (true);
  `);
  const applied = new Set(
    (await client.query('select name from schema_migration')).rows.map((row) => row.name),
  );
  const missing = (await migrationNames()).filter(
    (name) => !applied.has(name) && (last === undefined || name <= last),
  );
  for (const name of missing) {
    const sql = await readFile(join(MIGRATIONS, name), 'utf8');
    await client.query('begin');
    try {
      await client.query(sql);
      await client.query('insert into schema_migration (name) values ($1)', [name]);
      await client.query('commit');
    } catch (error) {
      await client.query('rollback');
      throw new Error(`migration ${name} failed: ${(error as Error).message}`, { cause: error });
    }
  }
  return missing;
}

/** Makes the search's words of students from before there was one. */
export async function indexOlderStudents(adminUrl: string): Promise<void> {
  const client = new Client({ connectionString: adminUrl });
  await client.connect();
  await indexMissingWords(client).finally(() => client.end());
}

/**
 * Runs what is missing of the numbered migrations, in order, each in a transaction of its own,
 * while holding a lock so that servers starting together take turns. Stops after `last` where one is
 * named. Answers what it ran.
 * @throws Error naming the migration that failed; nothing of that one is left behind.
 */
export async function migrate(
  adminUrl: string,
  applicationPassword: string,
  last?: string,
): Promise<string[]> {
  const client = new Client({ connectionString: adminUrl });
  await client.connect();
  try {
    await client.query('select pg_advisory_lock($1)', [MIGRATION_LOCK]);
    await makeRoles(client, applicationPassword);
    return await applyMissing(client, last);
  } finally {
    await client.end();
  }
}
