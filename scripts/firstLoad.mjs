// How much JavaScript the first screen loads, gzipped, and that of an empty app of the same stack.
import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { ROOT, hashOfFiles, sourceFiles, step } from './tools.mjs';
import { WEB_ROOT, exportWeb } from './webBuild.mjs';

/** At most this much more than the empty app. */
export const FIRST_LOAD_AIM = 1.25;

const EMPTY_APP = join(ROOT, 'bench', 'emptyApp');
const EMPTY_BUILD = join(ROOT, '.data', 'emptyApp');

/** Bytes of the gzipped scripts that a build's page asks for at once. */
function firstLoadBytes(build) {
  const page = readFileSync(join(build, 'index.html'), 'utf8');
  const scripts = [...page.matchAll(/<script[^>]+src="([^"]+)"/g)].map((match) => match[1]);
  if (scripts.length === 0) throw new Error(`${build}/index.html loads no script`);
  return scripts.reduce(
    (sum, path) => sum + gzipSync(readFileSync(join(build, path)), { level: 9 }).length,
    0,
  );
}

/** Builds the empty app unless it stands as built from these very packages. */
async function buildEmptyApp() {
  const builtFrom = emptyAppMark();
  const stamp = join(EMPTY_BUILD, '.built-from');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === builtFrom) return;
  await step('Building an empty app of the same stack', async () => {
    rmSync(EMPTY_BUILD, { recursive: true, force: true });
    await exportWeb(EMPTY_APP, EMPTY_BUILD);
    writeFileSync(stamp, builtFrom);
  });
}

const KEPT = join(ROOT, 'bench', 'emptyApp.json');

/** What the empty app is made of: another hash, another size. */
const emptyAppMark = () => hashOfFiles([...sourceFiles(EMPTY_APP), join(ROOT, 'package-lock.json')]);

/** The empty app's size, by building it; `keep` writes it down for the tests (`npm run empty-app`). */
export async function emptyAppBytes({ keep = false } = {}) {
  await buildEmptyApp();
  const bytes = firstLoadBytes(EMPTY_BUILD);
  if (keep) writeFileSync(KEPT, `${JSON.stringify({ of: emptyAppMark(), bytes }, null, 2)}\n`);
  return bytes;
}

/** The size written down last, which the packages it was built from still have to be; else it is built. */
export async function keptEmptyApp() {
  const kept = existsSync(KEPT) ? JSON.parse(readFileSync(KEPT, 'utf8')) : undefined;
  if (kept?.of === emptyAppMark()) return kept.bytes;
  return emptyAppBytes();
}

/** Measures the product, which has to be built, beside the empty app's bytes. */
export async function measureFirstLoad(empty) {
  const ours = firstLoadBytes(WEB_ROOT);
  return { ours, empty, ratio: ours / empty, met: ours <= FIRST_LOAD_AIM * empty };
}

export const kilobytes = (bytes) => `${(bytes / 1000).toFixed(1)} kB`;
