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
  'The longer the club the further forward the ball, and the further back the trail foot: each ball is met at another point of the arc.',
  {
    stanceWidth: {
      why: 'Shoulder-wide, and wider as the arc grows.',
      answers: [byTheShoulders, twoClubHeadsApart],
    },
    leadFlare: {
      why: 'Out enough to be clear by the time a later ball is met.',
      answers: [full(fixed(25), 8, PRACTICE), leadFootOnPitches],
    },
    trailFlare: {
      why: 'Less than the lead foot: room for the hip, ground to push on.',
      answers: [full(fixed(15), 8, STARTING), trailFootHeldOnPitches],
    },
    stanceLine: {
      why: 'Past its low point the club comes in again. Closing the feet by as much points it at the target; an open stance with a driver adds to the slice.',
      answers: [
        full({ kind: 'by the arc', lowPointInside: 90, pathPerDegree: 0.5 }, 3, STARTING),
        pitch(fixed(-3), 3, STARTING),
      ],
    },
    ballAlong: {
      why: 'Irons before the low point, the driver after it, and the rest between.',
      answers: [
        full(
          {
            kind: 'by club length',
            marks: [
              { lengthInches: 37, value: 125 },
              { lengthInches: 45.5, value: 25 },
            ],
          },
          25,
          PRACTICE,
        ),
        pitch(fixed(110), 25, STARTING),
      ],
    },
    leadShare: {
      why: 'Where the club should be met decides: down, level or up.',
      answers: [
        full(fixed(60), 6, PRACTICE, MID_IRONS),
        full(fixed(60), 6, STARTING, SHORT_IRONS_AND_WEDGES),
        full(fixed(50), 6, PRACTICE, HYBRID_AND_LONG_IRONS),
        full(fixed(48), 6, STARTING, FAIRWAY_WOODS),
        full(fixed(40), 6, PRACTICE, DRIVER),
        forwardOnPitches,
      ],
    },
    heelToe: {
      why: 'Mid-foot throughout; it is the line that changes.',
      answers: middleOfBothFeet,
    },
    ballOut: armsHanging,
    hipBump: {
      why: 'With a driver nobody pushes the hips: the ribs tilt, and the weight stays back.',
      answers: [full(fixed(0), 15, PRACTICE, DRIVER)],
    },
    hipLine: { why: 'Hips with the target line, not with the feet.', answers: squareHips },
    shoulderLine: {
      why: 'Shoulders with the target line, so that only the feet speak of the arc.',
      answers: squareShoulders,
    },
    shoulderTilt: {
      why: 'The trail shoulder lower, most with a driver, so that the arc rises into the ball.',
      answers: [full(fixed(20), 7, PRACTICE, DRIVER), full(fixed(10), 7, STARTING, allBut(DRIVER))],
    },
    clubFace: faceToTheTarget,
    hipTurn: hipsToFortyFive,
    shoulderTurn: { ...shouldersToNinety, answers: [full(fixed(90), sides(10, 15), PRACTICE)] },
    pressureRoute: {
      why: 'Centred with irons; the driver may go from trail heel to lead toe, for length.',
      answers: [
        full(oneOf('centred', 'long drive'), 0, STARTING, DRIVER),
        full(oneOf('centred'), 0, STARTING, allBut(DRIVER)),
      ],
    },
  },
);
