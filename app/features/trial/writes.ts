import type { AddressEntry, LookEntry, ShotsEntry, Student, TrialEntry } from '@pedastance/contract';
import type { Setup } from '@pedastance/core/ground';
import { decisionOf, type Comparison, type Next, type Shot, type TrialVerdict } from '@pedastance/core/trial';
import { v7 as newId } from 'uuid';
import { changeDraft, keepNow, lesson } from '../../state/lesson';
import { post } from '../../state/outbox';
import { beginning } from '../lesson/record';
import { sittingNow, type Trial } from './trials';

const entry = (lessonId: string) => ({
  id: newId(),
  lessonId,
  madeAt: new Date().toISOString(),
  replaces: null,
});

export type Declared = Omit<
  TrialEntry,
  'id' | 'lessonId' | 'madeAt' | 'replaces' | 'kind' | 'addressAId' | 'addressBId' | 'seed'
>;

/** 32 bits of chance from the device: nobody has seen the order before it is dealt. */
const drawSeed = (): number => crypto.getRandomValues(new Uint32Array(1))[0]!;

/** Declares a trial of today's feet against the agreed ones; nothing of it changes afterwards. */
export async function declareTrial(student: Student, a: Setup, b: Setup, declared: Declared): Promise<void> {
  const { draft } = lesson.getState();
  if (!draft?.club) return;
  const { club, clubLengthInches, shot } = draft;
  const address = (standing: AddressEntry['standing'], setup: Setup): AddressEntry => ({
    ...entry(draft.id),
    kind: 'address',
    standing,
    club,
    clubLengthInches,
    shot,
    setup,
  });
  const today = address('today', a);
  const agreed = address('agreed', b);
  const trial: TrialEntry = {
    ...entry(draft.id),
    kind: 'trial',
    addressAId: today.id,
    addressBId: agreed.id,
    seed: drawSeed(),
    ...declared,
  };
  const write = (label: string, body: AddressEntry | TrialEntry) => ({
    subjectId: student.id,
    label: `${label} of ${student.name}`,
    writing: { route: 'entry' as const, body },
  });
  await post([
    ...beginning(draft, student),
    write('Address', today),
    write('Address', agreed),
    write('Trial', trial),
  ]);
  changeDraft({ begun: true });
  await keepNow();
}

const writeShots = (student: Student, body: ShotsEntry) =>
  post([{ subjectId: student.id, label: `Shot of ${student.name}`, writing: { route: 'entry', body } }]);

/** Keeps a shot in its place in the order; `id` is the monitor's own where it has one. */
export async function keepShot(
  student: Student,
  trial: Trial,
  next: Exclude<Next, { kind: 'look' }>,
  shot: Shot,
  id: string = newId(),
): Promise<void> {
  const { id: trialId, lessonId, source } = trial.entry;
  const arm = next.kind === 'shot' ? next.arm : 'A';
  await writeShots(student, {
    ...entry(lessonId),
    id,
    kind: 'shots',
    addressId: trial.addresses[arm].id,
    trialId,
    source,
    sitting: sittingNow(trial, new Date()),
    place: next.kind === 'shot' ? { warmUp: false, block: next.block, arm } : { warmUp: true },
    shots: [shot],
  });
}

/** Takes the last shot back: it stays in the log, replaced by nothing. */
export async function takeBack(student: Student, trial: Trial): Promise<void> {
  const last = trial.shots[trial.shots.length - 1];
  if (!last) return;
  const { id: trialId, lessonId, source } = trial.entry;
  const arm = last.place.warmUp ? 'A' : last.place.arm;
  await writeShots(student, {
    ...entry(lessonId),
    kind: 'shots',
    replaces: last.id,
    addressId: trial.addresses[arm].id,
    trialId,
    source,
    sitting: last.sitting,
    place: last.place,
    shots: [],
  });
}

function evidenceOf(primary: Comparison | null): LookEntry['evidence'] {
  if (!primary) return null;
  const { difference, shift, interval, p, exact, arrangements, chance, count, mean } = primary;
  return { difference, shift, interval, p, exact, arrangements, chance, count, mean };
}

/** Keeps what a look said, what it rested on, and what the coach decided. */
export async function decide(
  student: Student,
  trial: Trial,
  verdict: TrialVerdict,
  painUp: boolean,
  decision: LookEntry['decision'],
  note: string,
): Promise<void> {
  const body: LookEntry = {
    ...entry(trial.entry.lessonId),
    kind: 'look',
    trialId: trial.entry.id,
    look: verdict.look,
    painUp,
    verdict: verdict.verdict,
    because: verdict.because,
    evidence: evidenceOf(verdict.primary),
    decision,
    note: decision === decisionOf(verdict.verdict) ? '' : note.trim(),
  };
  await post([
    { subjectId: student.id, label: `Look at a trial of ${student.name}`, writing: { route: 'entry', body } },
  ]);
}
