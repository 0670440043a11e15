import type { LadderEntry } from '@pedastance/contract';
import { LADDERS, nextOn, type LadderTurn, type Try } from '@pedastance/core/ladder';

/**
 * The turns of a student who turns fully from one flare of the trail foot on, gone through as the ladder is planned.
 * @param from degrees
 */
export function turnsUp(from: number): LadderEntry['turns'] {
  const tries: Try[] = [];
  for (;;) {
    const next = nextOn(LADDERS['trail flare'], tries, 0);
    if (next.kind === 'stop') break;
    const result = next.scored ? (next.rung >= from ? 'passed' : 'failed') : null;
    tries.push({ rung: next.rung, result, sitting: 0, turn: tries.length });
  }
  return tries.map(({ rung, result }): LadderTurn => ({ rung, result, measured: null }));
}
