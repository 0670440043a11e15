import { DRIVER, fixed, full, oneOf, pitch, PRACTICE, sides, STARTING } from './write';

/** Answers that schools share; each preset says for itself which of them it takes. */

export const byTheShoulders = full(
  {
    kind: 'shoulders by club length',
    place: 0.5,
    marks: [
      { lengthInches: 36, soleBreadths: -1 },
      { lengthInches: 38, soleBreadths: 0 },
      { lengthInches: 43, soleBreadths: 1 },
    ],
  },
  25,
  PRACTICE,
);
export const underTheHips = full({ kind: 'hips', share: 1 }, 25, PRACTICE);
export const twoClubHeadsApart = pitch(
  { kind: 'gap in club heads', heads: 2, headBreadth: 80 },
  25,
  PRACTICE,
);

export const parallel = [full(fixed(0), 2, STARTING), pitch(fixed(0), 3, STARTING)];
export const oneBallPosition = [full(fixed(50), 15, PRACTICE), pitch(fixed(50), 20, STARTING)];
export const forwardOnPitches = pitch(fixed(60), 5, STARTING);
export const evenWithIrons = [full(fixed(50), 3, PRACTICE), forwardOnPitches];
export const middleOfBothFeet = [full(fixed(50), 10, STARTING), pitch(fixed(50), 10, STARTING)];
export const leadFootOnPitches = pitch(fixed(15), 5, STARTING);
/** Turned in a little and held back on purpose, so that the swing stays short. */
export const trailFootHeldOnPitches = pitch(fixed(-5), 7, STARTING);

/** The arms hang and the club decides: a share of its length from the toe line. */
export const armsHanging = {
  why: 'The arms hang from the shoulders, and the club’s length says how far the ball is.',
  answers: [
    full({ kind: 'share of the club', share: 0.58 }, 70, STARTING),
    pitch({ kind: 'share of the club', share: 0.52 }, 70, STARTING),
  ],
};

export const faceToTheTarget = {
  why: 'The face is aimed by itself, whatever the feet do: closing the feet must not close the face.',
  answers: [full(fixed(0), 2, PRACTICE), pitch(fixed(0), 3, PRACTICE)],
};

export const squareShoulders = [full(fixed(0), 4, STARTING), pitch(fixed(0), 5, STARTING)];
export const squareHips = [full(fixed(0), 5, STARTING), pitch(fixed(0), 6, STARTING)];

export const shouldersToNinety = {
  why: 'Shoulders turned a right angle give the arms room to come down behind them.',
  answers: [full(fixed(90), 10, PRACTICE)],
};
export const hipsToFortyFive = {
  why: 'About forty-five degrees of hips is enough for the shoulders to get to ninety.',
  answers: [full(fixed(45), sides(8, 12), PRACTICE)],
};

/** Closed feet are swung along: an elbow away from the side goes flat, then steep. */
export const elbowCloseWhenClosed = {
  why: 'Closed feet are swung along, with the trail elbow close to the side.',
  answers: [full(oneOf('close to the side'), 0, PRACTICE)],
};
/** The trail knee straightens without locking, some 180 to 200 mm back. */
export const kneeThatStraightens = {
  why: 'A trail knee that straightens without locking makes room for the trail hip.',
  answers: [full(fixed(190), sides(60, 40), PRACTICE)],
};
/** A trail arm that is soft and below the lead arm lets the shoulders stay where the method has them. */
export const softTrailArm = {
  why: 'A soft trail arm under the lead arm does not pull the shoulders round.',
  answers: [full(oneOf('soft, below the lead arm'), 0, PRACTICE)],
};
/** Tension drags the takeaway, and a driver on the ground invites it. */
export const hoveredDriver = {
  why: 'A hovered driver starts back without dragging.',
  answers: [full(oneOf('hovered'), 0, PRACTICE, DRIVER)],
};
