/** Drills as a file, which carries them from one academy to another. */
import type { Drill } from '@pedastance/core/card';
import { z } from 'zod';
import { DrillShape } from './cards';
import { faultsOf, type Fault } from './faults';
import { readJsonFile, type FileFault } from './jsonFile';

export const DrillFile = z.strictObject({
  format: z.literal('pedastance drills'),
  formatVersion: z.literal(1),
  drills: z
    .array(DrillShape)
    .min(1)
    .max(200)
    .refine((drills) => new Set(drills.map(({ id }) => id)).size === drills.length, {
      error: 'each drill once',
    }),
});

/** Reads a file of drills. What is wrong with it is told line by line, and then nothing is taken. */
export function readDrillFile(text: string): { drills: Drill[] } | { faults: FileFault[] } {
  const read = readJsonFile(text, DrillFile, 'drills');
  return 'faults' in read ? read : { drills: read.value.drills };
}

/** Drills as the text of their file. */
export const writeDrillFile = (drills: readonly Drill[]): string =>
  `${JSON.stringify({ format: 'pedastance drills', formatVersion: 1, drills }, null, 1)}\n`;

/** What is wrong with a drill as it is being written; empty when it can be kept. */
export function faultsInDrill(drill: Drill): Fault[] {
  const parsed = DrillShape.safeParse(drill);
  return parsed.success ? [] : faultsOf(parsed.error, drill);
}
