import type { Student } from '@pedastance/contract';
import type { Case } from '@pedastance/core/advice';
import type { Build, CameFor, Caution } from '@pedastance/core/body';
import {
  bandsFor,
  ownWidest,
  withExceptions,
  type BandException,
  type HouseMethod,
} from '@pedastance/core/method';
import type { PersonalPath } from '@pedastance/core/path';
import type { Setup } from '@pedastance/core/setup';
import type { WeightSeen } from './pressure';
import type { Goal, TurningBody } from '@pedastance/core/turn';
import type { LessonDraft } from './lessonDraft';

/** What a lesson knows that a judgement is made from. */
export interface JudgedLesson {
  student: Student;
  build: Build;
  legs: TurningBody | null;
  method: HouseMethod;
  cautions: readonly Caution[];
  path: PersonalPath & { simulated: boolean };
  goal: Goal;
  draft: Pick<LessonDraft, 'club' | 'shot' | 'clubLengthInches' | 'pinned'> & {
    intake: { cameFor: readonly CameFor[] };
  };
  setup: Setup;
  /** The student's own bands that hold with the club. */
  exceptions: readonly BandException[];
  /** What mat or eye saw of the weight with the club. */
  weight: WeightSeen;
}

/** The case of today's address; null before a club is chosen. */
export function caseOf(lesson: JudgedLesson): Case | null {
  const { student, build, legs, method, cautions, path, goal, draft, setup, exceptions, weight } = lesson;
  const { club, shot, clubLengthInches, pinned, intake } = draft;
  if (!club) return null;
  return {
    setup,
    build,
    body: legs,
    bands: withExceptions(bandsFor(method, { build, legs }, { club, shot, clubLengthInches }), exceptions),
    widest: ownWidest(exceptions),
    club,
    shot,
    hand: student.hand,
    goal,
    cameFor: intake.cameFor,
    facts: student.facts,
    cautions,
    path,
    pathSimulated: path.simulated,
    ...weight,
    pinned,
    leadHeelLift: 0,
    done: [],
    agreed: [],
  };
}
