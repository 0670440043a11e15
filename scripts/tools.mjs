// What every script needs: saying what it does, running programs, finding and installing them.
import { spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { dirname, join, relative } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = dirname(dirname(fileURLToPath(import.meta.url)));
export const isRoot = process.getuid?.() === 0;

/** A problem with a way out, shown without a stack. */
export class Trouble extends Error {}

export const say = (line) => process.stdout.write(`${line}\n`);

/** Ends the script with the trouble's own words, or with the whole error where it is unforeseen. */
export function fail(error) {
  process.stderr.write(`\n${error instanceof Trouble ? error.message : error.stack}\n`);
  process.exitCode = 1;
}

/**
 * Runs a program to its end. Answers its exit code and, with `quiet`, what it printed.
 * Extra environment goes in `env`.
 */
export function run(command, args, { cwd = ROOT, env = {}, quiet = false, input } = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, {
      cwd,
      env: { ...process.env, ...env },
      stdio: [
        input === undefined ? 'ignore' : 'pipe',
        quiet ? 'pipe' : 'inherit',
        quiet ? 'pipe' : 'inherit',
      ],
    });
    let output = '';
    child.stdout?.on('data', (data) => (output += data));
    child.stderr?.on('data', (data) => (output += data));
    if (input !== undefined) child.stdin.end(input);
    child.on('error', reject);
    child.on('close', (code) => resolve({ code, output }));
  });
}

/** Runs a program that has to succeed. @throws Trouble with the words given and what it printed. */
export async function must(what, command, args, options = {}) {
  const { code, output } = await run(command, args, options);
  if (code !== 0) throw new Trouble(`${what} failed (exit ${code}).\n${output.slice(-3000)}`);
  return output;
}

/** Says what a long step does, and every few seconds that it still does. */
export async function step(what, work) {
  const startedAt = Date.now();
  const seconds = () => `${Math.round((Date.now() - startedAt) / 1000)} s`;
  say(`${what} …`);
  const still = setInterval(() => say(`  … still at it, ${seconds()}`), 10_000);
  try {
    const result = await work();
    say(`  done in ${seconds()}`);
    return result;
  } finally {
    clearInterval(still);
  }
}

/** Installs Debian packages, as root; tells an ordinary user what to ask for. */
export async function installDebian(packages, what) {
  const command = `apt-get install -y --no-install-recommends ${packages.join(' ')}`;
  if (!isRoot) {
    throw new Trouble(
      `${what} is missing, and installing it needs root. Ask for:\n  sudo ${command}\nthen run this again.`,
    );
  }
  const env = { DEBIAN_FRONTEND: 'noninteractive' };
  await step(`Installing ${what} from Debian's packages`, async () => {
    await must('apt-get update', 'apt-get', ['update'], { env, quiet: true });
    await must(command, 'apt-get', command.split(' ').slice(1), { env, quiet: true });
  });
}

const hashOf = (text) => createHash('sha256').update(text).digest('hex');

/** Installs the npm packages when the lock file is not the one they were installed from. */
export async function installPackages() {
  const stamp = join(ROOT, 'node_modules', '.installed-from');
  const lock = hashOf(readFileSync(join(ROOT, 'package-lock.json')));
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return;
  await step('Installing npm packages', () =>
    must('npm ci', 'npm', ['ci', '--loglevel=error'], { quiet: true }),
  );
  writeFileSync(stamp, lock);
}

const LEFT_OUT = new Set(['node_modules', 'dist', 'dist.new', '.expo', 'fonts', 'test']);

/** Every file below a folder that is source, in a fixed order. */
export function sourceFiles(folder) {
  return readdirSync(folder)
    .sort()
    .flatMap((name) => {
      const path = join(folder, name);
      if (LEFT_OUT.has(name)) return [];
      return statSync(path).isDirectory() ? sourceFiles(path) : [path];
    });
}

/** One hash for the contents and names of files. */
export const hashOfFiles = (files) =>
  hashOf(files.map((file) => `${relative(ROOT, file)} ${hashOf(readFileSync(file))}`).join('\n'));

/** A port nobody listens on just now. */
export const freePort = () =>
  new Promise((resolve, reject) => {
    const server = createServer();
    server.once('error', reject).listen(0, '127.0.0.1', () => {
      const { port } = server.address();
      server.close(() => resolve(port));
    });
  });

/** Whether a port can be listened on. */
export const portIsFree = (port, host) =>
  new Promise((resolve) => {
    const server = createServer();
    server.once('error', () => resolve(false)).listen(port, host, () => server.close(() => resolve(true)));
  });
