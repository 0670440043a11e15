import type { Student } from '@pedastance/contract';
import { caseOf as judgedCase, type Case } from '@pedastance/core/advice';
import type { Build, CameFor, Caution, Remedy } from '@pedastance/core/body';
import type { HouseMethod, OwnBands } from '@pedastance/core/method';
import type { PersonalPath } from '@pedastance/core/path';
import type { Setup } from '@pedastance/core/setup';
import type { Goal, TurningBody } from '@pedastance/core/turn';
import type { LessonDraft } from './lessonDraft';
import type { WeightSeen } from './pressure';

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
  /** What the student has of their own with the club. */
  own: OwnBands;
  /** What was tried with the club and dropped. */
  dropped: readonly Remedy[];
  /** What mat or eye saw of the weight with the club. */
  weight: WeightSeen;
}

/** The case of today's address; null before a club is chosen. */
export function caseOf(lesson: JudgedLesson): Case | null {
  const { student, build, legs, method, cautions, path, goal, draft, setup, own, dropped, weight } = lesson;
  const { club, shot, clubLengthInches, pinned, intake } = draft;
  if (!club) return null;
  return judgedCase({
    setup,
    played: { club, shot, clubLengthInches },
    method,
    build,
    legs,
    hand: student.hand,
    facts: student.facts,
    cautions,
    goal,
    cameFor: intake.cameFor,
    path,
    pathSimulated: path.simulated,
    ...own,
    dropped,
    cued: [],
    ...weight,
    pinned,
  });
}
