// The server's two programs as one file each, so that a test that starts it often compiles it once.
import { join } from 'node:path';
import { ROOT, must } from './tools.mjs';

/** Bundles the server, packages aside, beside its migrations; answers where. */
export async function bundleServer() {
  const folder = join(ROOT, 'server', 'dist');
  await must(
    'Bundling the server',
    'npx',
    [
      'esbuild',
      join(ROOT, 'server', 'main.ts'),
      join(ROOT, 'server', 'prepare.ts'),
      '--bundle',
      '--platform=node',
      '--format=cjs',
      '--packages=external',
      '--alias:@pedastance/core=./core',
      '--alias:@pedastance/contract=./contract',
      `--outdir=${folder}`,
      '--out-extension:.js=.cjs',
    ],
    { quiet: true },
  );
  return folder;
}
