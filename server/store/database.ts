import { Pool, type ClientBase } from 'pg';

export type Work<Result> = (client: ClientBase) => Promise<Result>;

const POOL_SIZE = 10;

/**
 * Opens the pool the server works with.
 * @throws Error when its role could get around row-level security.
 */
export async function openDatabase(applicationUrl: string): Promise<Pool> {
  const pool = new Pool({ connectionString: applicationUrl, max: POOL_SIZE });
  // A connection lost while idle is replaced at the next request; without a listener it ends the process.
  pool.on('error', () => undefined);
  const { rows } = await pool.query(
    'select rolsuper or rolbypassrls as unbound from pg_roles where rolname = current_user',
  );
  if (rows[0].unbound) {
    await pool.end();
    throw new Error('The application’s role is not bound by row-level security; refusing to work with it.');
  }
  return pool;
}

/** Runs `work` in one transaction that sees the rows of one academy, and of no other. */
export async function inAcademy<Result>(pool: Pool, academyId: string, work: Work<Result>): Promise<Result> {
  const client = await pool.connect();
  let broken: Error | undefined;
  try {
    await client.query('begin');
    await client.query("select set_config('pedastance.academy', $1, true)", [academyId]);
    const result = await work(client);
    await client.query('commit');
    return result;
  } catch (error) {
    await client.query('rollback').catch((lost: Error) => (broken = lost));
    throw error;
  } finally {
    client.release(broken);
  }
}
