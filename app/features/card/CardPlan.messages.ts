import type { Said } from '../../domain/said';

/** What these choices say. */
export const messages = {
  stance: 'Stance for now',
  feel: 'Big, to feel it',
  between: 'Between',
  play: 'As played',
  bigStance: 'Teach a big stance first',
  swings: 'Slow swings, then balls, in a round',
  round: (feel: number, play: number) => `${feel} and ${play}`,
  routine: 'Stepping in',
  drills: 'Drills that fit, two at most',
  noDrill: 'No drill fits this change and this student.',
  cue: 'A cue from the sport they know',
  cueHelp: 'Two cues can be set against each other in a trial.',
  allDrills: 'All drills, and your own',
  practice: 'Days a week',
  noPractice: 'None',
  balls: 'Balls a day',
  warmUp: 'Warm up first',
  nextLook: 'Look again in',
  weeks: (weeks: number) => (weeks === 1 ? 'a week' : `${weeks} weeks`),
  notAgreed: 'Not agreed',
  rule: 'A week after a change. Twice as long each time it held. A week again after it drifted.',
  startingValue: (rule: Said) => `${rule} A starting value.`,
};
