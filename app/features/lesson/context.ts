import type { NewBuild, Student } from '@pedastance/contract';
import { readSetup, type HouseMethod, type Reading, type Setup } from '@pedastance/core';
import { createContext, useContext, useMemo } from 'react';
import { useStore } from 'zustand';
import { lesson } from '../../state/lesson';
import { useRecords } from '../../state/records';

/** What every step of a lesson knows; none of it changes while a shoe is dragged. */
export interface LessonContext {
  student: Student;
  build: NewBuild;
  method: HouseMethod;
}

export const LessonContext = createContext<LessonContext | null>(null);

export function useLessonContext(): LessonContext {
  const context = useContext(LessonContext);
  if (!context) throw new Error('a lesson step outside a lesson');
  return context;
}

/** The newest version of the academy's first house method. */
export const useMethod = (): HouseMethod | undefined => useRecords((state) => state.methods[0]);

export type Judge = (setup: Setup) => Reading | null;

/** Reads any setup for the lesson's club; each setup is read once. */
export function useJudge(): Judge {
  const { build, method } = useLessonContext();
  const club = useStore(lesson, (state) => state.draft?.club ?? null);
  const shot = useStore(lesson, (state) => state.draft?.shot ?? 'full');
  const clubLengthInches = useStore(lesson, (state) => state.draft?.clubLengthInches ?? 0);
  return useMemo(() => {
    const read = new WeakMap<Setup, Reading>();
    return (setup: Setup) => {
      if (!club) return null;
      const known = read.get(setup);
      if (known) return known;
      const reading = readSetup({ setup, build: build.figures, club, clubLengthInches, shot, method });
      read.set(setup, reading);
      return reading;
    };
  }, [build, method, club, shot, clubLengthInches]);
}
