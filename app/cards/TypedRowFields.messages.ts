import type { Said } from '../domain/said';

/** What this screen says. */
export const messages = {
  changeTo: (figure: Said, said: Said, wayWords: Said) => `${figure}: ${said}. Change to ${wayWords}`,
  columns: 'Columns',
  strike: 'Strike',
  chooseTheColumns: 'Choose the columns',
};
