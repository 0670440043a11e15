import {
  CHANGE_DEFAULTS,
  SWING_DEFAULTS,
  upgradedEntry,
  upgradedScreen,
  upgradedStudent,
} from '@pedastance/contract/earlier';
import type { IDBPTransaction, StoreNames } from 'idb';
import type { Schema } from './schema';
import type { TestName } from '@pedastance/contract';
import { triesKey } from '../domain/fieldTests';
import { partKey, type LessonDraft } from '../domain/lessonDraft';
import type { PressureDraft } from '../domain/pressure';
import { NOTHING_ASKED } from '@pedastance/core/body/person';
import { pictureApart } from './partedPicture';
import type { QueuedWrite } from './queuedWrite';
import { upgradedSetup, type Setup, FEET_FIGURES, LOAD_FIGURES } from '@pedastance/core/setup';

/** The earlier shape of a draft: one word for how all of the feet, or the load, were placed. */
interface EarlierDraft {
  /** Swings were of the lesson, and not of a club. */
  pressure?: PressureDraft | null;
  feetPlaced?: boolean;
  balanceNoted?: boolean;
}

/** Today's setup of a lesson in progress, measured in what the coach had placed or noted. */
function upgradedDraftSetup(setup: Setup, { feetPlaced = false, balanceNoted = false }: EarlierDraft): Setup {
  if ((setup as Partial<Setup>).measured) return setup;
  const whole = upgradedSetup(setup);
  const names = [...(feetPlaced ? FEET_FIGURES : []), ...(balanceNoted ? LOAD_FIGURES : [])];
  return { ...whole, measured: Object.fromEntries(names.map((name) => [name, whole.measured[name]])) };
}

/** Ladders of a lesson from before turns were measured on them. */
const upgradedLadders = (ladders: LessonDraft['ladders']): LessonDraft['ladders'] =>
  ladders &&
  Object.fromEntries(
    Object.entries(ladders).map(([key, turns]) => [
      key,
      turns.map((turn) => ({ ...turn, measured: turn.measured ?? null })),
    ]),
  );

/** Tries of a lesson from before they were kept apart by club: they were with the club it had. */
const upgradedTests = ({ tests, club }: LessonDraft): LessonDraft['tests'] =>
  tests &&
  Object.fromEntries(
    Object.entries(tests).map(([key, tries]) => [
      key.includes(', ') ? key : triesKey(key as TestName, club),
      tries,
    ]),
  );

/**
 * Swings of a lesson from before they were kept apart by club, then by club and shot, and before they had a path and named the
 * shot that they were.
 */
function upgradedPressures(
  { club, shot = 'full', pressures }: LessonDraft,
  earlier: EarlierDraft['pressure'],
): LessonDraft['pressures'] {
  if (club && earlier) {
    const swings = earlier.swings.map((swing) => ({ ...SWING_DEFAULTS, ...swing }));
    return { [partKey({ club, shot })]: { ...earlier, swings } };
  }
  return (
    pressures &&
    Object.fromEntries(
      Object.entries(pressures).map(([key, swings]) => [key.includes(' ') ? key : `${key} full`, swings]),
    )
  );
}

/** A lesson in progress of any earlier shape in today's. */
export function upgradedDraft({
  feetPlaced,
  balanceNoted,
  pressure,
  ...draft
}: LessonDraft & EarlierDraft): LessonDraft {
  return {
    ...draft,
    begun: draft.begun ?? draft.recorded.length > 0,
    intake: draft.intake ?? NOTHING_ASKED,
    intakeRecorded: draft.intakeRecorded ?? null,
    shoulderGoal: draft.shoulderGoal ?? CHANGE_DEFAULTS.shoulderGoal,
    step: (draft.step as string) === 'balance' ? 'feet' : draft.step,
    leftAt: draft.leftAt ?? {},
    pinned: draft.pinned ?? [],
    ladders: upgradedLadders(draft.ladders),
    pressures: upgradedPressures(draft, pressure),
    tests: upgradedTests(draft),
    screen: draft.screen && upgradedScreen(draft.screen),
    setup: draft.setup && upgradedDraftSetup(draft.setup, { feetPlaced, balanceNoted }),
    agreed: draft.agreed && upgradedSetup(draft.agreed),
  };
}

/** A queued write from before all kinds of subjects; its body stays as it was made, and is sent so. */
const upgradedWrite = ({ studentId, ...queued }: QueuedWrite & { studentId?: string }): QueuedWrite => ({
  ...queued,
  subjectId: queued.subjectId ?? studentId,
  contract: queued.contract ?? 1,
});

/** Brings what a device kept in an earlier shape to today's; nothing is lost. */
export async function upgradeDevice(
  transaction: IDBPTransaction<Schema, StoreNames<Schema>[], 'versionchange'>,
): Promise<void> {
  for (let at = await transaction.objectStore('outbox').openCursor(); at; at = await at.continue()) {
    const writing = await pictureApart(transaction.objectStore('photos'), at.value.owner, at.value.writing);
    await at.update(upgradedWrite({ ...at.value, writing }));
  }
  for (let at = await transaction.objectStore('entries').openCursor(); at; at = await at.continue()) {
    await at.update({ ...at.value, value: upgradedEntry(at.value.value) });
  }
  for (let at = await transaction.objectStore('students').openCursor(); at; at = await at.continue()) {
    await at.update({ ...at.value, value: upgradedStudent(at.value.value) });
  }
  for (let at = await transaction.objectStore('screens').openCursor(); at; at = await at.continue()) {
    await at.update({ ...at.value, value: upgradedScreen(at.value.value) });
  }
  for (let at = await transaction.objectStore('drafts').openCursor(); at; at = await at.continue()) {
    await at.update({ ...at.value, value: upgradedDraft(at.value.value) });
  }
}
