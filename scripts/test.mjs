// All tests, in two lanes side by side: types, lint, format and what needs no database in one, the web build
// and the server's own in the other; then Playwright against the real thing, on both cores.
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { openThrowawayCluster } from './database.mjs';
import { FIRST_LOAD_AIM, keptEmptyApp, kilobytes, measureFirstLoad } from './firstLoad.mjs';
import { bundleServer } from './serverBundle.mjs';
import { ROOT, fail, installDebian, installPackages, must, run, say } from './tools.mjs';
import { buildWeb } from './webBuild.mjs';

const TYPE_CHECKED = [
  'core',
  'core/tsconfig.test.json',
  'contract',
  'card',
  'server',
  'server/test/lessons',
  'app',
  'e2e',
  'bench/emptyApp',
];
const CHROMIUM = process.env.CHROMIUM ?? '/usr/bin/chromium';
const CRUISED = ['core', 'contract', 'card', 'server', 'app', '--config', '.dependency-cruiser.cjs'];

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

const since = (startedAt) => `${Math.round((Date.now() - startedAt) / 1000)} s`;

/** A check that is one program's exit code. */
async function check(what, command, args) {
  const startedAt = Date.now();
  const { code, output } = await run(command, args, { quiet: true });
  if (code !== 0) say(output);
  count(`${what} (${since(startedAt)})`, code === 0 ? 1 : 0, code === 0 ? 0 : 1);
}

/** Work of our own that fails by throwing. */
async function attempt(what, work) {
  const startedAt = Date.now();
  try {
    await work();
    count(`${what} (${since(startedAt)})`, 1, 0);
  } catch (error) {
    say(error.message);
    count(`${what} (${since(startedAt)})`, 0, 1);
  }
}

const readJson = (file) => (existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : undefined);

async function jest(workspace, environment) {
  const startedAt = Date.now();
  const report = join(ROOT, 'test-results', `jest-${workspace}.json`);
  rmSync(report, { force: true });
  const args = ['jest', '--selectProjects', workspace, '--maxWorkers=1', '--json', '--outputFile', report];
  const { output } = await run('npx', [...args, '--silent'], { quiet: true, env: environment });
  const result = readJson(report);
  if (!result?.success) say(output.replace(/^\{.*\}$/m, ''));
  const crashed = result ? result.numRuntimeErrorTestSuites : 1;
  count(
    `Jest, ${workspace} (${since(startedAt)})`,
    result?.numPassedTests ?? 0,
    (result?.numFailedTests ?? 0) + crashed,
  );
}

async function size() {
  const { ours, empty, ratio, met } = await measureFirstLoad(await keptEmptyApp());
  const words = `${kilobytes(ours)} gzipped, ${ratio.toFixed(3)} times the empty app's ${kilobytes(empty)}, at most ${FIRST_LOAD_AIM}`;
  count(`First load: ${words}`, met ? 1 : 0, met ? 0 : 1);
}

/** The titles of tests that passed only when they were tried again. */
const flaky = (suites) =>
  suites.flatMap(({ specs = [], suites: inner = [] }) => [
    ...specs.filter(({ tests }) => tests.some(({ status }) => status === 'flaky')).map(({ title }) => title),
    ...flaky(inner),
  ]);

async function playwright(environment) {
  const startedAt = Date.now();
  const report = join(ROOT, 'test-results', 'report.json');
  rmSync(report, { force: true });
  await run('npx', ['playwright', 'test', '--config', 'e2e/playwright.config.ts'], {
    env: { ...environment, PLAYWRIGHT_JSON_OUTPUT_FILE: report, CHROMIUM },
  });
  const result = readJson(report);
  for (const title of flaky(result?.suites ?? [])) say(`PASSED ONLY AT THE SECOND ATTEMPT: ${title}`);
  const { expected = 0, unexpected = result ? 0 : 1, flaky: late = 0, skipped = 0 } = result?.stats ?? {};
  // A test that was skipped because one before it failed did not pass.
  count(`Playwright (${since(startedAt)})`, expected + late, unexpected + skipped);
}

/** What needs nothing but the sources. */
async function readingLane(environment) {
  for (const room of TYPE_CHECKED) await check(`Types, ${room}`, 'npx', ['tsc', '-p', room]);
  await check('Rooms and arrows', 'npx', ['depcruise', ...CRUISED, '--output-type', 'err']);
  await check('Lint', 'npx', ['eslint', '.', '--max-warnings', '0']);
  await check('Format', 'npx', ['prettier', '--check', '.']);
  for (const workspace of ['core', 'app', 'contract', 'card']) await jest(workspace, environment);
}

/** What is built, and what needs a database. */
async function buildingLane(environment) {
  await attempt('The production web build', buildWeb);
  await size();
  await jest('server', environment);
}

/** The databases that suites clone, filled once. */
const makeTemplates = (environment) =>
  must('Filling the template databases', process.execPath, ['--import', 'tsx', 'server/test/templates.ts'], {
    quiet: true,
    env: environment,
  });

async function test() {
  await Promise.all([
    installPackages(),
    existsSync(CHROMIUM) ? undefined : installDebian(['chromium'], 'Chromium'),
  ]);
  const cluster = await openThrowawayCluster();
  const environment = { TEST_DATABASE_URL: cluster.adminUrl, TEST_TEMPLATES: '1' };
  mkdirSync(join(ROOT, 'test-results'), { recursive: true });
  try {
    environment.SERVER_BUNDLE = await bundleServer();
    await makeTemplates(environment);
    await Promise.all([readingLane(environment), buildingLane(environment)]);
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
