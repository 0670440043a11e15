import {
  armsHanging,
  byTheShoulders,
  evenWithIrons,
  faceToTheTarget,
  hipsToFortyFive,
  leadFootOnPitches,
  middleOfBothFeet,
  oneBallPosition,
  parallel,
  shouldersToNinety,
  squareHips,
  squareShoulders,
  twoClubHeadsApart,
} from './common';
import { fixed, full, oneOf, pitch, PRACTICE, preset, STARTING } from './write';

/** Even and modest flare, everything parallel, width by the shoulders, the weight in the middle. */
export const SHOULDERS_AND_NEUTRAL = preset(
  'By the shoulders, neutral',
  'Feet under the shoulders and wider as the club gets longer, both feet turned out a little, everything parallel to the target line, one ball position, weight in the middle.',
  {
    stanceWidth: {
      why: 'A stance as wide as the shoulders and the club ask for holds the swing steady and still lets the hips get over the lead foot.',
      answers: [byTheShoulders, twoClubHeadsApart],
    },
    leadFlare: {
      why: 'A little turn-out on the lead foot lets the hips come through to the target.',
      answers: [full(fixed(15), 3, PRACTICE), leadFootOnPitches],
    },
    trailFlare: {
      why: 'A little turn-out on the trail foot gives the trail hip room to turn going back. On a pitch the foot is kept square on purpose, so that the swing stays short.',
      answers: [full(fixed(15), 3, PRACTICE), pitch(fixed(0), 5, STARTING)],
    },
    stanceLine: {
      why: 'Toes parallel to the target line let the hips, the shoulders and the path follow it.',
      answers: parallel,
    },
    ballAlong: {
      why: 'One ball position for every standard shot: only the trail foot moves from club to club.',
      answers: oneBallPosition,
    },
    leadShare: {
      why: 'Even weight on both feet leaves both ways free; on a pitch it is set forward so that the club meets the ball first.',
      answers: evenWithIrons,
    },
    heelToe: {
      why: 'In the middle of the foot the hips can turn without the body having to save its balance.',
      answers: middleOfBothFeet,
    },
    ballOut: armsHanging,
    hipBump: {
      why: 'The hips stay between the feet: from a neutral start either way is free, with a driver too.',
      answers: [full(fixed(0), 12, STARTING)],
    },
    hipLine: { why: 'Hips parallel to the target line, like the feet under them.', answers: squareHips },
    seat: {
      why: 'A seat over the heels keeps the load in the middle of the foot.',
      answers: [full(oneOf('over the heels'), 0, STARTING)],
    },
    shoulderLine: {
      why: 'Shoulders parallel to the target line let the path follow it.',
      answers: squareShoulders,
    },
    clubFace: faceToTheTarget,
    hipTurn: hipsToFortyFive,
    shoulderTurn: shouldersToNinety,
    pressureRoute: {
      why: 'Into the trail foot, back through the middle, onto the lead heel: the route that balance likes best.',
      answers: [full(oneOf('centred'), 0, PRACTICE)],
    },
  },
);
