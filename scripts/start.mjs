// Starts the product: installs what is missing, database, web app, server. With its demo data, or --empty.
import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { checkedDatabaseUrl } from './administer.mjs';
import { dataHome, openCluster, readSecrets } from './database.mjs';
import { prepareDatabase } from './server.mjs';
import { supervise } from './supervise.mjs';
import { ROOT, Trouble, fail, installPackages, portIsFree, say } from './tools.mjs';
import { WEB_ROOT, buildWeb } from './webBuild.mjs';

const DEFAULT_PORT = 4600;

function wantedPort() {
  const given = process.env.PORT ?? String(DEFAULT_PORT);
  const port = Number(given);
  if (!Number.isInteger(port) || port < 1 || port > 65535) {
    throw new Trouble(`PORT: expected a whole number from 1 to 65535, found "${given}".`);
  }
  return port;
}

/** Whether the demo is wanted: an academy that begins for real begins with none. */
function wantsDemo() {
  const strange = process.argv.slice(2).find((argument) => argument !== '--empty');
  if (strange) throw new Trouble(`Expected --empty or nothing, found "${strange}".`);
  return !process.argv.includes('--empty');
}

const isThisScript = (pid) => {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('start.mjs');
  } catch {
    return false;
  }
};

/** Two starts of one project would share a database that the first to stop takes away. */
function takeTurn(home, port) {
  const file = join(home, 'start.json');
  if (existsSync(file)) {
    const earlier = JSON.parse(readFileSync(file, 'utf8') || '{}');
    if (earlier.pid !== process.pid && isThisScript(earlier.pid)) {
      throw new Trouble(
        `It is started already, at port ${earlier.port} (process ${earlier.pid}). Stop that one with Ctrl-C first.`,
      );
    }
  }
  writeFileSync(file, JSON.stringify({ pid: process.pid, port }));
  return () => rmSync(file, { force: true });
}

/** The server's address at the place where the database is now, which may have moved to another port. */
function samePlace(databaseUrl, adminUrl) {
  const url = new URL(databaseUrl);
  url.host = new URL(adminUrl).host;
  return url.href;
}

async function start() {
  const port = wantedPort();
  const demo = wantsDemo();
  const host = process.env.HOST ?? '127.0.0.1';
  if (!(await portIsFree(port, host))) {
    throw new Trouble(
      `Port ${port} is in use by another program. Stop that program, or choose another port: PORT=${port + 1} npm start`,
    );
  }
  await installPackages();
  const given = process.env.DATABASE_URL && checkedDatabaseUrl(process.env.DATABASE_URL);
  const home = given ? join(ROOT, '.data') : await dataHome();
  const secrets = readSecrets(home);
  const leave = given ? () => undefined : takeTurn(home, port);
  let cluster;
  try {
    await buildWeb();
    cluster = given ? undefined : await openCluster(home);
    const { applicationPassword, sessionSecret } = secrets;
    const adminUrl = () => given ?? cluster.adminUrl;
    const { databaseUrl, demoSignIn } = await prepareDatabase({
      DATABASE_ADMIN_URL: adminUrl(),
      APPLICATION_PASSWORD: applicationPassword,
      DEMO: demo ? '1' : '0',
    });
    process.exitCode = await supervise({
      cluster,
      environment: () => ({
        PORT: String(port),
        HOST: host,
        DATABASE_URL: samePlace(databaseUrl, adminUrl()),
        SESSION_SECRET: process.env.SESSION_SECRET ?? sessionSecret,
        WEB_ROOT,
        // Requests are told to whoever asks for them.
        LOG_LEVEL: process.env.LOG_LEVEL ?? 'warn',
        ERASURES_FILE: process.env.ERASURES_FILE ?? join(home, 'erasures.jsonl'),
      }),
      ready: () => {
        if (!process.env.PUBLIC_ORIGIN)
          say(
            'For this machine alone: to be reached from elsewhere, or through a proxy, it needs PUBLIC_ORIGIN.',
          );
        if (!process.env.PUBLIC_ORIGIN && host === '127.0.0.1')
          say(`Passkeys need a name in the address: http://localhost:${port}`);
        if (demoSignIn && !process.env.PUBLIC_ORIGIN)
          say(`Demo sign-in: ${demoSignIn.email}  password: ${demoSignIn.password}`);
      },
    });
  } finally {
    await cluster?.stop();
    leave();
    if (cluster) say('Stopped, the database too.');
  }
}

start().catch(fail);
