import {
  armsHanging,
  byTheShoulders,
  evenWithIrons,
  faceToTheTarget,
  leadFootOnPitches,
  middleOfBothFeet,
  oneBallPosition,
  parallel,
  squareHips,
  squareShoulders,
  trailFootHeldOnPitches,
  twoClubHeadsApart,
} from './common';
import { fixed, full, oneOf, PRACTICE, preset, sides, STARTING } from './write';

/** For the very mobile: the trail foot square, the hips kept short, the shoulders turned against them. */
export const SHORT_COIL = preset(
  'Short coil',
  'For the young and loose: trail foot square and lead foot flared, the hips kept tight and short, the shoulders turned fully against them.',
  {
    stanceWidth: {
      why: 'By the shoulders: a coil needs something to turn against.',
      answers: [byTheShoulders, twoClubHeadsApart],
    },
    leadFlare: {
      why: 'The lead foot out, so that what was wound up can come through.',
      answers: [full(fixed(25), 5, PRACTICE), leadFootOnPitches],
    },
    trailFlare: {
      why: 'Square, to hold the hips back on purpose: a very mobile student turns too far without it. Nobody stiff should stand like this.',
      answers: [full(fixed(0), sides(3, 5), PRACTICE), trailFootHeldOnPitches],
    },
    stanceLine: { why: 'Parallel: who turns this far needs no closing.', answers: parallel },
    ballAlong: { why: 'One ball position.', answers: oneBallPosition },
    leadShare: { why: 'Even between the feet.', answers: evenWithIrons },
    heelToe: {
      why: 'The middle of both feet: a tight coil tips a body that starts on its toes.',
      answers: middleOfBothFeet,
    },
    ballOut: armsHanging,
    hipLine: { why: 'Square, so that the coil starts at once.', answers: squareHips },
    shoulderLine: { why: 'Square, like the hips.', answers: squareShoulders },
    clubFace: faceToTheTarget,
    trailElbow: {
      why: 'Shoulders that turn this far take the elbow along: it may leave the side.',
      answers: [full(oneOf('away from the side'), 0, STARTING)],
    },
    hipTurn: {
      why: 'Kept tight and short: the shoulders do the turning.',
      answers: [full(fixed(35), sides(8, 7), STARTING)],
    },
    shoulderTurn: {
      why: 'Ninety, and up to a hundred and ten for the very flexible.',
      answers: [full(fixed(95), sides(8, 15), PRACTICE)],
    },
    pressureRoute: {
      why: 'Centred: the coil is around the middle.',
      answers: [full(oneOf('centred'), 0, STARTING)],
    },
  },
);
