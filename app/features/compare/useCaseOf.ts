import type { Student } from '@pedastance/contract';
import type { Case } from '@pedastance/core/advice';
import type { CameFor } from '@pedastance/core/body';
import type { HouseMethod, Played } from '@pedastance/core/method';
import { personalPath } from '@pedastance/core/path';
import type { Setup } from '@pedastance/core/setup';
import { goalOf, type Body as StudentBody } from '@pedastance/core/turn';
import { useMemo } from 'react';
import { caseOf } from '../../domain/case';
import { ownWith } from '@pedastance/contract/agreed';
import { cautionsToday } from '../../domain/facts';
import { pathShotsOf } from '@pedastance/contract/pathShots';
import { taughtRoute, weightSeen } from '../../domain/pressure';
import { lastShoulderGoal } from '@pedastance/contract/records';
import { useMadeUp } from '../../state/account';
import { useRecords } from '../../state/records';

/** Feet to judge: how they stand, with which club, by which method, and what the student came for. */
interface Judged {
  setup: Setup;
  played: Played;
  method: HouseMethod;
  cameFor: readonly CameFor[];
}

/** Makes the case of any feet of a student; all that is known of the student is the same in each. */
export function useCaseOf(student: Student, body: StudentBody): (judged: Judged) => Case | null {
  const entries = useRecords((state) => state.entries);
  const madeUp = useMadeUp();
  return useMemo(() => {
    const logged = Object.values(entries);
    const { shots, simulated } = pathShotsOf(logged, student.id, madeUp);
    const { build, legs } = body;
    const known = {
      student,
      build,
      legs,
      cautions: cautionsToday(student, new Date()),
      goal: goalOf(lastShoulderGoal(logged, student.id)),
    };
    return ({ setup, played, method, cameFor }) => {
      const { club, shot } = played;
      const own = ownWith({ entries: logged, studentId: student.id, club, shot, lessonId: null });
      return caseOf({
        ...known,
        setup,
        method,
        path: { ...personalPath(shots, played.clubLengthInches), simulated },
        own,
        dropped: own.dropped,
        weight: weightSeen({
          entries: logged,
          studentId: student.id,
          club: played.club,
          shot: played.shot,
          route: taughtRoute(method, played.club, played.shot),
          now: new Date(),
          exceptions: own.exceptions,
          madeUp,
        }),
        draft: { ...played, pinned: [], intake: { cameFor } },
      });
    };
  }, [entries, student, body, madeUp]);
}
