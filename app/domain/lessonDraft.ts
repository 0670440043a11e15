import type { Screen } from '@pedastance/core/body';
import { NOTHING_ASKED, type Intake } from '@pedastance/core/body/person';
import type { ClubId, ShotType } from '@pedastance/core/club';
import type { PinnedFigure } from '@pedastance/core/advice';
import type { LadderTurn } from '@pedastance/core/ladder';
import { differences, type Setup } from '@pedastance/core/setup';
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

/** A lesson in progress, kept on the device until it is finished. */
export interface LessonDraft {
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
  /** Swings with the pressure under the feet that are not kept yet, by club; absent where there are none. */
  pressures?: Partial<Record<ClubId, PressureDraft>>;
  /** A screen being taken; null before one is begun, and once it is kept. */
  screen: Screen | null;
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
export const untouchedClub = {
  club: null,
  clubLengthInches: 0,
  shot: 'full' as const,
  setup: null,
  photo: null,
  agreed: null,
  leadHeelLift: 0,
  pinned: [] as const,
  reason: '',
  feel: '',
  note: '',
};

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
