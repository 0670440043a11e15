// Attacks the product and measures what comes of it: `npm run bench -- hard`. Some minutes.
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { measureLargeApp } from '../bench/hard/largeApp.mjs';
import { serveForNow } from './serveForNow.mjs';
import { ROOT, say } from './tools.mjs';

/** Runs a measurement in a process of its own and answers what it prints last. */
function measured(file, environment) {
  const child = spawn(process.execPath, ['--import', 'tsx', join(ROOT, 'bench', 'hard', file)], {
    cwd: ROOT,
    env: { ...process.env, ...environment },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  let output = '';
  child.stdout.on('data', (data) => (output += data));
  return new Promise((resolve, reject) =>
    child.on('close', (code) =>
      code === 0
        ? resolve(JSON.parse(output.trim().split('\n').at(-1)))
        : reject(new Error(`${file} failed`)),
    ),
  );
}

/** The product kept up by its start command; what it said of itself, and how to stop it. */
function startSupervised() {
  const child = spawn(process.execPath, [join(ROOT, 'bench', 'hard', 'supervised.mjs')], {
    cwd: ROOT,
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const ended = new Promise((resolve) => child.on('close', resolve));
  return new Promise((resolve, reject) => {
    let output = '';
    child.stdout.on('data', (data) => {
      output += data;
      const told = /^RUNNING (.*)$/m.exec(output);
      if (told)
        resolve({ ...JSON.parse(told[1]), pid: child.pid, stop: () => (child.kill('SIGTERM'), ended) });
    });
    void ended.then(() => reject(new Error(`the product did not start:\n${output}`)));
  });
}

async function kills(figure) {
  const product = await startSupervised();
  try {
    const { lost, doubled, stayedAway, conflicts, median, most } = await measured('kills.ts', {
      ORIGIN: product.origin,
      ADMIN_URL: product.adminUrl,
      FOLDER: product.folder,
      SUPERVISOR: String(product.pid),
    });
    figure(
      'Server killed 30 times, database 27, connections ended 22 times, 1,000 writes meanwhile',
      `lost ${lost}, doubled ${doubled}, other answers ${conflicts}; not back by itself ${stayedAway}`,
      'all 0',
      lost + doubled + stayedAway + conflicts === 0,
      `back after ${Math.round(median)} ms, at most ${Math.round(most)} ms`,
    );
  } finally {
    await product.stop();
  }
}

async function badBodies(figure, environment) {
  const { sent, failed, statuses, unnamed, unnamedCount, halves } = await measured(
    'badBodies.ts',
    environment,
  );
  for (const told of unnamed) say(`  ${told}`);
  figure(
    `${sent} bad bodies`,
    `${failed} answered 500, ${halves} half written, ${unnamedCount} refusals without a field`,
    'all 0',
    failed + halves + unnamedCount === 0,
    Object.entries(statuses)
      .map(([status, count]) => `${status}: ${count}`)
      .join(', '),
  );
}

const ms = (value) => `${value.toFixed(value < 10 ? 1 : 0)} ms`;

async function coaches(figure, environment) {
  const { list, write, lost, failed } = await measured('coaches.ts', environment);
  figure(
    '200 coaches a minute, shots streaming: a list, 95%',
    ms(list.p95),
    'under 250 ms',
    list.p95 < 250,
    `median ${ms(list.median)}`,
  );
  figure(
    '… a write of a lesson, 95%',
    ms(write.p95),
    'under 250 ms',
    write.p95 < 250,
    `median ${ms(write.median)}`,
  );
  figure('… shots lost, visits failed', `${lost}, ${failed}`, '0, 0', lost + failed === 0);
}

async function large(figure, environment, origin) {
  const { figures } = await measured('large.ts', environment);
  for (const [what, { large: ofLarge, small }] of Object.entries(figures)) {
    const met = ofLarge <= 1.3 * small || ofLarge <= small + 5;
    figure(
      `20,000 students, 300,000 entries: ${what}`,
      ms(ofLarge),
      '1.3 times or 5 ms over a small academy’s',
      met,
      `small ${ms(small)}`,
    );
  }
  const app = await measureLargeApp(origin);
  const row = (what, name, aim) =>
    figure(
      `… the app, slowed 4 times: ${what}`,
      ms(app.large[name]),
      `under ${ms(aim)}`,
      app.large[name] < aim,
      `small ${ms(app.small[name])}`,
    );
  row('list shown', 'shownMs', 1000);
  row('a keystroke in the search', 'keyMs', 50);
  row('the longest task while it opens', 'taskAtStartMs', 200);
  row('the longest task while typing', 'taskWhileTypingMs', 200);
}

/** Out and in again, each on a server that has done nothing before. */
async function transfer(figure, environment, product) {
  const folder = mkdtempSync(join(tmpdir(), 'pedastance-transfer-'));
  const phase = async (name) =>
    measured('transfer.ts', {
      ...environment,
      PHASE: name,
      FOLDER: folder,
      SERVER_PROCESS: String(await product.restart()),
    });
  try {
    const { mix, students, entries } = await phase('fill');
    const out = await phase('export');
    const back = await phase('import');
    const rate = (seconds) => `${Math.round(entries / seconds)} entries a second`;
    const kinds = Object.entries(mix).map(([kind, count]) => `${count} ${kind}`);
    const megabytes = (value) => `${Math.round(value)} MB`;
    figure(
      `${students} students, ${entries} entries exported`,
      rate(out.seconds),
      'at least 5,000',
      entries / out.seconds >= 5000,
      kinds.join(', '),
    );
    figure('… memory of the server', megabytes(out.memory), 'under 200 MB', out.memory < 200);
    figure(
      '… imported',
      `${back.seconds.toFixed(0)} s, ${rate(back.seconds)}`,
      'within three times the export',
      back.seconds <= 3 * out.seconds,
      `exported in ${out.seconds.toFixed(0)} s; ${megabytes(back.memory)}`,
    );
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

const CROWDS = {
  alone: 'by themselves',
  thirty: 'beside 30 live mats',
  hundred: 'beside 100 live mats over ten academies',
  line: 'beside a line of 400 MB',
  signIns: 'beside thirty sign-ins at once, again and again',
  unread: 'beside twelve exports that nobody reads',
  erasures: 'beside 1,200 erasures that are due',
};

/** Twenty coaches at work beside what others take. */
async function crowded(figure, environment, product) {
  const { kinds, late, erased, due } = await measured('crowded.ts', {
    ...environment,
    SERVER_PROCESS: String(await product.restart()),
  });
  for (const [kind, { median, p95, failed, memory }] of Object.entries(kinds))
    figure(
      `Twenty coaches at work ${CROWDS[kind]}, 95%`,
      `${ms(p95)}, ${failed} failed; server ${Math.round(memory)} MB`,
      'at most 250 ms, 0; under 400 MB',
      p95 <= 250 && failed === 0 && memory < 400,
      `median ${ms(median)}`,
    );
  figure('… the newest frame of 100 mats late by, 95%', ms(late.p95), 'at most 200 ms', late.p95 <= 200);
  figure('… erasures carried out', String(erased), String(due), erased === due);
}

/** A yes taken back while links, photos and files with pictures are made. */
async function withdrawals(figure, environment) {
  const { rounds, shown, seenBefore, refused } = await measured('withdrawals.ts', environment);
  figure(
    `${rounds} yeses taken back, raced by links, photos, files and clocks two hours off: answered after the no`,
    `${shown} pictures, ${refused} noes refused`,
    '0, 0',
    shown + refused === 0 && seenBefore === rounds,
    `${seenBefore} seen before it`,
  );
}

/** All of it; `figure` takes a row of the table. `only` names one part. */
export async function benchHard(figure, only) {
  const wanted = (part) => !only || only === part;
  if (wanted('kills')) await kills(figure);
  if (!['bodies', 'coaches', 'crowded', 'large', 'transfer', 'withdrawals'].some(wanted)) return;
  const product = await serveForNow();
  const environment = { ORIGIN: product.origin, ADMIN_URL: product.adminUrl };
  try {
    if (wanted('bodies')) await badBodies(figure, environment);
    if (wanted('coaches')) await coaches(figure, environment);
    if (wanted('crowded')) await crowded(figure, environment, product);
    if (wanted('withdrawals')) await withdrawals(figure, environment);
    if (wanted('transfer')) await transfer(figure, environment, product);
    if (wanted('large')) await large(figure, environment, product.origin);
  } finally {
    await product.stop();
  }
}
