// The product as the start command runs it, on a cluster that is thrown away: for what kills its parts.
import { randomBytes } from 'node:crypto';
import { openThrowawayCluster } from '../../scripts/database.mjs';
import { prepareDatabase } from '../../scripts/server.mjs';
import { supervise } from '../../scripts/supervise.mjs';
import { freePort, say } from '../../scripts/tools.mjs';
import { WEB_ROOT } from '../../scripts/webBuild.mjs';

const cluster = await openThrowawayCluster({ durable: true });
const secret = randomBytes(32).toString('base64url');
const port = await freePort();
const { databaseUrl } = await prepareDatabase({
  DATABASE_ADMIN_URL: cluster.adminUrl,
  APPLICATION_PASSWORD: secret,
  DEMO: '1',
});
await supervise({
  cluster,
  environment: () => ({
    PORT: String(port),
    DATABASE_URL: databaseUrl,
    SESSION_SECRET: secret,
    WEB_ROOT,
    LOG_LEVEL: 'warn',
  }),
  ready: () =>
    say(
      `RUNNING ${JSON.stringify({ origin: `http://127.0.0.1:${port}`, ...cluster, adminUrl: cluster.adminUrl })}`,
    ),
});
await cluster.stop();
