import type { AddressEntry, LookEntry, ShotsEntry, Student, TrialEntry } from '@pedastance/contract';
import { evidenceOf } from '@pedastance/contract/trialLog';
import { MODEL_VERSION } from '@pedastance/core/reading';
import { withDifferences, type Setup, type Difference } from '@pedastance/core/setup';
import { decisionOf, made, type FactorialVerdict, type Shot, type LookResult } from '@pedastance/core/trial';
import { v7 as newId } from 'uuid';
import { lesson } from '../lesson';
import { post } from '../outbox';
import { entryPost, keepInLesson } from './inLesson';
import { hitsOf, isAwaited, sittingNow, wayOf, type NextShot, type Trial } from '../../domain/trials';

const entry = (lessonId: string) => ({
  id: newId(),
  lessonId,
  madeAt: new Date().toISOString(),
  replaces: null,
});

export type Declared = Omit<
  TrialEntry,
  'id' | 'lessonId' | 'madeAt' | 'replaces' | 'kind' | 'addressAId' | 'addressBId' | 'seed' | 'apart'
> & {
  /** What differs, where it is to be taken apart; null where B is tried whole. */
  apart: readonly Difference[] | null;
};

/** 32 bits of chance from the device: nobody has seen the order before it is dealt. */
const drawSeed = (): number => crypto.getRandomValues(new Uint32Array(1))[0]!;

/** Every way of making some of the changes and not the others, none of them first and all of them last. */
const waysOf = (a: Setup, apart: readonly Difference[]): Setup[] =>
  Array.from({ length: 2 ** apart.length }, (_, cell) =>
    withDifferences(
      a,
      apart.filter((_change, at) => made(cell, at)),
    ),
  );

/** Declares a trial of today's feet against the agreed ones; nothing of it changes afterwards. */
export async function declareTrial(
  student: Student,
  a: Setup,
  b: Setup,
  { apart, ...declared }: Declared,
): Promise<void> {
  const { draft } = lesson.getState();
  if (!draft?.club) return;
  const { club, clubLengthInches, shot } = draft;
  const setups = apart ? waysOf(a, apart) : [a, b];
  const addresses = setups.map((setup, way): AddressEntry => ({
    ...entry(draft.id),
    kind: 'address',
    standing: way === 0 ? 'today' : 'agreed',
    club,
    clubLengthInches,
    shot,
    setup,
  }));
  const addressIds = addresses.map(({ id }) => id);
  const trial: TrialEntry = {
    ...entry(draft.id),
    kind: 'trial',
    addressAId: addressIds[0]!,
    addressBId: addressIds.at(-1)!,
    seed: drawSeed(),
    apart: apart && { changes: apart.map(({ change }) => change), addressIds },
    ...declared,
  };
  const posts = [
    ...addresses.map((address) => entryPost('Address', student, address)),
    entryPost('Trial', student, trial),
  ];
  await keepInLesson(posts, { draft, student });
}

const writeShots = (student: Student, body: ShotsEntry) => post([entryPost('Shot', student, body)]);

/** Where a shot that comes next stands in its trial's order. */
function placeOf(trial: Trial, next: NextShot): NonNullable<ShotsEntry['place']> {
  if (next.kind === 'warm-up') return { warmUp: true };
  const { block, way } = next;
  return trial.entry.apart
    ? { warmUp: false, block, cell: way }
    : { warmUp: false, block, arm: way === 0 ? 'A' : 'B' };
}

/** Keeps a shot in its place in the order; `id` is the monitor's own where it has one. */
export async function keepShot(
  student: Student,
  trial: Trial,
  next: NextShot,
  shot: Shot,
  id: string = newId(),
): Promise<void> {
  const { id: trialId, lessonId, source } = trial.entry;
  await writeShots(student, {
    ...entry(lessonId),
    id,
    kind: 'shots',
    addressId: trial.ways[next.way]!.id,
    trialId,
    source,
    sitting: sittingNow(trial, new Date()),
    place: placeOf(trial, next),
    shots: [shot],
  });
}

/** Takes the last shot back: it stays in the log, replaced by nothing. */
export async function takeBack(student: Student, trial: Trial): Promise<void> {
  const last = hitsOf(trial).at(-1);
  if (!last) return;
  const { id: trialId, lessonId, source } = trial.entry;
  await writeShots(student, {
    ...entry(lessonId),
    kind: 'shots',
    replaces: last.id,
    addressId: trial.ways[wayOf(last.place)]!.id,
    trialId,
    source,
    sitting: last.sitting,
    place: last.place,
    shots: [],
  });
}

/**
 * Gives shots that were hit their figures, in the order they were hit: each noted hit is replaced by the same
 * shot with what its monitor measured. All of it is kept, or none.
 */
export async function fillShots(student: Student, trial: Trial, shots: readonly Shot[]): Promise<void> {
  const { id: trialId, lessonId, source } = trial.entry;
  const posts = hitsOf(trial)
    .filter(isAwaited)
    .map(({ id, madeAt, place, sitting }, at) => {
      const body: ShotsEntry = {
        ...entry(lessonId),
        // It was hit then; only its figures come now.
        madeAt,
        kind: 'shots',
        replaces: id,
        addressId: trial.ways[wayOf(place)]!.id,
        trialId,
        source,
        sitting,
        place,
        shots: [shots[at]!],
      };
      return entryPost('Shot', student, body);
    });
  await post(posts);
}

/** Keeps what a look said, what it rested on, and what the coach decided. */
export async function decide(
  student: Student,
  trial: Trial,
  verdict: Pick<LookResult, 'look' | 'verdict' | 'because' | 'primary'> &
    Partial<Pick<FactorialVerdict, 'effects'>>,
  painUp: boolean,
  decision: LookEntry['decision'],
  note: string,
): Promise<void> {
  const body: LookEntry = {
    ...entry(trial.entry.lessonId),
    kind: 'look',
    trialId: trial.entry.id,
    shotIds: [...new Set(hitsOf(trial).map(({ id }) => id))],
    modelVersion: MODEL_VERSION,
    length: trial.entry.length,
    look: verdict.look,
    painUp,
    verdict: verdict.verdict,
    because: verdict.because,
    evidence: evidenceOf(verdict.primary),
    effects: verdict.effects ?? null,
    decision,
    note: decision === decisionOf(verdict.verdict) ? '' : note.trim(),
  };
  await post([entryPost('Look at a trial', student, body)]);
}
