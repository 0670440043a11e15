import {
  elbowCloseWhenClosed,
  armsHanging,
  byTheShoulders,
  evenWithIrons,
  faceToTheTarget,
  hipsToFortyFive,
  kneeThatStraightens,
  middleOfBothFeet,
  oneBallPosition,
  shouldersToNinety,
  softTrailArm,
  trailFootHeldOnPitches,
  twoClubHeadsApart,
} from './common';
import { fixed, full, oneOf, pitch, PRACTICE, preset, sides, STARTING } from './write';

/** Closed feet under open shoulders, on purpose. */
export const ALONG_THE_FEET = preset(
  'Along the feet',
  'Feet closed to the laces under shoulders that are a little open, both meant: the ball sets off along the feet.',
  {
    stanceWidth: { why: 'By the shoulders.', answers: [byTheShoulders, twoClubHeadsApart] },
    leadFlare: {
      why: 'Both feet out alike: it is the line that gives the turn its room.',
      answers: [full(fixed(15), 8, PRACTICE), pitch(fixed(15), 8, STARTING)],
    },
    trailFlare: {
      why: 'Some way out, along with its line.',
      answers: [full(fixed(15), 8, PRACTICE), trailFootHeldOnPitches],
    },
    stanceLine: {
      why: 'The trail toe back to the laces: the ball sets off along the feet.',
      answers: [
        full({ kind: 'marks of the lead shoe', marks: 0.25 }, 4, PRACTICE),
        pitch(fixed(0), 4, STARTING),
      ],
    },
    ballAlong: { why: 'One ball position.', answers: oneBallPosition },
    leadShare: { why: 'Even between the feet.', answers: evenWithIrons },
    heelToe: { why: 'The middle of both feet.', answers: middleOfBothFeet },
    ballOut: armsHanging,
    trailKneeFlex: {
      why: 'Bent a little more than the lead knee to begin with, so that it has something to straighten.',
      answers: [full(fixed(5), 5, PRACTICE)],
    },
    trailKneeBack: kneeThatStraightens,
    trailArm: softTrailArm,
    hipLine: {
      why: 'Somewhere between feet and shoulders.',
      answers: [full(fixed(0), 6, STARTING), pitch(fixed(0), 6, STARTING)],
    },
    shoulderLine: {
      why: 'A little open, and meant: that is where they will be at the strike. Closed feet under them are no conflict here.',
      answers: [full(fixed(-8), sides(6, 5), STARTING), pitch(fixed(-8), 6, STARTING)],
    },
    clubFace: faceToTheTarget,
    trailElbow: elbowCloseWhenClosed,
    hipTurn: hipsToFortyFive,
    shoulderTurn: shouldersToNinety,
    pressureRoute: {
      why: 'Any route that comes back the same along the feet.',
      answers: [full(oneOf('centred', 'loaded heel'), 0, STARTING)],
    },
  },
);
