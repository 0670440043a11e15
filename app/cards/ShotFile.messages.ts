import { plural } from '@pedastance/core/units';
import type { Said } from '../domain/said';

/** What this screen says. */
export const messages = {
  expectedAtMostMbFound: (name: Said, size: Said) => `${name}: expected at most 20 MB, found ${size} MB`,
  line: (line: Said, parts: Said) => `Line ${line}: ${parts}`,
  andMore: (shots: Said) => `And ${shots} more.`,
  sidewaysFiguresArePositiveAway: 'Sideways figures are positive away from the golfer.',
  cannotBeTaken: (count: number) => `${count} ${plural(count, 'figure', 'figures')} cannot be taken:`,
  lineExpectedFound: (line: Said, field: Said, expected: Said, foundWords: Said) =>
    `Line ${line}, ${field}: expected ${expected}, found ${foundWords}.`,
  andMoreFaults: (faults: Said) => `And ${faults} more.`,
  reading: 'Reading …',
  expectedAHeader: (name: Said) => `${name}: expected a header and at least one row, found none.`,
  beforeItCanBeRead: (open: Said) => `Before it can be read: ${open}.`,
  whatWouldBeKept: 'What would be kept',
};
