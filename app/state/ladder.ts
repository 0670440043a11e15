import type { LadderName, TryResult } from '@pedastance/core/ladder';
import type { LadderTurn } from '../domain/ladders';
import { changeDraft, lesson } from './lesson';

const NONE: readonly LadderTurn[] = [];

const turnsOf = (name: LadderName): readonly LadderTurn[] => lesson.getState().draft?.ladders?.[name] ?? NONE;

const change = (name: LadderName, turns: readonly LadderTurn[]): void => {
  const ladders = lesson.getState().draft?.ladders;
  changeDraft({ ladders: { ...ladders, [name]: turns } });
};

/** Notes a turn on a rung; null is one that only warmed up. */
export const noteTurn = (name: LadderName, rung: number, result: TryResult | null): void =>
  change(name, [...turnsOf(name), { rung, result }]);

/** Takes the last turn back. */
export const takeBackTurn = (name: LadderName): void => change(name, turnsOf(name).slice(0, -1));

/** Begins today's turns on a ladder anew. */
export const beginLadderAnew = (name: LadderName): void => change(name, NONE);
