// The production build of the web app: fonts copied in, exported, and its shell made to open with no server.
import { cpSync, existsSync, mkdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { ROOT, hashOfFiles, must, sourceFiles, step } from './tools.mjs';

export const WEB_ROOT = join(ROOT, 'app', 'dist');
const STAMP = '.built-from';
/** Rendered pictures of feet, with the truth beside them. */
const PRACTICE = join(ROOT, 'server', 'devices', 'camera', 'practice');

const FONTS = [
  ['@fontsource-variable/bricolage-grotesque', 'bricolage-grotesque-latin-wght-normal.woff2'],
  ['@fontsource-variable/bricolage-grotesque', 'bricolage-grotesque-latin-ext-wght-normal.woff2'],
  ['@fontsource/atkinson-hyperlegible-next', 'atkinson-hyperlegible-next-latin-400-normal.woff2'],
  ['@fontsource/atkinson-hyperlegible-next', 'atkinson-hyperlegible-next-latin-ext-400-normal.woff2'],
  ['@fontsource/atkinson-hyperlegible-next', 'atkinson-hyperlegible-next-latin-600-normal.woff2'],
  ['@fontsource/atkinson-hyperlegible-next', 'atkinson-hyperlegible-next-latin-ext-600-normal.woff2'],
];

/** The fonts ship with the app: copied from their packages to where the page asks for them. */
function copyFonts() {
  const require = createRequire(join(ROOT, 'app', 'package.json'));
  const target = join(ROOT, 'app', 'public', 'fonts');
  mkdirSync(target, { recursive: true });
  for (const [name, file] of FONTS) {
    cpSync(join(dirname(require.resolve(`${name}/package.json`)), 'files', file), join(target, file));
  }
}

/** The reader of QR codes ships with the app too. */
function copyCodeReader() {
  const require = createRequire(join(ROOT, 'app', 'package.json'));
  const target = join(ROOT, 'app', 'public', 'wasm');
  mkdirSync(target, { recursive: true });
  cpSync(require.resolve('zxing-wasm/reader/zxing_reader.wasm'), join(target, 'zxing_reader.wasm'));
}

/** The sheets to be printed, as PDF and SVG. */
function makeSheets() {
  const script = join(ROOT, 'scripts', 'makeSheets.ts');
  const target = join(ROOT, 'app', 'public', 'sheets');
  return must('The sheets', process.execPath, ['--import', 'tsx', script, target], { quiet: true });
}

/** The pictures to practise the eye on. */
function copyPractice() {
  const target = join(ROOT, 'app', 'public', 'practice');
  rmSync(target, { recursive: true, force: true });
  cpSync(PRACTICE, target, { recursive: true });
}

/** Exports an Expo app for the web into `output`. */
export function exportWeb(appFolder, output) {
  return must('The web build', 'npx', ['expo', 'export', '--platform', 'web', '--output-dir', output], {
    cwd: appFolder,
    quiet: true,
    env: { EXPO_OFFLINE: '1', EXPO_NO_TELEMETRY: '1', CI: '1', NODE_ENV: 'production' },
  });
}

const KEPT = {
  cleanupOutdatedCaches: true,
  clientsClaim: true,
  skipWaiting: true,
  inlineWorkboxRuntime: true,
  sourcemap: false,
};

/** Writes the service worker that keeps every built file, and answers any page but a card's with the app. */
async function writeServiceWorker(folder) {
  const { generateSW } = await import('workbox-build');
  await generateSW({
    ...KEPT,
    globDirectory: folder,
    globPatterns: ['**/*.{html,js,css,woff2,png,svg,webmanifest,ico,wasm,pdf}', 'practice/*'],
    // The coach's own view of a card needs its style; the page is the student's.
    globIgnores: ['card/*.{html,js}'],
    swDest: join(folder, 'service-worker.js'),
    maximumFileSizeToCacheInBytes: 8 * 1024 * 1024,
    // The names of built scripts, styles and assets carry their hash already.
    dontCacheBustURLsMatching: /-[0-9a-f]{32}\.(js|css)$/,
    navigateFallback: '/index.html',
    navigateFallbackDenylist: [/^\/api\//, /^\/card(\/|$)/],
  });
}

/** Builds the page behind a card's link, with a service worker of its own that keeps the page for where there is no signal. */
async function buildCard(folder) {
  const target = join(folder, 'card');
  mkdirSync(target, { recursive: true });
  for (const file of ['index.html', 'card.css']) cpSync(join(ROOT, 'card', file), join(target, file));
  const { build } = await import('esbuild');
  await build({
    entryPoints: [join(ROOT, 'card', 'page.ts')],
    outfile: join(target, 'page.js'),
    bundle: true,
    minify: true,
    format: 'esm',
    target: 'es2022',
    alias: {
      '@pedastance/core': join(ROOT, 'core'),
      '@pedastance/contract': join(ROOT, 'contract'),
    },
  });
  const { generateSW } = await import('workbox-build');
  await generateSW({
    ...KEPT,
    globDirectory: folder,
    globPatterns: ['card/*.{html,js,css}', 'shell.css', 'mark.svg', 'fonts/*-latin-[4w6]*.woff2'],
    modifyURLPrefix: { '': '/' },
    swDest: join(target, 'service-worker.js'),
    navigateFallback: '/card/index.html',
  });
}

/** What the build itself puts beside the sources. */
const MADE = ['fonts', 'wasm', 'sheets', 'practice'].map((name) => join(ROOT, 'app', 'public', name));

/** Builds the web app unless it stands as built from these very sources. */
export async function buildWeb() {
  const sources = ['app', 'core', 'contract', 'card']
    .flatMap((room) => sourceFiles(join(ROOT, room)))
    .filter((file) => !MADE.includes(dirname(file)));
  const builtFrom = hashOfFiles([
    ...sources,
    join(ROOT, 'package-lock.json'),
    join(ROOT, 'scripts', 'webBuild.mjs'),
    join(ROOT, 'scripts', 'makeSheets.ts'),
    ...sourceFiles(PRACTICE),
  ]);
  const stamp = join(WEB_ROOT, STAMP);
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === builtFrom) return;
  await step('Building the web app', async () => {
    const making = `${WEB_ROOT}.new`;
    rmSync(making, { recursive: true, force: true });
    copyFonts();
    copyCodeReader();
    await makeSheets();
    copyPractice();
    await exportWeb(join(ROOT, 'app'), making);
    await buildCard(making);
    await writeServiceWorker(making);
    writeFileSync(join(making, STAMP), builtFrom);
    rmSync(WEB_ROOT, { recursive: true, force: true });
    renameSync(making, WEB_ROOT);
  });
}
