import { armsHanging, faceToTheTarget, oneBallPosition, squareHips, trailFootHeldOnPitches } from './common';
import { fixed, full, oneOf, pitch, PRACTICE, preset, sides, STARTING } from './write';

/** Weight forward with every club, narrow and closed, with the shoulders square. */
export const FORWARD_POSTED = preset(
  'Forward-posted',
  'Weight on the lead foot from start to finish with every club, feet close together, trail foot back, chest and shoulders square to the target line.',
  {
    stanceWidth: {
      why: 'About six inches between the shoes: there is no shift to make, so there is nothing to be wide for.',
      answers: [
        full({ kind: 'gap between shoes', gap: 150 }, 30, PRACTICE),
        pitch({ kind: 'gap between shoes', gap: 120 }, 30, STARTING),
      ],
    },
    leadFlare: {
      why: 'The lead leg is the post: turned out enough to turn around it.',
      answers: [full(fixed(20), sides(5, 15), STARTING), pitch(fixed(20), 8, STARTING)],
    },
    trailFlare: {
      why: 'A trail foot set back needs little flare of its own: the closed line has given the hip its room.',
      answers: [full(fixed(15), 10, STARTING), trailFootHeldOnPitches],
    },
    stanceLine: {
      why: 'Weight on the lead foot opens the shoulders, and the trail toe level with the middle of the lead shoe squares them again. The chest is what must be square; the feet follow.',
      answers: [
        full({ kind: 'marks of the lead shoe', marks: 0.5 }, 6, PRACTICE),
        pitch({ kind: 'marks of the lead shoe', marks: 0.25 }, 6, STARTING),
      ],
    },
    ballAlong: {
      why: 'The post does not move, so neither does the low point or the ball.',
      answers: oneBallPosition,
    },
    leadShare: {
      why: 'Forward with every club: what is already there does not have to arrive in time.',
      answers: [full(fixed(65), sides(7, 15), STARTING), pitch(fixed(70), sides(8, 15), STARTING)],
    },
    heelToe: {
      why: 'The load stays under the inner ball of the lead foot from address to strike, so it is a little toward the toes.',
      answers: [full(fixed(58), 12, STARTING), pitch(fixed(58), 12, STARTING)],
    },
    ballOut: armsHanging,
    hipLine: { why: 'Hips square to the target line over closed feet.', answers: squareHips },
    shoulderLine: {
      why: 'The shoulders are what the closed feet are for: square to the target line.',
      answers: [full(fixed(0), 3, PRACTICE), pitch(fixed(0), 4, STARTING)],
    },
    clubFace: faceToTheTarget,
    hipTurn: {
      why: 'Around the post, as far as it turns without leaving it.',
      answers: [full(fixed(40), sides(10, 15), STARTING)],
    },
    shoulderTurn: {
      why: 'Shoulders turned around a forward post are full at eighty-five to ninety.',
      answers: [full(fixed(85), sides(10, 12), STARTING)],
    },
    pressureRoute: {
      why: 'Staying under the lead foot is the point of it, not a fault.',
      answers: [full(oneOf('forward-posted'), 0, PRACTICE), pitch(oneOf('forward-posted'), 0, PRACTICE)],
    },
  },
);
