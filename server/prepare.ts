import { applicationUrl, databaseOf, readPreparation, signInRole } from './config/settings';
import { DEMO_SIGN_IN, loadDemoWhenEmpty } from './demo/load';
import { indexOlderStudents, migrate } from './store/migrate';

/**
 * Brings the database up to date and fills it with the demo where it is empty. It runs before the server,
 * in a process of its own, so that the server never holds the administrator's address. A parent process
 * is told the address that the server works with.
 */
async function main(): Promise<void> {
  const { adminUrl, applicationPassword, demo } = readPreparation(process.env);
  const say = (line: string) => process.stdout.write(`${line}\n`);
  const ran = await migrate(adminUrl, applicationPassword);
  if (ran.length > 0) say(`Migrated: ${ran.join(', ')}`);
  await indexOlderStudents(adminUrl);
  if (demo && (await loadDemoWhenEmpty(adminUrl, new Date()))) say('Loaded the demo academies.');
  if (!process.send) say(`The server signs in as ${signInRole(databaseOf(adminUrl))}.`);
  process.send?.({
    databaseUrl: applicationUrl(adminUrl, applicationPassword),
    demoSignIn: demo ? DEMO_SIGN_IN : undefined,
  });
}

main().then(
  () => process.disconnect?.(),
  (error: Error) => {
    process.stderr.write(`The server did not start: the database is not ready, ${error.message}\n`);
    process.exit(1);
  },
);
