import type { Hand } from '@pedastance/core/body';
import type { Speech } from '@pedastance/core/phrases';
import type { Units } from '@pedastance/core/units';
import { useMemo } from 'react';
import { usePreferences } from './preferences';

/** How this coach wants a student of this hand spoken of. */
export function useSpeech(hand: Hand): Speech {
  const length = usePreferences((state) => state.length);
  const feet = usePreferences((state) => state.feet);
  return { length, feet, hand };
}

/** In what this coach reads lengths on the ground, how far a ball flew and how fast a club was. */
export function useUnits(): Units {
  const length = usePreferences((state) => state.length);
  const distance = usePreferences((state) => state.distance);
  const speed = usePreferences((state) => state.speed);
  return useMemo(() => ({ length, distance, speed }), [length, distance, speed]);
}
