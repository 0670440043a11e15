// Builds the empty app of the same stack and writes its size down, for the tests: `npm run empty-app`.
import { emptyAppBytes, kilobytes } from './firstLoad.mjs';
import { fail, installPackages, say } from './tools.mjs';

installPackages()
  .then(() => emptyAppBytes({ keep: true }))
  .then((bytes) => say(`The empty app loads ${kilobytes(bytes)}.`))
  .catch(fail);
