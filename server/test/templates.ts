/**
 * Makes the databases that suites clone: one migrated, one filled with the demo as well. Run once by
 * the test command, with TEST_DATABASE_URL; whoever finds no template migrates by itself.
 */
import { Client } from 'pg';
import { loadDemoWhenEmpty } from '../demo/load';
import { migrate } from '../store/migrate';

const APPLICATION_PASSWORD = 'a password for tests alone';
export const MIGRATED = 'template_migrated';
export const DEMO = 'template_demo';

async function makeTemplates(clusterUrl: string): Promise<void> {
  const addressOf = (name: string) => {
    const url = new URL(clusterUrl);
    url.pathname = `/${name}`;
    return url.href;
  };
  const client = new Client({ connectionString: clusterUrl });
  await client.connect();
  await client.query(`create database ${MIGRATED}`);
  await migrate(addressOf(MIGRATED), APPLICATION_PASSWORD);
  await client.query(`create database ${DEMO} template ${MIGRATED}`);
  await migrate(addressOf(DEMO), APPLICATION_PASSWORD);
  await loadDemoWhenEmpty(addressOf(DEMO), new Date());
  await client.end();
}

if (require.main === module) {
  makeTemplates(process.env.TEST_DATABASE_URL!).catch((error: Error) => {
    process.stderr.write(`${error.stack}\n`);
    process.exit(1);
  });
}
