import { readFileSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import { createServer as createSecureServer } from 'node:https';
import type { AddressInfo } from 'node:net';
import pino from 'pino';
import { openAttempts } from './accounts/attempts';
import { readSettings, type Settings } from './config/settings';
import { createApp } from './http/app';
import { openMatFeed } from './http/matFeed';
import { sweepUploads } from './http/upload';
import { openShotFeed } from './http/shotFeed';
import { startHousekeeping } from './store/housekeeping';
import { openDatabase } from './store/database';

function listener(settings: Settings, app: Parameters<typeof createServer>[1]): Server {
  const { tls } = settings;
  if (!tls) return createServer(app);
  return createSecureServer(
    { cert: readFileSync(tls.certificateFile), key: readFileSync(tls.keyFile) },
    app!,
  );
}

/** A file of an academy's records may take so long to come over a slow line, ms. */
const REQUEST_TIMEOUT_MS = 30 * 60_000;

const listening = (server: Server, { port, host }: Settings): Promise<void> =>
  new Promise((resolve, reject) => server.once('error', reject).listen(port, host, resolve));

async function main(): Promise<void> {
  const settings = readSettings(process.env);
  const log = pino({ level: settings.logLevel, base: undefined });

  const pool = await openDatabase(settings.databaseUrl);
  const shotFeed = openShotFeed(pool, log);
  await sweepUploads();
  const matFeed = openMatFeed(pool, log);
  const stopHousekeeping = startHousekeeping(pool, log, settings.erasuresFile);
  const { standInPaceMs } = settings;
  const services = { pool, attempts: openAttempts(pool), shotFeed, matFeed, standInPaceMs };
  const server = listener(settings, createApp(settings, services, log));
  server.requestTimeout = REQUEST_TIMEOUT_MS;
  await listening(server, settings);
  const { port } = server.address() as AddressInfo;
  const host = settings.host === '::1' ? '[::1]' : settings.host;
  process.stdout.write(`Ready at ${settings.publicOrigin ?? `http://${host}:${port}`}\n`);
  process.send?.('ready');

  let stopping = false;
  const stop = () => {
    if (stopping) return;
    stopping = true;
    shotFeed.close();
    matFeed.close();
    const houseKept = stopHousekeeping();
    // No request comes in any more; those in hand are answered, and what takes too long is given up.
    server.close(() => void houseKept.then(() => pool.end()).then(() => process.exit(0)));
    setTimeout(() => server.closeAllConnections(), DRAIN_MS).unref();
  };
  process.on('SIGINT', stop);
  process.on('SIGTERM', stop);
  // The start script has ended, so nobody else would stop this server.
  process.on('disconnect', stop);
}

/** Requests in hand have so long to be answered when the server stops, ms. */
const DRAIN_MS = 10_000;

const PORT_TAKEN = 'EADDRINUSE';
const EXIT_PORT_TAKEN = 3;

main().catch((error: Error & { code?: string; port?: number }) => {
  if (error.code === PORT_TAKEN) {
    process.stderr.write(
      `Port ${error.port} is in use by another program. Stop that program, or choose another port: PORT=4700 npm start\n`,
    );
    process.exit(EXIT_PORT_TAKEN);
  }
  process.stderr.write(`The server did not start: ${error.message}\n`);
  process.exit(1);
});
