import type { Case, Judgement } from '@pedastance/core/advice';
import type { PinnedFigure } from '@pedastance/core/advice';
import type { BandException } from '@pedastance/core/method';
import { createContext, useContext, useMemo, useState } from 'react';
import { useStore } from 'zustand';
import { caseOf } from '../../domain/case';
import { partKey } from '../../domain/lessonDraft';
import { taughtRoute, weightSeen, type WeightSeen } from '../../domain/pressure';
import { useMadeUp } from '../../state/account';
import { lesson } from '../../state/lesson';
import { useRecords } from '../../state/records';
import { useComputation, type Computation } from '../../workers/useComputation';
import { useLessonContext } from './context';
import { useGoal } from './turning';
import { useLessonPath } from './useLessonPath';
import { useSettled } from './useSettled';

const NONE_PINNED: readonly PinnedFigure[] = [];

const NOTHING_SEEN: WeightSeen = { pressure: null, feltUnder: null };

/** What mat or eye saw of the student's weight with the lesson's club. */
function useWeightSeen(exceptions: readonly BandException[]): WeightSeen {
  const { student, method } = useLessonContext();
  const entries = useRecords((state) => state.entries);
  const club = useStore(lesson, (state) => state.draft?.club ?? null);
  const shot = useStore(lesson, (state) => state.draft?.shot ?? 'full');
  const pressures = useStore(lesson, (state) => state.draft?.pressures);
  const tests = useStore(lesson, (state) => state.draft?.tests);
  const madeUp = useMadeUp();
  return useMemo(() => {
    if (!club) return NOTHING_SEEN;
    const route = taughtRoute(method, club, shot);
    const draft = { pressure: pressures?.[partKey({ club, shot })] ?? null, ...(tests && { tests }) };
    const now = new Date();
    const logged = Object.values(entries);
    return weightSeen({
      entries: logged,
      studentId: student.id,
      club,
      shot,
      route,
      now,
      draft,
      exceptions,
      madeUp,
    });
  }, [student.id, method, entries, club, shot, pressures, tests, exceptions, madeUp]);
}

/** Today's address as the case it is; null before a club is chosen. */
export function useCase(): Case | null {
  const { student, build, legs, method, cautions, own } = useLessonContext();
  const path = useLessonPath();
  const goal = useGoal();
  const weight = useWeightSeen(own.exceptions);
  const setup = useSettled((state) => state.draft?.setup ?? null);
  const club = useStore(lesson, (state) => state.draft?.club ?? null);
  const shot = useStore(lesson, (state) => state.draft?.shot ?? 'full');
  const clubLengthInches = useStore(lesson, (state) => state.draft?.clubLengthInches ?? 0);
  const pinned = useStore(lesson, (state) => state.draft?.pinned ?? NONE_PINNED);
  const intake = useStore(lesson, (state) => state.draft?.intake ?? null);
  return useMemo(() => {
    if (!setup || !intake) return null;
    const draft = { club, shot, clubLengthInches, pinned, intake };
    const { figures } = build;
    const { dropped } = own;
    const known = { student, build: figures, legs, method, cautions, path, goal, own, dropped, weight };
    return caseOf({ ...known, draft, setup });
  }, [
    student,
    build,
    legs,
    method,
    cautions,
    path,
    goal,
    own,
    weight,
    setup,
    club,
    shot,
    clubLengthInches,
    pinned,
    intake,
  ]);
}

/** The one judgement of today's address, worked out beside the screen; the last one stands until the next is there. */
export function useNewJudgement(): JudgementNow {
  const of = useCase();
  const question = useMemo(() => of && { ask: 'judge' as const, of }, [of]);
  const { answer, failed, again } = useComputation(question);
  const [told, setTold] = useState<Judgement | null>(null);
  const known = answer || !question ? answer : told;
  if (known !== told) setTold(known);
  return useMemo(() => ({ judgement: known, failed, again }), [known, failed, again]);
}

/** The judgement as far as it is worked out; where it could not be, that, and the way to ask again. */
export interface JudgementNow extends Pick<Computation<Judgement>, 'failed' | 'again'> {
  judgement: Judgement | null;
}

export const JudgementContext = createContext<JudgementNow>({
  judgement: null,
  failed: false,
  again: () => undefined,
});

export const useJudgementNow = (): JudgementNow => useContext(JudgementContext);

/** The lesson's one judgement; null until it is there. */
export const useJudgement = (): Judgement | null => useJudgementNow().judgement;
