import { Pool, types, type ClientBase } from 'pg';

/** A calendar day is a day wherever it is read: kept as it is written, not made a moment of. */
types.setTypeParser(types.builtins.DATE, (day) => day);

export type Work<Result> = (client: ClientBase) => Promise<Result>;

const POOL_SIZE = 10;
/** A request that gets no connection in this time is answered 503, and the app retries it. */
const CONNECTION_TIMEOUT_MS = 5_000;

/**
 * Opens the pool the server works with.
 * @throws Error when its role could get around row-level security.
 */
export async function openDatabase(databaseUrl: string): Promise<Pool> {
  const pool = new Pool({
    connectionString: databaseUrl,
    max: POOL_SIZE,
    connectionTimeoutMillis: CONNECTION_TIMEOUT_MS,
  });
  // A lost connection emits an error, whether it is idle or in use; without a listener that ends the process.
  // The query that was running fails by itself, and the pool replaces the connection.
  pool.on('error', () => undefined);
  pool.on('connect', (client) => client.on('error', () => undefined));
  const { rows } = await pool.query(
    'select rolsuper or rolbypassrls as unbound from pg_roles where rolname = current_user',
  );
  if (rows[0].unbound) {
    await pool.end();
    throw new Error('The application’s role is not bound by row-level security; refusing to work with it.');
  }
  return pool;
}

/**
 * Runs `work` in one transaction that sees the rows of one academy, and of no other.
 * @param mode - `read only` transactions are refused any write by the database.
 */
export async function inAcademy<Result>(
  pool: Pool,
  academyId: string,
  work: Work<Result>,
  mode: 'read write' | 'read only' = 'read write',
): Promise<Result> {
  const client = await pool.connect();
  let broken: Error | undefined;
  try {
    // One round trip: the academy is set for this transaction alone.
    await client.query(`begin ${mode}; set local pedastance.academy = ${client.escapeLiteral(academyId)}`);
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
