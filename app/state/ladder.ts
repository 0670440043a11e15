import type { LadderName, Try, TryResult } from '@pedastance/core/ladder';
import { changeDraft, lesson } from './lesson';

/** The open lesson has one sitting of a ladder. */
export const SITTING = 0;
const NONE: readonly Try[] = [];

/** The turns on a ladder in the open lesson, in time. */
export const triesOf = (name: LadderName): readonly Try[] => lesson.getState().draft?.ladders?.[name] ?? NONE;

const change = (name: LadderName, tries: readonly Try[]): void => {
  const ladders = lesson.getState().draft?.ladders;
  changeDraft({ ladders: { ...ladders, [name]: tries } });
};

/** Notes a turn on a rung; null is one that only warmed up. */
export function noteTry(name: LadderName, rung: number, result: TryResult | null): void {
  const tries = triesOf(name);
  change(name, [...tries, { rung, result, sitting: SITTING, turn: tries.length }]);
}

/** Takes the last turn back. */
export const takeBackTry = (name: LadderName): void => change(name, triesOf(name).slice(0, -1));

/** Begins a ladder anew. */
export const beginLadderAnew = (name: LadderName): void => change(name, []);
