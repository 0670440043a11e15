// The server's two processes: the one that prepares the database, and the one that serves.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { SERVER_FOLDER, bundleServer } from './serverBundle.mjs';
import { ROOT, Trouble } from './tools.mjs';

/** Some 60 MB are in use: with so little room garbage is collected before it doubles the process. */
const OLD_SPACE_MB = 512;

const program = (name) => join(SERVER_FOLDER, `${name}.cjs`);

/** The environment without the administrator's address: only the preparation may know it. */
function withoutAdministrator() {
  const {
    DATABASE_URL: _given,
    DATABASE_ADMIN_URL: _admin,
    APPLICATION_PASSWORD: _own,
    ...rest
  } = process.env;
  return rest;
}

/**
 * Builds the server, migrates the database and loads the demo where it is empty.
 * @returns what the server needs: `databaseUrl`, and `demoSignIn` where the demo is there
 */
export async function prepareDatabase(environment) {
  await bundleServer();
  const child = spawn(process.execPath, [program('prepare')], {
    cwd: ROOT,
    env: { ...process.env, ...environment },
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
  });
  return new Promise((resolve, reject) => {
    let prepared;
    child.on('message', (message) => (prepared = message));
    child.on('close', () => (prepared ? resolve(prepared) : reject(new Trouble('Nothing is left running.'))));
  });
}

/** Runs one of the administrator's programs to its end. @throws Trouble where it fails; it has said why */
export async function runServerProgram(name, environment) {
  await bundleServer();
  const child = spawn(process.execPath, [program(name)], {
    cwd: ROOT,
    env: { ...process.env, ...environment },
    stdio: ['ignore', 'inherit', 'inherit'],
  });
  return new Promise((resolve, reject) => {
    child.on('close', (code) => (code === 0 ? resolve() : reject(new Trouble('Nothing was changed.'))));
  });
}

/**
 * Starts the server that the preparation built and tells `ready` once it listens.
 * @returns `ended`, its exit code (null after a signal), and how to stop it
 */
export function startServer(environment, ready) {
  const server = spawn(process.execPath, [`--max-old-space-size=${OLD_SPACE_MB}`, program('main')], {
    cwd: ROOT,
    env: { ...withoutAdministrator(), ...environment },
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
  });
  server.on('message', () => ready());
  return {
    pid: server.pid,
    ended: new Promise((resolve) => server.on('close', (code) => resolve(code))),
    stop: () => server.kill('SIGTERM'),
  };
}
