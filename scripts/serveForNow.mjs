// The real server with the demo data on a cluster of its own that is thrown away: for the bench and the pictures.
import { spawn } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { join } from 'node:path';
import { openThrowawayCluster } from './database.mjs';
import { ROOT, freePort } from './tools.mjs';
import { WEB_ROOT } from './webBuild.mjs';

/** Starts it, and answers its address and how to stop it and clear it away. */
export async function serveForNow() {
  const cluster = await openThrowawayCluster();
  const port = await freePort();
  const secret = randomBytes(32).toString('base64url');
  const server = spawn(process.execPath, ['--import', 'tsx', join(ROOT, 'server', 'main.ts')], {
    cwd: ROOT,
    env: {
      ...process.env,
      PORT: String(port),
      DATABASE_ADMIN_URL: cluster.adminUrl,
      APPLICATION_PASSWORD: secret,
      SESSION_SECRET: secret,
      WEB_ROOT,
    },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  await new Promise((resolve, reject) => {
    server.stdout.on('data', (data) => data.toString().includes('Ready at') && resolve());
    server.on('exit', () => reject(new Error('the server did not start')));
  });
  const stop = async () => {
    server.removeAllListeners('exit');
    const gone = new Promise((resolve) => server.once('exit', resolve));
    server.kill('SIGTERM');
    await gone;
    await cluster.stop();
  };
  return { origin: `http://127.0.0.1:${port}`, stop };
}
