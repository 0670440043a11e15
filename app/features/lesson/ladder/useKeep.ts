import type { ExceptionEntry } from '@pedastance/contract';
import { useState } from 'react';
import { useStore } from 'zustand';
import { common } from '../../../domain/common.messages';
import { standingExceptions } from '@pedastance/contract/exceptions';
import type { OwnBand } from '../../../domain/ladders';
import { outgrown } from '../../../domain/outgrown';
import { lesson } from '../../../state/lesson';
import { useRecords } from '../../../state/records';
import { keepTried, type Tried } from '../../../state/writes/ladder';
import { useLessonContext } from '../context';

/** What came of keeping something: what to say of it, or why it could not be kept. */
export interface KeptTold {
  of: unknown;
  words: string;
  fault: string;
}

/** The legs as they were tested last, where the body is still the one they were tested in. */
export function useLegsThatHold() {
  const { screen, build, student } = useLessonContext();
  const builds = useRecords((state) => state.builds);
  return screen && !outgrown(builds[screen.buildId], build, student) ? screen : null;
}

/** Keeps what was tried, with bands of the student's own, each in place of the one that stands for the same clubs. */
export function useKeep(of: unknown) {
  const { student, build } = useLessonContext();
  const screen = useLegsThatHold();
  const draft = useStore(lesson, (state) => state.draft);
  const entries = useRecords((state) => state.entries);
  const [told, setTold] = useState<KeptTold | null>(null);
  const keep = async (
    tried: Tried['tried'],
    { bands = [], turns = [] }: { bands?: readonly OwnBand[]; turns?: Tried['turns'] },
    words: string,
  ) => {
    const standing = standingExceptions(Object.values(entries), student.id);
    const replaced = (band: OwnBand): Pick<ExceptionEntry, 'replaces'> => ({
      replaces: standing.findLast(({ item, club }) => item === band.item && club === band.club)?.id ?? null,
    });
    try {
      const whole = bands.map((band) => ({ ...band, ...replaced(band) }));
      await keepTried({ tried, bands: whole, turns }, { draft: draft!, student, build, screen });
      setTold({ of, words, fault: '' });
    } catch (error) {
      setTold({ of, words, fault: common.notKept((error as Error).message) });
    }
  };
  return { told: told?.of === of ? told : null, keep };
}
