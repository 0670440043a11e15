// All tests: types, lint, format, Jest, the web build, its size, and Playwright against the real thing.
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { openThrowawayCluster } from './database.mjs';
import { FIRST_LOAD_AIM, kilobytes, measureFirstLoad } from './firstLoad.mjs';
import { ROOT, fail, installDebian, installPackages, run, say } from './tools.mjs';
import { buildWeb } from './webBuild.mjs';

const TYPE_CHECKED = [
  'core',
  'core/tsconfig.test.json',
  'contract',
  'server',
  'app',
  'e2e',
  'bench/emptyApp',
];
const JEST_ROOMS = ['core', 'contract', 'server', 'app'];
const CHROMIUM = process.env.CHROMIUM ?? '/usr/bin/chromium';

const total = { passed: 0, failed: 0 };

function count(what, passed, failed) {
  // A suite in which nothing ran is missing, and that is a failure.
  const missing = passed + failed === 0 ? 1 : 0;
  total.passed += passed;
  total.failed += failed + missing;
  say(
    `${failed + missing === 0 ? 'ok  ' : 'FAIL'} ${what}: ${passed} passed, ${failed} failed${missing ? ', nothing ran' : ''}`,
  );
}

/** A check that is one program's exit code. */
async function check(what, command, args) {
  const startedAt = Date.now();
  const { code, output } = await run(command, args, { quiet: true });
  if (code !== 0) say(output);
  count(`${what} (${Math.round((Date.now() - startedAt) / 1000)} s)`, code === 0 ? 1 : 0, code === 0 ? 0 : 1);
}

const readJson = (file) => (existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : undefined);

async function jest(room, environment) {
  const report = join(ROOT, 'test-results', `jest-${room}.json`);
  rmSync(report, { force: true });
  const args = ['jest', '--selectProjects', room, '--json', '--outputFile', report, '--silent'];
  const { output } = await run('npx', args, { quiet: true, env: environment });
  const result = readJson(report);
  if (!result?.success) say(output.replace(/^\{.*\}$/m, ''));
  const crashed = result ? result.numRuntimeErrorTestSuites : 1;
  count(`Jest, ${room}`, result?.numPassedTests ?? 0, (result?.numFailedTests ?? 0) + crashed);
}

async function build() {
  try {
    await buildWeb();
    count('The production web build', 1, 0);
  } catch (error) {
    say(error.message);
    count('The production web build', 0, 1);
  }
}

async function size() {
  const { ours, empty, ratio, met } = await measureFirstLoad();
  const words = `${kilobytes(ours)} gzipped, ${ratio.toFixed(3)} times the empty app's ${kilobytes(empty)}, at most ${FIRST_LOAD_AIM}`;
  count(`First load: ${words}`, met ? 1 : 0, met ? 0 : 1);
}

async function playwright(environment) {
  const report = join(ROOT, 'test-results', 'report.json');
  rmSync(report, { force: true });
  await run('npx', ['playwright', 'test', '--config', 'e2e/playwright.config.ts'], {
    env: { ...environment, PLAYWRIGHT_JSON_OUTPUT_FILE: report, CHROMIUM },
  });
  const stats = readJson(report)?.stats;
  // A test that was skipped because one before it failed did not pass.
  count(
    'Playwright',
    stats?.expected ?? 0,
    (stats?.unexpected ?? 0) + (stats?.flaky ?? 0) + (stats?.skipped ?? 0),
  );
}

async function test() {
  await installPackages();
  if (!existsSync(CHROMIUM)) await installDebian(['chromium'], 'Chromium');
  const cluster = await openThrowawayCluster();
  const environment = { TEST_DATABASE_URL: cluster.adminUrl };
  mkdirSync(join(ROOT, 'test-results'), { recursive: true });
  try {
    for (const room of TYPE_CHECKED) await check(`Types, ${room}`, 'npx', ['tsc', '-p', room]);
    await check('Rooms', 'npx', [
      'depcruise',
      'core',
      'contract',
      'server',
      'app',
      '--config',
      '.dependency-cruiser.cjs',
      '--output-type',
      'err',
    ]);
    await check('Lint', 'npx', ['eslint', '.', '--max-warnings', '0']);
    await check('Format', 'npx', ['prettier', '--check', '.']);
    for (const room of JEST_ROOMS) await jest(room, environment);
    await build();
    await size();
    await playwright(environment);
  } finally {
    await cluster.stop();
  }
  say(`\n${total.passed} passed, ${total.failed} failed`);
  if (total.failed > 0) process.exitCode = 1;
}

test().catch((error) => {
  fail(error);
  say(`\n${total.passed} passed, ${total.failed + 1} failed`);
});
