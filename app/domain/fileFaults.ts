import type { FileFault } from '@pedastance/contract/jsonFile';

const MOST_TOLD = 8;

/** A fault of a file in the coach's words. */
const faultWords = ({ line, field, expected, found }: FileFault): string =>
  `Line ${line}, ${field}: expected ${expected}, found ${found}.`;

/** The first faults of a file, and how many more there are. */
export function faultsWords(faults: readonly FileFault[]): string[] {
  const told = faults.slice(0, MOST_TOLD).map(faultWords);
  return faults.length > MOST_TOLD ? [...told, `And ${faults.length - MOST_TOLD} more.`] : told;
}
