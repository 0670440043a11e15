import type { Said } from '../../../domain/said';

/** What this screen says. */
export const messages = {
  theMonitorKeepsTheFigures: 'The monitor keeps the figures. Load its file after the last shot.',
  hit: 'Hit',
  mendTheseRows: 'Mend these rows in the file, and load it again.',
  theFileExpectedRowsOne: (awaited: Said, rows: Said) =>
    `The file: expected ${awaited} rows, one for each shot hit, found ${rows}.`,
  nothingWasKeptThisDevice: (message: Said) => `Nothing was kept: this device could not keep it (${message})`,
  takeTheseShots: (rows: Said) => `Take these ${rows} shots`,
  loadTheMonitorsFileRows: (waiting: Said) =>
    `Load the monitor’s file: ${waiting} rows, in the order they were hit.`,
  chooseTheFile: 'Choose the file …',
};
