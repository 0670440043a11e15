import type { Drill } from '@pedastance/core/card';
import { v7 as newId } from 'uuid';
import { post } from '../outbox';

/** An identifier for a drill of the academy's own. */
export const newDrillId = (): string => `own-${newId()}`;

/** Keeps drills of the academy's own, or takes them out. */
export async function keepDrills(drills: readonly Drill[], gone = false): Promise<void> {
  await post(
    drills.map((drill) => {
      const body = { id: newId(), madeAt: new Date().toISOString(), drill, gone };
      return {
        subjectId: drill.id,
        label: `${gone ? 'Taken out: ' : ''}Drill “${drill.name}”`,
        writing: { route: 'drill' as const, body },
      };
    }),
  );
}
