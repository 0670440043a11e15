import type { NewBuild, NewScreen, Student } from '@pedastance/contract';
import type { Caution } from '@pedastance/core/body';
import type { HouseMethod } from '@pedastance/core/method';
import { readSetup, type Reading, readItem } from '@pedastance/core/reading';
import type { Setup } from '@pedastance/core/setup';
import { goalOf, USUAL_GOAL, type TurningBody } from '@pedastance/core/turn';
import { createContext, useContext, useMemo } from 'react';
import { useStore } from 'zustand';
import { lesson } from '../../state/lesson';
import { usePreferences } from '../../state/preferences';
import { useHouseMethods } from '../../state/useHouseMethods';
import { NOTHING_OWN, ownWith, type OwnStanding } from '@pedastance/contract/agreed';
import { measuredOf } from '../../domain/measured';
import { useRecords } from '../../state/records';
import type { VerdictOf } from '../../plan/drawing';

/** What a lesson goes by; none of it changes while a shoe is dragged. */
export interface LessonFacts {
  student: Student;
  /** What to mind with the student today. */
  cautions: readonly Caution[];
  build: NewBuild;
  /** The newest screen of legs and trunk, and what it brings to a turn. */
  screen: NewScreen | null;
  legs: TurningBody | null;
  method: HouseMethod;
}

/** What every step of a lesson knows. */
export interface LessonContext extends LessonFacts {
  /** What the student has of their own with the lesson's club. */
  own: OwnStanding;
  judge: Judge;
  /** The verdict on one item alone, for the plan that asks at every move. */
  verdictOf: VerdictOf;
}

export const LessonContext = createContext<LessonContext | null>(null);

export function useLessonContext(): LessonContext {
  const context = useContext(LessonContext);
  if (!context) throw new Error('a lesson step outside a lesson');
  return context;
}

/** The newest version of the lesson's method, else of the coach's usual one, else of the academy's first. */
export function useMethod(chosen: string | null): HouseMethod | undefined {
  const methods = useHouseMethods();
  const usual = usePreferences((state) => state.methodId);
  const byId = (id: string | null) => methods.find((method) => method.id === id);
  return byId(chosen) ?? byId(usual) ?? methods[0];
}

/** Reads any setup for the lesson's club; null before a club is chosen. Each setup is read once. */
export type Judge = (setup: Setup) => Reading | null;

export const useJudge = (): Judge => useLessonContext().judge;

/** What a student has of their own with the lesson's club; nothing before one is chosen. */
export function useNewOwn({ student }: Pick<LessonFacts, 'student'>): OwnStanding {
  const entries = useRecords((state) => state.entries);
  const lessonId = useStore(lesson, (state) => state.draft?.id ?? null);
  const club = useStore(lesson, (state) => state.draft?.club ?? null);
  const shot = useStore(lesson, (state) => state.draft?.shot ?? 'full');
  return useMemo(
    () =>
      club
        ? ownWith({ entries: Object.values(entries), studentId: student.id, club, shot, lessonId })
        : NOTHING_OWN,
    [entries, student.id, club, shot, lessonId],
  );
}

/** The lesson's one judge: everybody who shows a reading, or a verdict, asks this one. */
export function useNewJudge(
  { cautions, build, legs, method }: LessonFacts,
  own: OwnStanding,
): Pick<LessonContext, 'judge' | 'verdictOf'> {
  const club = useStore(lesson, (state) => state.draft?.club ?? null);
  const shot = useStore(lesson, (state) => state.draft?.shot ?? 'full');
  const clubLengthInches = useStore(lesson, (state) => state.draft?.clubLengthInches ?? 0);
  const shoulders = useStore(lesson, (state) => state.draft?.shoulderGoal ?? USUAL_GOAL.shoulders);
  return useMemo(() => {
    if (!club) return NOBODY_JUDGES;
    const goal = goalOf(shoulders);
    const asked = { build: build.figures, legs, club, clubLengthInches, shot, method, cautions, goal, own };
    const cache = new WeakMap<Setup, Reading>();
    return {
      judge(setup) {
        const known = cache.get(setup);
        if (known) return known;
        const reading = readSetup({ ...asked, setup, measured: measuredOf(setup) });
        cache.set(setup, reading);
        return reading;
      },
      verdictOf: (setup, item) => readItem({ ...asked, setup, measured: measuredOf(setup) }, item),
    };
  }, [cautions, build, legs, method, own, club, shot, clubLengthInches, shoulders]);
}

const NOBODY_JUDGES: Pick<LessonContext, 'judge' | 'verdictOf'> = {
  judge: () => null,
  verdictOf: () => null,
};
