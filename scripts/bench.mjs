// Measures what the product promises: each figure beside its aim, and its reference from the same run.
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { build } from 'esbuild';
import { benchHard } from './benchHard.mjs';
import { openThrowawayCluster } from './database.mjs';
import { FIRST_LOAD_AIM, emptyAppBytes, kilobytes, measureFirstLoad } from './firstLoad.mjs';
import { serveForNow } from './serveForNow.mjs';
import { ROOT, fail, installPackages, must, say } from './tools.mjs';
import { buildWeb } from './webBuild.mjs';

const rows = [];
const figure = (what, value, aim, met, reference = '') => rows.push({ what, value, aim, met, reference });

async function firstLoad() {
  const { ours, empty, met } = await measureFirstLoad(await emptyAppBytes());
  figure(
    'First load, gzipped JavaScript',
    kilobytes(ours),
    `at most ${kilobytes(FIRST_LOAD_AIM * empty)} (${FIRST_LOAD_AIM} times)`,
    met,
    `empty app ${kilobytes(empty)}`,
  );
}

/** Runs a timing of the core in a process of its own and answers what it prints last. */
async function coreTimes(what, file, ...given) {
  const script = join(ROOT, 'bench', file);
  const output = await must(what, process.execPath, ['--import', 'tsx', script, ...given], { quiet: true });
  return JSON.parse(output.trim().split('\n').at(-1));
}

async function turning() {
  const times = await coreTimes('Timing the turn', 'turn.ts');
  const ms = (value) => `${value.toFixed(2)} ms`;
  figure('4,000 draws of one turn, warm, median', ms(times.chanceMs), 'under 10 ms', times.chanceMs < 10);
}

async function trying() {
  const times = await coreTimes('Timing the trials', 'trial.ts');
  const ms = (value) => `${value.toFixed(2)} ms`;
  figure(
    'Exact test of 12 against 12 shots, all 2,704,156 splits, median',
    ms(times.exactMs),
    'under 100 ms',
    times.exactMs < 100,
    `worst ${ms(times.exactWorstMs)}`,
  );
  figure(
    'Permutation test of 20,000 draws, median',
    ms(times.sampledMs),
    'a fifth of a general statistics library',
    times.sampledMs <= times.referenceMs / 5,
    `simple-statistics ${ms(times.referenceMs)}`,
  );
  figure(
    'A third look: verdict and interval, 369,600 orders, median',
    ms(times.lookMs),
    'under 300 ms',
    times.lookMs < 300,
  );
}

/** How long a judgement takes, and the laws that every one keeps, each on so many drawn cases. */
async function judging(lawCases = '0') {
  // As it ships: in one file.
  const bundled = join(ROOT, 'test-results', 'bench', 'advice.cjs');
  const entryPoints = [join(ROOT, 'bench', 'advice.ts')];
  await build({ entryPoints, bundle: true, platform: 'node', outfile: bundled, logLevel: 'error' });
  const output = await must('Judging', process.execPath, [bundled, lawCases], { quiet: true });
  const { cases, medianMs, p95Ms, laws } = JSON.parse(output.trim().split('\n').at(-1));
  figure(
    `One judgement of ${cases} drawn cases, 95th percentile`,
    `${p95Ms.toFixed(1)} ms`,
    'at most 15 ms',
    p95Ms <= 15,
    `median ${medianMs.toFixed(1)} ms`,
  );
  if (lawCases === '0') return;
  for (const { law, broken } of laws)
    figure(`Law ${law}`, `${broken} of ${lawCases} broken`, '0', broken === 0);
}

async function reading() {
  const { one, all, bands, reads } = await coreTimes('Timing the read', 'read.ts');
  figure(
    'A full read, median',
    `${one.medianMs.toFixed(4)} ms`,
    'under 1 ms',
    one.medianMs < 1,
    `98th percentile ${one.worstMs.toFixed(4)} ms`,
  );
  figure(
    `One address against every preset and the whole bag (${reads} reads), median`,
    `${all.medianMs.toFixed(2)} ms`,
    'under 20 ms',
    all.medianMs < 20,
    `98th percentile ${all.worstMs.toFixed(2)} ms; the bands of it ${bands.medianMs.toFixed(2)} ms`,
  );
}

const FRAME_AIMS = { 1: { ms: 17, drawn: 50 }, 2: { ms: 17, drawn: 50 }, 4: { ms: 34, drawn: 25 } };

