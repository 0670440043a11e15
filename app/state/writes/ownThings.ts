import type { Drill } from '@pedastance/core/card';
import type { OwnLadder } from '@pedastance/core/ladder';
import { v7 as newId } from 'uuid';
import { post } from '../outbox';

/** An identifier for a drill or a ladder of the academy's own. */
export const newOwnId = (): string => `own-${newId()}`;

const labelOf = (what: string, name: string, gone: boolean): string =>
  `${gone ? 'Taken out: ' : ''}${what} “${name}”`;
const made = () => ({ id: newId(), madeAt: new Date().toISOString() });

/** Keeps drills of the academy's own, or takes them out. */
export async function keepDrills(drills: readonly Drill[], gone = false): Promise<void> {
  await post(
    drills.map((drill) => ({
      subjectId: drill.id,
      label: labelOf('Drill', drill.name, gone),
      writing: { route: 'drill' as const, body: { ...made(), drill, gone } },
    })),
  );
}

/** Keeps ladders of the academy's own, or takes them out. */
export async function keepLadders(ladders: readonly OwnLadder[], gone = false): Promise<void> {
  await post(
    ladders.map((ladder) => ({
      subjectId: ladder.id,
      label: labelOf('Ladder', ladder.name, gone),
      writing: { route: 'ladder' as const, body: { ...made(), ladder, gone } },
    })),
  );
}
