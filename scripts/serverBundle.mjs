// The server as one file, so that a test that starts it often compiles it once.
import { join } from 'node:path';
import { ROOT, must } from './tools.mjs';

/** Bundles the server, packages aside, beside its migrations; answers where. */
export async function bundleServer() {
  const file = join(ROOT, 'server', 'dist', 'main.cjs');
  await must(
    'Bundling the server',
    'npx',
    [
      'esbuild',
      join(ROOT, 'server', 'main.ts'),
      '--bundle',
      '--platform=node',
      '--format=cjs',
      '--packages=external',
      '--alias:@pedastance/core=./core',
      '--alias:@pedastance/contract=./contract',
      `--outfile=${file}`,
    ],
    { quiet: true },
  );
  return file;
}
