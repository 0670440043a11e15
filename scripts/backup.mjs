// Writes a backup of the whole database: npm run backup -- FILE
import { existsSync, renameSync, rmSync, chmodSync, statSync } from 'node:fs';
import { resolve } from 'node:path';
import { asAdministrator, fileGiven, postgresProgram } from './administer.mjs';
import { Trouble, fail, must, say } from './tools.mjs';

/** Reads past row-level security, and writes nothing. */
const BACKUP_ROLE = 'pedastance_backup';

async function backup() {
  const file = resolve(fileGiven('npm run backup -- FILE'));
  if (existsSync(file)) throw new Trouble(`${file} is there already; name another file.`);
  const making = `${file}.part`;
  await asAdministrator(async ({ adminUrl, erasuresFile }) => {
    const args = ['--format=custom', `--role=${BACKUP_ROLE}`, `--file=${making}`, `--dbname=${adminUrl}`];
    try {
      await must('The backup', await postgresProgram('pg_dump'), args, { quiet: true });
      chmodSync(making, 0o600);
      renameSync(making, file);
    } finally {
      rmSync(making, { force: true });
    }
    say(`Backed up to ${file}, ${Math.ceil(statSync(file).size / 1024)} kB.`);
    say(`Keep ${erasuresFile} too, apart from it: restoring erases again by it.`);
  });
}

backup().catch(fail);