async function dragging() {
  const product = await serveForNow();
  try {
    const { measureDragging } = await import(join(ROOT, 'bench', 'dragging.mjs'));
    const { results, words } = await measureDragging(product.origin);
    const worst = words.at(-1) ?? Infinity;
    figure(
      `First words after a finger lifts, slowest of ${words.length}`,
      `${worst.toFixed(0)} ms`,
      'at most 100 ms',
      worst <= 100,
      `median ${words[Math.floor(words.length / 2)]?.toFixed(0)} ms`,
    );
    for (const { slowed, plan, box } of results) {
      const name = slowed === 1 ? 'unslowed' : `slowed ${slowed} times`;
      const aim = FRAME_AIMS[slowed];
      const reference = (value) => `bare page with one box ${value}`;
      if (slowed === 1) {
        figure(
          `Main thread a move, ${name}`,
          `${plan.taskMs.toFixed(2)} ms`,
          'at most 4.5 ms',
          plan.taskMs <= 4.5,
          reference(`${box.taskMs.toFixed(2)} ms`),
        );
        figure(
          `Script a move, ${name}`,
          `${plan.scriptMs.toFixed(2)} ms`,
          'at most 1 ms',
          plan.scriptMs <= 1,
          reference(`${box.scriptMs.toFixed(2)} ms`),
        );
      }
      figure(
        `95% of frames within, ${name}`,
        `${plan.frameMs.toFixed(1)} ms`,
        slowed === 1 ? 'reported' : `${aim.ms} ms`,
        slowed === 1 || plan.frameMs <= aim.ms,
        reference(`${box.frameMs.toFixed(1)} ms`),
      );
      figure(
        `Positions drawn a second, ${name}`,
        plan.drawn.toFixed(1),
        slowed === 1 ? 'reported' : `at least ${aim.drawn}`,
        slowed === 1 || plan.drawn >= aim.drawn,
        reference(box.drawn.toFixed(1)),
      );
    }
  } finally {
    await product.stop();
  }
}

function table() {
  const line = (cells) => `| ${cells.join(' | ')} |`;
  say(line(['figure', 'measured', 'aim', 'met', 'reference, same run']));
  say(line(['---', '---', '---', '---', '---']));
  for (const { what, value, aim, met, reference } of rows)
    say(line([what, value, aim, met ? 'yes' : 'NO', reference]));
}

/** A script of the bench in a process of its own, its lines as they come. */
const photoScript = (what, file, ...given) =>
  must(what, process.execPath, ['--import', 'tsx', join(ROOT, 'bench', 'photo', file), ...given]);

async function automaticPart() {
  await buildWeb();
  const product = await serveForNow();
  try {
    const { measureAutomatic } = await import(join(ROOT, 'bench', 'photo', 'automatic.mjs'));
    const ms = (value) => `${value.toFixed(0)} ms`;
    for (const { slowed, sheetMs, sheetWorstMs, figuresMs } of await measureAutomatic(product.origin)) {
      const [usual, worst] = slowed === 1 ? [1000, 1500] : [5000, 5000];
      figure(
        `12 megapixels, decoded to the sheet shown, slowed ${slowed} times, median`,
        ms(sheetMs),
        `under ${usual} ms; 95th percentile under ${worst} ms`,
        sheetMs < usual && sheetWorstMs < worst,
        `95th percentile ${ms(sheetWorstMs)}; from the last tap to the figures ${ms(figuresMs)}`,
      );
    }
  } finally {
    await product.stop();
  }
}

/** Feet from photos: simulated point sets by stratum, a vision library on the same points, rendered photographs. */
async function benchPhoto(sets) {
  await automaticPart();
  table();
  await photoScript('A homography beside a vision library’s', 'vision.ts');
  await photoScript('Point sets, by stratum', 'run.ts', sets);
  await photoScript('Rendered photographs with a sheet', 'rendered.ts', '1', sets, 'with');
  await photoScript('Rendered photographs without one', 'rendered.ts', '100001', sets, 'without');
}

const ladderScript = (students) =>
  must('Ladders', process.execPath, [
    '--import',
    'tsx',
    join(ROOT, 'bench', 'ladder', 'simulated.ts'),
    students,
  ]);

/** What share of its mutants each room has to kill. */
const KILLED_AIMS = { advice: 85, turn: 75, reading: 75, setup: 75 };

const KILLED = ['Killed', 'Timeout'];
const LIVED = ['Survived', 'NoCoverage'];

/** How many mutants of a file were killed, and how many lived. */
function mutantsIn(kept) {
  const { files } = JSON.parse(readFileSync(join(ROOT, 'test-results', 'mutants', kept), 'utf8'));
  const all = Object.values(files).flatMap((each) => each.mutants);
  const count = (statuses) => all.filter(({ status }) => statuses.includes(status)).length;
  return { killed: count(KILLED), lived: count(LIVED) };
}

const BLOCK = 10;

