import { readFileSync } from 'node:fs';
import { join } from 'node:path';

/** Packages that run a script when they are installed, each with why that does no harm. */
const REASONED: Record<string, string> = {
  esbuild: 'checks the binary that came inside its own npm package; fetches only when that is missing',
};

test('no package compiles or fetches at install, but for a reasoned few', () => {
  const lock = JSON.parse(readFileSync(join(__dirname, '..', '..', 'package-lock.json'), 'utf8')) as {
    packages: Record<string, { hasInstallScript?: boolean }>;
  };
  const scripted = Object.entries(lock.packages)
    .filter(([, { hasInstallScript }]) => hasInstallScript)
    .map(([path]) => path.replace(/^.*node_modules\//, ''));
  expect([...new Set(scripted)].sort()).toEqual(Object.keys(REASONED).sort());
});
