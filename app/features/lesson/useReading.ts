import type { Reading } from '@pedastance/core/reading';
import type { Setup } from '@pedastance/core/setup';
import { useStore } from 'zustand';
import { lesson } from '../../state/lesson';
import { useJudge } from './context';

/** Today's address as it reads now; null before there is one. */
export function useReading(): { setup: Setup; reading: Reading } | null {
  const judge = useJudge();
  const setup = useStore(lesson, (state) => state.draft?.setup ?? null);
  const reading = setup && judge(setup);
  return setup && reading ? { setup, reading } : null;
}
