import { spawn } from 'node:child_process';
import { Client } from 'pg';
import { readRestoration, type Restoration } from './config/settings';
import { eraseAgain, type ErasedStudent } from './store/erasures';
import { erasuresIn } from './store/erasuresFile';
import { indexOlderStudents, makeRoles, migrate } from './store/migrate';

const say = (line: string) => process.stdout.write(`${line}\n`);

async function refuseUnlessEmpty(client: Client): Promise<void> {
  const { rows } = await client.query(
    `select count(*)::integer as tables from pg_class where relkind = 'r' and relnamespace = 'public'::regnamespace`,
  );
  if (rows[0].tables > 0)
    throw new Error('a backup is restored into an empty database alone, and this one has tables');
}

/** Runs PostgreSQL's own restore: all of the backup, or nothing. */
function restoreDump({ pgRestore, backupFile, adminUrl }: Restoration): Promise<void> {
  const args = ['--exit-on-error', '--single-transaction', `--dbname=${adminUrl}`, backupFile];
  const child = spawn(pgRestore, args, { stdio: ['ignore', 'inherit', 'inherit'] });
  return new Promise((resolve, reject) => {
    child.on('error', reject);
    child.on('close', (code) =>
      code === 0 ? resolve() : reject(new Error(`pg_restore ended with ${code}, and nothing was restored`)),
    );
  });
}

/** The erasures that a restore replays, read before anything is restored; a last line that was cut off is told. */
async function erasuresToReplay(erasuresFile: string): Promise<readonly ErasedStudent[]> {
  const { erased, torn } = await erasuresIn(erasuresFile);
  if (torn !== null)
    say(`The last line of ${erasuresFile} was cut off, and is passed over: ${torn.slice(0, 60)}`);
  return erased;
}

/** Erases whom the backup brought back, by the list that is kept apart from the database. */
async function replayErasures(client: Client, erasures: readonly ErasedStudent[]): Promise<number> {
  let replayed = 0;
  for (const erased of erasures) {
    await client.query('begin');
    await client.query('set local role pedastance_owner');
    if (await eraseAgain(client, erased)) replayed += 1;
    await client.query('commit');
  }
  return replayed;
}

/** Empties the database of what was restored: its schema is again as PostgreSQL makes it in every new database. */
const EMPTIED = `drop schema public cascade; create schema public authorization pg_database_owner;
  grant usage on schema public to public; comment on schema public is 'standard public schema'`;

/**
 * Restores a backup into an empty database: roles first, then the backup, then migrations that are newer than it, then
 * the erasures since. Run by the administrator; the server never holds these credentials.
 */
async function main(): Promise<void> {
  const restoration = readRestoration(process.env);
  const { adminUrl, applicationPassword, erasuresFile } = restoration;
  const client = new Client({ connectionString: adminUrl });
  await client.connect();
  try {
    await refuseUnlessEmpty(client);
    const erasures = await erasuresToReplay(erasuresFile);
    await makeRoles(client, applicationPassword);
    await restoreDump(restoration);
    try {
      const ran = await migrate(adminUrl, applicationPassword);
      if (ran.length > 0) say(`Migrated: ${ran.join(', ')}`);
      await indexOlderStudents(adminUrl);
      const replayed = await replayErasures(client, erasures);
      say(`Restored${replayed > 0 ? `; erased again: ${replayed}` : ''}.`);
    } catch (error) {
      // All or nothing: an erased student does not stay, and the restore can be run again.
      await client.query('rollback');
      await client.query(EMPTIED);
      throw error;
    }
  } finally {
    await client.end();
  }
}

main().catch((error: Error) => {
  process.stderr.write(`The backup was not restored: ${error.message}\n`);
  process.exit(1);
});
