import type { Said } from '../domain/said';

/** What this screen says. */
export const messages = {
  notSaidYet: 'not said yet',
  isIn: (column: Said) => `${column} is in`,
  whichSideIsPositive: (column: Said) => `${column}, which side is positive`,
  notInThisFile: 'not in this file',
  column: (at: Said) => `column ${at}`,
  noneOfTheColumns: 'None of the columns is known by its name: say which is which.',
};
