// Keeps the server and its database running until a signal, and brings back whichever ends by itself.
import { startServer } from './server.mjs';
import { say } from './tools.mjs';

const DATABASE_CHECK_MS = 500;
const FIRST_PAUSE_MS = 250;
const LONGEST_PAUSE_MS = 4_000;
/** A server that ran this long has started well: the next pause is short again. */
const STEADY_MS = 10_000;

/** Looks for the database's end, and brings it back. Answers how to leave it alone, which waits for work in hand. */
function watchDatabase(cluster) {
  let work = Promise.resolve();
  let busy = false;
  const check = async () => {
    if (busy || cluster.runs()) return;
    busy = true;
    say('The database has ended; it is started again.');
    await cluster.bringBack().then(
      () => say('The database is back.'),
      (error) => say(error.message),
    );
    busy = false;
  };
  const timer = setInterval(() => (work = check()), DATABASE_CHECK_MS);
  return () => {
    clearInterval(timer);
    return work;
  };
}

/**
 * Runs the server until it is told to stop, and starts it again when it ends otherwise. A server that
 * never came up is not tried again: its settings or its port are wrong, and it has said so.
 * @param environment - answers the server's environment at each start
 * @param cluster - the database to watch; undefined for one that somebody else keeps
 * @returns the exit code
 */
export async function supervise({ cluster, environment, ready }) {
  let stopping = false;
  let wasReady = false;
  let server;
  const stop = () => {
    stopping = true;
    server?.stop();
  };
  process.on('SIGINT', stop);
  process.on('SIGTERM', stop);
  const leaveDatabase = cluster ? watchDatabase(cluster) : () => undefined;
  let pause = FIRST_PAUSE_MS;
  try {
    for (;;) {
      const startedAt = Date.now();
      server = startServer(environment(), () => {
        if (!wasReady) ready();
        wasReady = true;
      });
      if (stopping) server.stop();
      const code = await server.ended;
      if (stopping || code === 0) return 0;
      if (!wasReady) return code ?? 1;
      say('The server has ended; it is started again.');
      if (Date.now() - startedAt > STEADY_MS) pause = FIRST_PAUSE_MS;
      await new Promise((resolve) => setTimeout(resolve, pause));
      pause = Math.min(pause * 2, LONGEST_PAUSE_MS);
    }
  } finally {
    await leaveDatabase();
  }
}
