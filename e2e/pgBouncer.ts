import { spawn } from 'node:child_process';
import { chmodSync, mkdtempSync, writeFileSync } from 'node:fs';
import { connect } from 'node:net';
import { join } from 'node:path';

const isListening = (port: number): Promise<boolean> =>
  new Promise((resolve) => {
    const socket = connect(port, '127.0.0.1');
    socket.once('connect', () => (socket.destroy(), resolve(true)));
    socket.once('error', () => resolve(false));
  });

/**
 * Starts Debian's PgBouncer in transaction mode before a database, for as long as this process lives.
 * @returns the database's address through it
 */
export async function throughPgBouncer(databaseUrl: string, port: number): Promise<string> {
  const direct = new URL(databaseUrl);
  const folder = mkdtempSync('/var/tmp/pedastance-pgbouncer-');
  chmodSync(folder, 0o755);
  const users = join(folder, 'users.txt');
  const settings = join(folder, 'pgbouncer.ini');
  writeFileSync(users, `"${direct.username}" "${decodeURIComponent(direct.password)}"\n`);
  writeFileSync(
    settings,
    `[databases]
* = host=${direct.hostname} port=${direct.port}
[pgbouncer]
listen_addr = 127.0.0.1
listen_port = ${port}
unix_socket_dir =
auth_type = scram-sha-256
auth_file = ${users}
pool_mode = transaction
default_pool_size = 5
`,
  );
  // PgBouncer refuses to run as root; PostgreSQL's own user serves.
  const command = ['pgbouncer', '-q', settings];
  const asUser = process.getuid?.() === 0 ? ['runuser', '-u', 'postgres', '--', ...command] : command;
  const bouncer = spawn(asUser[0]!, asUser.slice(1), { stdio: 'inherit' });
  process.once('exit', () => bouncer.kill());
  for (let tries = 0; !(await isListening(port)); tries += 1) {
    if (tries === 50) throw new Error('PgBouncer did not come up; Debian has it as the package pgbouncer');
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  const pooled = new URL(databaseUrl);
  pooled.host = `127.0.0.1:${port}`;
  return pooled.href;
}
