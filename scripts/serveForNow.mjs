// The real server with the demo data on a cluster of its own that is thrown away: for the bench and the pictures.
import { randomBytes } from 'node:crypto';
import { openThrowawayCluster } from './database.mjs';
import { prepareDatabase, startServer } from './server.mjs';
import { freePort } from './tools.mjs';
import { WEB_ROOT } from './webBuild.mjs';

/** Starts it, and answers its address, and how to stop it and clear it away. */
export async function serveForNow() {
  const cluster = await openThrowawayCluster();
  const port = await freePort();
  const secret = randomBytes(32).toString('base64url');
  const { databaseUrl } = await prepareDatabase({
    DATABASE_ADMIN_URL: cluster.adminUrl,
    APPLICATION_PASSWORD: secret,
    DEMO: '1',
  });
  const environment = {
    PORT: String(port),
    DATABASE_URL: databaseUrl,
    SESSION_SECRET: secret,
    WEB_ROOT,
    LOG_LEVEL: 'warn',
  };
  const begin = () =>
    new Promise((resolve, reject) => {
      const started = startServer(environment, () => resolve(started));
      void started.ended.then(() => reject(new Error('the server did not start')));
    });
  let server = await begin();
  const end = async () => {
    server.stop();
    await server.ended;
  };
  const stop = async () => {
    await end();
    await cluster.stop();
  };
  /** A server that has done nothing yet, on the same database; answers its process. */
  const restart = async () => {
    await end();
    server = await begin();
    return server.pid;
  };
  return { origin: `http://127.0.0.1:${port}`, adminUrl: cluster.adminUrl, restart, stop };
}
