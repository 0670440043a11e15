import type { TestName } from '@pedastance/contract';
import type { LadderTurn } from '@pedastance/core/ladder';
import { triesIn, triesKey, type TryOf } from '../domain/fieldTests';
import { changeDraft, lesson } from './lesson';

const NONE: readonly never[] = [];

const turnsOf = (key: string): readonly LadderTurn[] => lesson.getState().draft?.ladders?.[key] ?? NONE;

const change = (key: string, turns: readonly LadderTurn[]): void => {
  const ladders = lesson.getState().draft?.ladders;
  changeDraft({ ladders: { ...ladders, [key]: turns } });
};

/** Notes a turn on a rung; a result of null is one that only warmed up. */
export const noteTurn = (key: string, turn: LadderTurn): void => change(key, [...turnsOf(key), turn]);

/** Takes the last turn back. */
export const takeBackTurn = (key: string): void => change(key, turnsOf(key).slice(0, -1));

/** Begins today's turns on a ladder anew. */
export const beginLadderAnew = (key: string): void => change(key, NONE);

/** Opens a field test, or the list of them. */
export const openFieldTest = (key: string | null): void => changeDraft({ openTest: key });

function triesOf<Name extends TestName>(test: Name): readonly TryOf<Name>[] {
  const { tests, club } = lesson.getState().draft!;
  return triesIn(tests, test, club);
}

function changeTries(test: TestName, tries: readonly object[]): void {
  const { tests, club } = lesson.getState().draft!;
  changeDraft({ tests: { ...tests, [triesKey(test, club)]: tries } });
}

/** Notes what came of one try of a test. */
export const noteTry = <Name extends TestName>(test: Name, tried: TryOf<Name>): void =>
  changeTries(test, [...triesOf(test), tried]);

/** Takes the last try back. */
export const takeBackTry = (test: TestName): void => changeTries(test, triesOf(test).slice(0, -1));

/** Begins a test anew. */
export const beginTestAnew = (test: TestName): void => changeTries(test, NONE);
