import type { Hand } from '@pedastance/core/body';
import type { Speech } from '@pedastance/core/phrases';
import { usePreferences } from './preferences';

/** How this coach wants a student of this hand spoken of. */
export function useSpeech(hand: Hand): Speech {
  const length = usePreferences((state) => state.length);
  const feet = usePreferences((state) => state.feet);
  return { length, feet, hand };
}
