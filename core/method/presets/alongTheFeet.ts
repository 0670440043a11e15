import {
  armsHanging,
  byTheShoulders,
  evenWithIrons,
  faceToTheTarget,
  hipsToFortyFive,
  middleOfBothFeet,
  oneBallPosition,
  shouldersToNinety,
  trailFootHeldOnPitches,
  twoClubHeadsApart,
} from './common';
import { fixed, full, oneOf, pitch, PRACTICE, preset, sides, STARTING } from './write';

/** Closed feet under open shoulders, on purpose. */
export const ALONG_THE_FEET = preset(
  'Along the feet',
  'Feet closed to the laces and shoulders a little open, both on purpose: the ball starts along the feet, and the shoulders are where they will be at the strike.',
  {
    stanceWidth: { why: 'By the shoulders.', answers: [byTheShoulders, twoClubHeadsApart] },
    leadFlare: {
      why: 'Out far enough for shoulders that are already on their way.',
      answers: [full(fixed(25), 5, PRACTICE), pitch(fixed(20), 8, STARTING)],
    },
    trailFlare: {
      why: 'A little out, with the line it stands on.',
      answers: [full(fixed(20), 6, STARTING), trailFootHeldOnPitches],
    },
    stanceLine: {
      why: 'The trail toe level with the laces: the ball starts along the feet.',
      answers: [
        full({ kind: 'marks of the lead shoe', marks: 0.25 }, 3, PRACTICE),
        pitch(fixed(0), 4, STARTING),
      ],
    },
    ballAlong: { why: 'One ball position.', answers: oneBallPosition },
    leadShare: { why: 'Even between the feet.', answers: evenWithIrons },
    heelToe: { why: 'The middle of both feet.', answers: middleOfBothFeet },
    ballOut: armsHanging,
    hipLine: {
      why: 'Between the feet and the shoulders.',
      answers: [full(fixed(0), 6, STARTING), pitch(fixed(0), 6, STARTING)],
    },
    shoulderLine: {
      why: 'Open on purpose, where they will be at the strike. Closed feet under open shoulders are a choice here, not a conflict.',
      answers: [full(fixed(-8), sides(5, 4), STARTING), pitch(fixed(-8), 6, STARTING)],
    },
    clubFace: faceToTheTarget,
    hipTurn: hipsToFortyFive,
    shoulderTurn: shouldersToNinety,
    pressureRoute: {
      why: 'Any route that repeats along the feet.',
      answers: [full(oneOf('centred', 'loaded heel'), 0, STARTING)],
    },
  },
);
