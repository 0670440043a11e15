import type { Build, CameFor, Caution, CautionFact, Hand, Remedy } from '../body';
import { bandsFor, ownBands, ownWidest, type HouseMethod, type OwnBands, type Played } from '../method';
import type { PersonalPath } from '../path';
import type { PatternSeen, Setup } from '../setup';
import type { Goal, TurningBody } from '../turn';
import type { Case, PinnedFigure, Thing } from './types';

/** All that is known where an address is judged; what was agreed is of the club in hand, oldest first. */
export interface Judged extends OwnBands {
  setup: Setup;
  played: Played;
  method: HouseMethod;
  build: Build;
  /** Legs and trunk; null where they were never tested. */
  legs: TurningBody | null;
  hand: Hand;
  facts: readonly CautionFact[];
  cautions: readonly Caution[];
  goal: Goal;
  cameFor: readonly CameFor[];
  path: PersonalPath;
  /** The shots behind the path are a simulated student's. */
  pathSimulated: boolean;
  /** Cues agreed in this lesson that move no figure. */
  cued: readonly Thing[];
  /** What was tried with the club and dropped. */
  dropped: readonly Remedy[];
  /** What mat or eye saw of the weight with the club. */
  pressure: PatternSeen | null;
  feltUnder: 'heels' | 'toes' | null;
  pinned: readonly PinnedFigure[];
}

/** What an address is judged by where nothing else is known of the student: nothing tested, agreed, seen or held fast. */
export const NOTHING_MORE = {
  exceptions: [],
  agreed: [],
  cued: [],
  dropped: [],
  pressure: null,
  feltUnder: null,
  pinned: [],
} as const satisfies Partial<Judged>;

/**
 * The case of an address: one for the app, the demo, the tests and the server. What was agreed and what was tested stand in
 * place of the method's bands.
 * @param judged all that is known
 * @returns what a judgement is made from
 */
export function caseOf(judged: Judged): Case {
  const { played, method, build, legs, exceptions, agreed, ...rest } = judged;
  const taught = bandsFor(method, { build, legs }, played);
  return {
    ...rest,
    build,
    body: legs,
    bands: ownBands(taught, { agreed, exceptions }),
    widest: ownWidest(exceptions),
    club: played.club,
    shot: played.shot,
    agreed,
    exceptions,
    leadHeelLift: agreed.findLast(({ item }) => item === 'leadHeelLift')?.to ?? 0,
  };
}

/** What a judgement rests on besides what its reading names: the student's own, and what was tried before. */
export type Rests = Pick<Judged, 'agreed' | 'exceptions' | 'cued' | 'dropped' | 'feltUnder'>;

/** The same, as it is kept: plain lists of what is known of each and no more. */
export type KeptRests = {
  [Part in keyof Rests]: Rests[Part] extends readonly (infer Each)[] ? Each[] : Rests[Part];
};

/**
 * What a case rests on besides what its reading names, to be kept beside its judgement.
 * @param given the case
 * @returns the student's own and what was tried, nothing else of it
 */
export const restsOf = ({ agreed, exceptions, cued, dropped, feltUnder }: Rests): KeptRests => ({
  agreed: agreed.map(({ item, by, to, today }) => ({ item, by, to, today })),
  exceptions: exceptions.map(({ item, low, high }) => ({ item, low, high })),
  cued: [...cued],
  dropped: dropped.map(({ item, by }) => ({ item, by })),
  feltUnder,
});
