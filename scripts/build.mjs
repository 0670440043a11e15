// Builds what a real server runs: the server's programs as one file each, and the web app.
import { join } from 'node:path';
import { bundleServer } from './serverBundle.mjs';
import { fail, installPackages, say } from './tools.mjs';
import { WEB_ROOT, buildWeb } from './webBuild.mjs';

async function build() {
  await installPackages();
  await buildWeb();
  const folder = await bundleServer();
  say(`Web app: ${WEB_ROOT}`);
  say(`Server: ${join(folder, 'main.cjs')}; before it, ${join(folder, 'prepare.cjs')} (docs/running.md)`);
}

build().catch(fail);
