import type { Said } from '../../domain/said';

/** What this screen says. */
export const messages = {
  hitFrom: 'Hit from',
  shotsBrought: (shots: Said, leftWords: Said) => `${shots} shots brought in${leftWords}.`,
  nothingWasKeptThisDevice: (message: Said) => `Nothing was kept: this device could not keep it (${message})`,
  bringInTheGoodRows: (shots: Said) => `Bring in the ${shots} good rows, leave the others`,
  bringInShots: (shots: Said) => `Bring in ${shots} shots`,
  keeping: 'Keeping …',
  onThisDeviceSent: (sent: Said, all: Said, percent: Said) =>
    `On this device; sent ${sent} of ${all} parts (${percent}%).`,
  shotsOf: (name: Said) => `Shots of ${name}`,
  shots: 'Shots',
  shotsInTheLog: (name: Said, count: Said) => `${name} · ${count} shots in the log`,
  shotsBelongToASetup:
    'Shots belong to a setup: record an address first, and then bring in what was hit from it.',
  bringInAFile: 'Bring in a file …',
  typeThem: 'Type them in',
  saveAllAsAFile: 'Save all as a file',
  aCommaOrSemicolonSeparated:
    'A comma- or semicolon-separated file with a header: columns in any order, in metres or yards, with either side positive.',
};
