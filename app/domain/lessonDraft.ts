import type { Screen } from '@pedastance/core/body';
import { NOTHING_ASKED, type Intake } from '@pedastance/core/body/person';
import { clubAndShot, type ClubId, type ShotType } from '@pedastance/core/club';
import type { PinnedFigure } from '@pedastance/core/advice';
import type { LadderTurn } from '@pedastance/core/ladder';
import { differences, withDifferences, type Setup } from '@pedastance/core/setup';
import type { TestTries } from './fieldTests';
import type { PhotoDraft } from './photoTaps';
import type { PressureDraft } from './pressure';

/** The five places of a lesson, each with the steps that are done there; the first is where it opens. */
export const PLACES = {
  student: ['who', 'legs', 'ladder'],
  address: ['feet', 'tape', 'photo', 'quickLook', 'body', 'pressure', 'club'],
  read: ['read'],
  change: ['change'],
  keep: ['keep', 'try'],
} as const;
export type Place = keyof typeof PLACES;
export type Step = (typeof PLACES)[Place][number];
export const PLACE_NAMES = Object.keys(PLACES) as Place[];

export const placeOf = (step: Step): Place =>
  PLACE_NAMES.find((place) => (PLACES[place] as readonly Step[]).includes(step))!;

/** The step that a place opens at: the one it was left at in this lesson, else its first. */
export const stepIn = ({ leftAt }: Pick<LessonDraft, 'leftAt'>, place: Place): Step =>
  leftAt[place] ?? PLACES[place][0];

/** What a lesson has recorded, so that it is not offered to be recorded again. */
export interface Recorded {
  readingId: string;
  changeId: string | null;
  club: ClubId;
}

/** What of a lesson belongs to a club and a shot: the feet, what was agreed on them, and the words about it. */
export interface ClubPart {
  club: ClubId | null;
  clubLengthInches: number;
  shot: ShotType;
  /** Today's feet and balance, and what of them was measured; null until a club is chosen. */
  setup: Setup | null;
  /** A photo of today's feet; absent where none was taken. */
  photo?: PhotoDraft | null;
  /** The agreed feet and balance; null until a change is begun. */
  agreed: Setup | null;
  /** How far the lead heel may come up going back, mm. */
  leadHeelLift: number;
  /** What the coach wants left as it is. */
  pinned: readonly PinnedFigure[];
  reason: string;
  feel: string;
  note: string;
}

/** A lesson in progress, kept on the device until it is finished. */
export interface LessonDraft extends ClubPart {
  id: string;
  studentId: string;
  startedAt: string;
  updatedAt: string;
  /** The lesson itself is in the outbox or beyond: something of it was recorded or tried. */
  begun: boolean;
  step: Step;
  /** The step each place was left at. */
  leftAt: Partial<Record<Place, Step>>;
  /** What the student came for, and the entry that has it once it was recorded. */
  intake: Intake;
  intakeRecorded: { id: string; intake: Intake } | null;
  /** The house method it is read with; null is the coach's usual one. */
  methodId: string | null;
  /** How far the shoulders are to turn at the top, degrees. */
  shoulderGoal: number;
  /** Ladders gone up in this lesson, by which they are; absent where none was. */
  ladders?: Readonly<Record<string, readonly LadderTurn[]>>;
  /** What was tried beside the ladders; absent where nothing was. */
  tests?: TestTries;
  /** The field test that is open; absent or null where they are listed. */
  openTest?: string | null;
  /** Swings with the pressure under the feet that are not kept yet, by `partKey`; absent where there are none. */
  pressures?: Readonly<Record<string, PressureDraft>>;
  /** A screen being taken; null before one is begun, and once it is kept. */
  screen: Screen | null;
  /** The same of other clubs and shots of this lesson that are not recorded yet, by `partKey`; absent where there are none. */
  otherClubs?: Readonly<Record<string, ClubPart>>;
  recorded: Recorded[];
}

export function newDraft(
  id: string,
  studentId: string,
  startedAt: string,
  shoulderGoal: number,
): LessonDraft {
  return {
    id,
    studentId,
    startedAt,
    updatedAt: startedAt,
    begun: false,
    step: 'who',
    leftAt: {},
    intake: NOTHING_ASKED,
    intakeRecorded: null,
    methodId: null,
    shoulderGoal,
    screen: null,
    recorded: [],
    ...untouchedClub,
  };
}

/** The part of a draft that starts anew with each club. */
export const untouchedClub: ClubPart = {
  club: null,
  clubLengthInches: 0,
  shot: 'full',
  setup: null,
  photo: null,
  agreed: null,
  leadHeelLift: 0,
  pinned: [],
  reason: '',
  feel: '',
  note: '',
};

/** What a club and shot are called where their part of a lesson is put by. */
export const partKey = ({ club, shot }: Pick<ClubPart, 'club' | 'shot'>): string => `${club} ${shot}`;

/** The part of a draft that belongs to its club. */
function clubPartOf(draft: LessonDraft): ClubPart {
  const names = Object.keys(untouchedClub) as (keyof ClubPart)[];
  return Object.assign({ ...untouchedClub }, ...names.map((name) => ({ [name]: draft[name] })));
}

/** Whether a part has anything that the coach put there. */
const isWorth = (part: ClubPart): boolean =>
  part.setup !== null &&
  (anyMeasured(part.setup) || hasChange(part) || part.note !== '' || Boolean(part.photo));

/**
 * A lesson with another club and shot in hand: what was begun with them, where it was, else a new part; what was begun with
 * the club before is put by.
 * @param draft the lesson
 * @param fresh the part to begin with where nothing was begun with its club and shot
 * @returns what of the draft changes
 */
export function withClub(draft: LessonDraft, fresh: ClubPart): ClubPart & Pick<LessonDraft, 'otherClubs'> {
  const others = { ...draft.otherClubs };
  const inHand = clubPartOf(draft);
  if (isWorth(inHand)) others[partKey(inHand)] = inHand;
  const { [partKey(fresh)]: begun, ...otherClubs } = others;
  return { ...(begun ?? fresh), otherClubs };
}

/**
 * Today's feet anew, and what is agreed made of them again: a figure that is measured after a change was agreed on is no part of
 * that change.
 * @param draft the lesson
 * @param setup today's feet now
 * @returns what of the draft changes
 */
export function withFeet(
  { setup: before, agreed }: Pick<LessonDraft, 'setup' | 'agreed'>,
  setup: Setup,
): Pick<LessonDraft, 'setup' | 'agreed'> {
  if (!before || !agreed || before === setup) return { setup, agreed };
  return { setup, agreed: withDifferences(setup, differences(before, agreed)) };
}

/** The clubs and shots of parts, as they are said. */
export const namesOf = (parts: readonly ClubPart[]): string =>
  parts.map(({ club, shot }) => clubAndShot(club!, shot)).join(', ');

/** Parts of other clubs that were begun in this lesson and not recorded. */
export const otherParts = ({ otherClubs = {} }: Pick<LessonDraft, 'otherClubs'>): ClubPart[] =>
  Object.values(otherClubs);

/** Whether anything of a setup was measured today. */
export const anyMeasured = ({ measured, posture }: Setup): boolean =>
  Object.keys(measured).length > 0 || posture !== undefined;

/** Whether the draft agrees on anything other than how the student stands and turns today. */
export const hasChange = ({
  setup,
  agreed,
  leadHeelLift,
}: Pick<LessonDraft, 'setup' | 'agreed' | 'leadHeelLift'>): boolean =>
  leadHeelLift > 0 || Boolean(setup && agreed && differences(setup, agreed).length > 0);