/** Every so many blocks of ten lines of a file, beginning at one that its name decides. */
function sampledLines(path, oneIn) {
  const lines = readFileSync(join(ROOT, path), 'utf8').split('\n').length;
  const blocks = Array.from({ length: Math.ceil(lines / BLOCK) }, (_block, at) => at * BLOCK + 1);
  return blocks
    .filter((_from, at) => (at + path.length) % oneIn === 0)
    .map((from) => `${path}:${from}-${Math.min(lines, from + BLOCK - 1)}`);
}

/**
 * Mutants of these rooms of core, all four where none is named: file by file, and what did not change is not tried again; or
 * of one in so many blocks of lines, all files at once.
 */
async function mutants(rooms = Object.keys(KILLED_AIMS).join(','), oneIn = 1) {
  for (const room of rooms.split(',')) {
    const files = readdirSync(join(ROOT, 'core', room)).filter(
      (name) => name.endsWith('.ts') && !name.endsWith('.test.ts') && name !== 'index.ts',
    );
    const counted = { killed: 0, lived: 0 };
    const paths = files.map((name) => `core/${room}/${name}`);
    const runs =
      oneIn > 1 ? [paths.flatMap((path) => sampledLines(path, oneIn))] : paths.map((path) => [path]);
    for (const mutated of runs) {
      const name = oneIn > 1 ? `${room}, one in ${oneIn}` : mutated[0];
      const kept = `${name.replaceAll(/[^\w]+/g, '-')}.json`;
      await must(`Mutants of ${name}`, 'npx', ['stryker', 'run', 'bench/stryker.config.mjs'], {
        quiet: true,
        env: { MUTATED: mutated.join(','), MUTANTS_KEPT: kept },
      });
      const { killed, lived } = mutantsIn(kept);
      say(`${name}: ${killed} of ${killed + lived} killed`);
      counted.killed += killed;
      counted.lived += lived;
    }
    const share = (100 * counted.killed) / (counted.killed + counted.lived);
    figure(
      `Mutants of ${room} killed`,
      `${share.toFixed(1)}%`,
      `at least ${KILLED_AIMS[room]}%`,
      share >= KILLED_AIMS[room],
      `${counted.killed + counted.lived} in ${files.length} files`,
    );
  }
  table();
}

/** Whole lessons, drawn, through the app's stores and the real server: what is kept and told that was not so. */
async function lessons(count) {
  const cluster = await openThrowawayCluster();
  const env = { TEST_DATABASE_URL: cluster.adminUrl, TEST_TEMPLATES: '1', LESSONS: count };
  try {
    const templates = ['--import', 'tsx', 'server/test/templates.ts'];
    await must('Filling the template databases', process.execPath, templates, { quiet: true, env });
    const jest = ['jest', '--selectProjects', 'server', '--testPathPattern', 'test/lessons/'];
    await must(`${count} drawn lessons`, 'npx', jest, { env });
  } finally {
    await cluster.stop();
  }
}

/** What the models say against generators that share nothing with them, a script a subject; each prints its rows. */
async function benchTruth(count, only) {
  const folder = join(ROOT, 'bench', 'truth');
  for (const file of readdirSync(folder).sort()) {
    if (only && file !== `${only}.ts`) continue;
    for (const row of await coreTimes(`Against the truth: ${file}`, join('truth', file), count))
      figure(row.what, row.value, row.aim, row.met);
  }
  table();
}

async function benchBalance(swings) {
  const core = (what, file, ...args) =>
    must(what, process.execPath, ['--import', 'tsx', join(ROOT, 'bench', 'balance', file), ...args]);
  await core('Swings on the simulated mat', 'simulated.ts', swings);
  await core('A recording from a file', 'recording.ts');
  await buildWeb();
  for (const slowed of ['1', '4'])
    await must('The live mat', process.execPath, [join(ROOT, 'bench', 'balance', 'live.mjs'), slowed]);
}

/** Parts that bring their own product, or need none, by name; each is given what follows it on the command line. */
const PARTS = {
  photo: (count) => benchPhoto(count ?? '200'),
  lessons: (count) => lessons(count ?? '1000'),
  ladder: (count) => ladderScript(count ?? '1000'),
  truth: (count, only) => benchTruth(count ?? '600', only),
  balance: (count) => benchBalance(count ?? '1000'),
  dragging: async () => {
    await buildWeb();
    await dragging();
    table();
  },
  mutants: (only, every) => mutants(only, Number(every ?? 1)),
  advice: async (count) => {
    await judging(count ?? '2000');
    table();
  },
};

async function bench() {
  await installPackages();
  const [part, only, ...more] = process.argv.slice(2);
  const own = PARTS[part];
  if (own) return own(only, ...more);
  await buildWeb();
  if (part === 'hard') {
    await benchHard(figure, only);
    return table();
  }
  await firstLoad();
  await reading();
  await turning();
  await judging();
  await trying();
  await dragging();
  table();
}

bench().catch(fail);
