import {
  armsHanging,
  byTheShoulders,
  faceToTheTarget,
  forwardOnPitches,
  hipsToFortyFive,
  leadFootOnPitches,
  middleOfBothFeet,
  shouldersToNinety,
  squareHips,
  squareShoulders,
  trailFootHeldOnPitches,
  twoClubHeadsApart,
} from './common';
import {
  allBut,
  DRIVER,
  FAIRWAY_WOODS,
  fixed,
  full,
  HYBRID_AND_LONG_IRONS,
  MID_IRONS,
  oneOf,
  pitch,
  PRACTICE,
  preset,
  SHORT_IRONS_AND_WEDGES,
  sides,
  STARTING,
} from './write';

/** The ball moves with the club, and the stance line with where on the arc the ball is met. */
export const BY_THE_ARC = preset(
  'By the arc',
  'The ball moves toward the lead heel as the club gets longer, and the feet go from a touch open with short irons to closed with a driver, because a ball further forward is met later on the arc.',
  {
    stanceWidth: {
      why: 'By the shoulders, wider with the longer club and its longer arc.',
      answers: [byTheShoulders, twoClubHeadsApart],
    },
    leadFlare: {
      why: 'A lead foot some way out lets the body clear for a ball that is met later.',
      answers: [full(fixed(25), 5, PRACTICE), leadFootOnPitches],
    },
    trailFlare: {
      why: 'Less than the lead: enough for the trail hip, and still something to push from.',
      answers: [full(fixed(15), 5, STARTING), trailFootHeldOnPitches],
    },
    stanceLine: {
      why: 'A ball forward of the low point is met on the way in again: the trail foot goes back until the path points at the target. With a driver an open stance invites the slice.',
      answers: [
        full({ kind: 'by the arc', lowPointInside: 90, pathPerDegree: 0.5 }, 2, STARTING),
        pitch(fixed(-3), 3, STARTING),
      ],
    },
    ballAlong: {
      why: 'Irons are hit before the low point and a driver after it, so the ball is five inches inside with a 7-iron and moves toward the lead heel.',
      answers: [
        full(
          {
            kind: 'by club length',
            marks: [
              { lengthInches: 37, value: 125 },
              { lengthInches: 45.5, value: 25 },
            ],
          },
          20,
          PRACTICE,
        ),
        pitch(fixed(110), 25, STARTING),
      ],
    },
    leadShare: {
      why: 'Down onto a mid iron, level through a hybrid, up through a driver: the weight is set where the club should be met.',
      answers: [
        full(fixed(60), 4, PRACTICE, MID_IRONS),
        full(fixed(60), 4, STARTING, SHORT_IRONS_AND_WEDGES),
        full(fixed(50), 4, PRACTICE, HYBRID_AND_LONG_IRONS),
        full(fixed(48), 4, STARTING, FAIRWAY_WOODS),
        full(fixed(40), 4, PRACTICE, DRIVER),
        forwardOnPitches,
      ],
    },
    heelToe: {
      why: 'The middle of both feet with every club; only the line changes.',
      answers: middleOfBothFeet,
    },
    ballOut: armsHanging,
    hipBump: {
      why: 'The hips are not pushed: with a driver the tilt comes from the ribs, the trail hand sliding down the trail thigh, so that the weight stays back.',
      answers: [full(fixed(0), 10, PRACTICE, DRIVER)],
    },
    hipLine: { why: 'Hips with the target line, not with the feet.', answers: squareHips },
    shoulderLine: {
      why: 'Shoulders with the target line, so that only the feet speak of the arc.',
      answers: squareShoulders,
    },
    shoulderTilt: {
      why: 'The trail shoulder some twenty degrees lower with a driver, less with irons: the arc is tilted to meet the ball on the way up.',
      answers: [full(fixed(20), 5, PRACTICE, DRIVER), full(fixed(10), 5, STARTING, allBut(DRIVER))],
    },
    clubFace: faceToTheTarget,
    hipTurn: hipsToFortyFive,
    shoulderTurn: { ...shouldersToNinety, answers: [full(fixed(90), sides(10, 15), PRACTICE)] },
    pressureRoute: {
      why: 'Centred with irons; with a driver trail heel to lead toe is let, for length.',
      answers: [
        full(oneOf('centred', 'long drive'), 0, STARTING, DRIVER),
        full(oneOf('centred'), 0, STARTING, allBut(DRIVER)),
      ],
    },
  },
);
