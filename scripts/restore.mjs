// Restores a backup into an empty database: npm run restore -- FILE
import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import { asAdministrator, fileGiven, postgresProgram } from './administer.mjs';
import { runServerProgram } from './server.mjs';
import { Trouble, fail, installPackages } from './tools.mjs';

async function restore() {
  const file = resolve(fileGiven('npm run restore -- FILE'));
  if (!existsSync(file)) throw new Trouble(`${file} is not there.`);
  await installPackages();
  await asAdministrator(async ({ adminUrl, secrets, erasuresFile }) =>
    runServerProgram('restore', {
      DATABASE_ADMIN_URL: adminUrl,
      APPLICATION_PASSWORD: secrets.applicationPassword,
      BACKUP_FILE: file,
      ERASURES_FILE: erasuresFile,
      PG_RESTORE: await postgresProgram('pg_restore'),
    }),
  );
}

restore().catch(fail);
