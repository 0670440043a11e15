import type { Said } from '../../../domain/said';

/** What this screen says. */
export const messages = {
  setup: (name: Said) => `Setup ${name}`,
  toTheLook: 'to the look',
  stepOffAndSettleS: (left: Said) => `Step off and settle: ${left} s`,
  toLook: (looks: Said) => `to look ${looks} of 3`,
  shotOf: (shot: Said, all: Said, to: Said) => `Shot ${shot} of ${all}, ${to}`,
  setupShot: (name: Said, inBlock: Said, blockSize: Said) => `Setup ${name}, shot ${inBlock} of ${blockSize}`,
  warmUpAsTodayMore: (left: Said) => `Warm-up, as today: ${left} more`,
  theSameFeetAgain: 'The same feet again.',
  think: (cue: Said) => `Think: ${cue}`,
  stopWheneverYouLike: 'Stop whenever you like: it goes on from here, also another day, after a new warm-up.',
};
