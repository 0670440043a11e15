// The server's two processes: the one that prepares the database, and the one that serves.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { ROOT, Trouble } from './tools.mjs';

const fromSource = (file) => ['--import', 'tsx', join(ROOT, 'server', file)];

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
 * Migrates the database and loads the demo where it is empty.
 * @returns what the server needs: `databaseUrl`, and `demoSignIn` where the demo is there
 */
export function prepareDatabase(environment) {
  const child = spawn(process.execPath, fromSource('prepare.ts'), {
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
export function runServerProgram(file, environment) {
  const child = spawn(process.execPath, fromSource(file), {
    cwd: ROOT,
    env: { ...process.env, ...environment },
    stdio: ['ignore', 'inherit', 'inherit'],
  });
  return new Promise((resolve, reject) => {
    child.on('close', (code) => (code === 0 ? resolve() : reject(new Trouble('Nothing was changed.'))));
  });
}

/**
 * Starts the server and tells `ready` once it listens.
 * @returns `ended`, its exit code (null after a signal), and how to stop it
 */
export function startServer(environment, ready) {
  const server = spawn(process.execPath, fromSource('main.ts'), {
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
