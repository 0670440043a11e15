/** Ladders of one's own as a file, which carries them from one academy to another. */
import type { OwnLadder } from '@pedastance/core/ladder';
import { z } from 'zod';
import { faultsOf, type Fault } from './faults';
import { readJsonFile, type FileFault } from './jsonFile';
import { OwnLadderShape } from './ladders';

export const LadderFile = z.strictObject({
  format: z.literal('pedastance ladders'),
  formatVersion: z.literal(1),
  ladders: z
    .array(OwnLadderShape)
    .min(1)
    .max(100)
    .refine((ladders) => new Set(ladders.map(({ id }) => id)).size === ladders.length, {
      error: 'each ladder once',
    }),
});

/** Reads a file of ladders. What is wrong with it is told line by line, and then nothing is taken. */
export function readLadderFile(text: string): { ladders: OwnLadder[] } | { faults: FileFault[] } {
  const read = readJsonFile(text, LadderFile, 'ladders');
  return 'faults' in read ? read : { ladders: read.value.ladders };
}

/** Ladders as the text of their file. */
export const writeLadderFile = (ladders: readonly OwnLadder[]): string =>
  `${JSON.stringify({ format: 'pedastance ladders', formatVersion: 1, ladders }, null, 1)}\n`;

/** What is wrong with a ladder as it is being built; empty when it can be kept. */
export function faultsInLadder(ladder: OwnLadder): Fault[] {
  const parsed = OwnLadderShape.safeParse(ladder);
  return parsed.success ? [] : faultsOf(parsed.error, ladder);
}
