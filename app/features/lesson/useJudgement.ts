import type { Case, Judgement } from '@pedastance/core/advice';
import type { MoveName } from '@pedastance/core/fit';
import { createContext, useContext, useEffect, useMemo, useState } from 'react';
import { useStore } from 'zustand';
import { caseOf } from '../../domain/case';
import { lesson } from '../../state/lesson';
import { useComputation } from '../../workers/useComputation';
import { useLessonContext } from './context';
import { useExceptions } from './Exceptions';
import { useGoal } from './turning';
import { useLessonPath } from './useLessonPath';
import { useSettled } from './useSettled';

const NONE_PINNED: readonly MoveName[] = [];

/** Today's address as the case it is; null before a club is chosen. */
export function useCase(): Case | null {
  const { student, build, legs, method, cautions } = useLessonContext();
  const path = useLessonPath();
  const goal = useGoal();
  const exceptions = useExceptions();
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
    const known = { student, build: figures, legs, method, cautions, path, goal, exceptions };
    return caseOf({ ...known, draft, setup });
  }, [
    student,
    build,
    legs,
    method,
    cautions,
    path,
    goal,
    exceptions,
    setup,
    club,
    shot,
    clubLengthInches,
    pinned,
    intake,
  ]);
}

/** The one judgement of today's address, worked out beside the screen; the last one stands until the next is there. */
export function useNewJudgement(): Judgement | null {
  const of = useCase();
  const question = useMemo(() => of && { ask: 'judge' as const, of }, [of]);
  const { answer } = useComputation(question);
  const [told, setTold] = useState<Judgement | null>(null);
  useEffect(() => {
    if (answer || !question) setTold(answer);
  }, [answer, question]);
  return told;
}

export const JudgementContext = createContext<Judgement | null>(null);

/** The lesson's one judgement; null until it is there. */
export const useJudgement = (): Judgement | null => useContext(JudgementContext);
