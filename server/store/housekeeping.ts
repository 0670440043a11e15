import type { Pool } from 'pg';
import type { Logger } from 'pino';
import { runErasures } from './erasures';
import { keepErasuresApart } from './erasuresFile';

const HOUR_MS = 60 * 60 * 1000;
const STAND_IN_SHOTS_KEPT_MS = 24 * HOUR_MS;

/** Carries out the erasures that have waited, and deletes expired sessions, counts of attempts that no longer limit anything, and simulated shots of a day ago. */
export async function keepHouse(pool: Pool, now: Date, erasuresFile?: string): Promise<void> {
  const erasing = async () => {
    await runErasures(pool);
    if (erasuresFile) await keepErasuresApart(pool, erasuresFile);
  };
  const shotsBefore = new Date(now.getTime() - STAND_IN_SHOTS_KEPT_MS);
  // What one of them cannot do keeps none of the others from being done.
  const done = await Promise.allSettled([
    erasing(),
    pool.query('select sessions_clear($1)', [now]),
    pool.query('select challenges_clear($1)', [now]),
    pool.query('delete from sign_in_attempts where expire < $1', [now.getTime()]),
    pool.query('select stand_in_shots_clear($1)', [shotsBefore]),
  ]);
  const failed = done.find((each) => each.status === 'rejected');
  if (failed) throw failed.reason;
}

/**
 * Keeps house at once and every hour; a database that is away is left for the next hour. Answers how to stop, which
 * waits for work in hand.
 */
export function startHousekeeping(
  pool: Pool,
  log: Logger,
  erasuresFile: string | undefined,
): () => Promise<void> {
  let work = Promise.resolve();
  const run = () => {
    work = keepHouse(pool, new Date(), erasuresFile).catch((error: Error) =>
      log.warn({ message: error.message }, 'housekeeping waits for the next hour'),
    );
  };
  run();
  const timer = setInterval(run, HOUR_MS);
  timer.unref();
  return () => {
    clearInterval(timer);
    return work;
  };
}
