import type { MethodContents } from '..';
import { ALONG_THE_FEET } from './alongTheFeet';
import { BY_THE_ARC } from './byTheArc';
import { EASY_TURN } from './easyTurn';
import { FORWARD_POSTED } from './forwardPosted';
import { FREE_THE_HIPS } from './freeTheHips';
import { LEAD_FOOT_FIRST } from './leadFootFirst';
import { SHORT_COIL } from './shortCoil';
import { SHOULDERS_AND_NEUTRAL } from './shouldersAndNeutral';

export interface Preset {
  key: string;
  contents: MethodContents;
}

/** In the order they are shown. */
export const PRESETS: readonly Preset[] = [
  { key: 'shoulders-and-neutral', contents: SHOULDERS_AND_NEUTRAL },
  { key: 'free-the-hips', contents: FREE_THE_HIPS },
  { key: 'lead-foot-first', contents: LEAD_FOOT_FIRST },
  { key: 'forward-posted', contents: FORWARD_POSTED },
  { key: 'by-the-arc', contents: BY_THE_ARC },
  { key: 'along-the-feet', contents: ALONG_THE_FEET },
  { key: 'short-coil', contents: SHORT_COIL },
  { key: 'easy-turn', contents: EASY_TURN },
];

export { SHOULDERS_AND_NEUTRAL };
