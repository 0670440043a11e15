// The real server with the demo data on a cluster of its own that is thrown away: for the bench and the pictures.
import { randomBytes } from 'node:crypto';
import { openThrowawayCluster } from './database.mjs';
import { prepareDatabase, startServer } from './server.mjs';
import { freePort } from './tools.mjs';
import { WEB_ROOT } from './webBuild.mjs';

/** Starts it, and answers its address, its process, and how to stop it and clear it away. */
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
  const server = await new Promise((resolve, reject) => {
    const started = startServer(environment, () => resolve(started));
    void started.ended.then(() => reject(new Error('the server did not start')));
  });
  const stop = async () => {
    server.stop();
    await server.ended;
    await cluster.stop();
  };
  return { origin: `http://127.0.0.1:${port}`, adminUrl: cluster.adminUrl, pid: server.pid, stop };
}
