import { armsHanging, faceToTheTarget, oneBallPosition, squareHips, trailFootHeldOnPitches } from './common';
import { fixed, full, oneOf, pitch, PRACTICE, preset, sides, STARTING } from './write';

/** Weight forward with every club, narrow and closed, with the shoulders square. */
export const FORWARD_POSTED = preset(
  'Forward-posted',
  'The weight waits on the lead foot with every club: feet near each other, trail foot back, chest square to the target line.',
  {
    stanceWidth: {
      why: 'A hand or so of ground between the shoes is enough: the weight is on the post already and has nowhere to travel.',
      answers: [
        full({ kind: 'gap between shoes', gap: 150 }, 45, PRACTICE),
        pitch({ kind: 'gap between shoes', gap: 120 }, 40, STARTING),
      ],
    },
    leadFlare: {
      why: 'The lead leg carries the whole swing, so its foot points where the body will want to go.',
      answers: [full(fixed(20), sides(8, 18), STARTING), pitch(fixed(20), 8, STARTING)],
    },
    trailFlare: {
      why: 'The trail foot steadies and no more; the closed line has made the room.',
      answers: [full(fixed(15), 12, STARTING), trailFootHeldOnPitches],
    },
    stanceLine: {
      why: 'Leaning on the lead foot turns the chest open. Setting the trail foot back brings the chest square again, and the chest is what is aimed.',
      answers: [
        full({ kind: 'marks of the lead shoe', marks: 0.5 }, 8, PRACTICE),
        pitch({ kind: 'marks of the lead shoe', marks: 0.25 }, 6, STARTING),
      ],
    },
    ballAlong: {
      why: 'The low point stays over the post, and the ball with it.',
      answers: oneBallPosition,
    },
    leadShare: {
      why: 'Most of the weight is where it will be at the strike, with every club.',
      answers: [full(fixed(65), sides(9, 15), STARTING), pitch(fixed(70), sides(8, 15), STARTING)],
    },
    heelToe: {
      why: 'Under the ball of the lead foot, a touch toward the toes, and it stays there.',
      answers: [full(fixed(58), 12, STARTING), pitch(fixed(58), 12, STARTING)],
    },
    ballOut: armsHanging,
    hipLine: { why: 'Hips along the target line, whatever the feet do.', answers: squareHips },
    shoulderLine: {
      why: 'Square shoulders are the reason for the closed feet.',
      answers: [full(fixed(0), 5, PRACTICE), pitch(fixed(0), 5, STARTING)],
    },
    clubFace: faceToTheTarget,
    shaftLean: {
      why: 'Weight that is forward brings the hands forward with it.',
      answers: [full(fixed(6), 6, STARTING)],
    },
    hipTurn: {
      why: 'As far round the post as it goes without leaving it.',
      answers: [full(fixed(40), sides(10, 15), STARTING)],
    },
    shoulderTurn: {
      why: 'A turn round a forward post fills a little earlier.',
      answers: [full(fixed(85), sides(10, 12), STARTING)],
    },
    pressureRoute: {
      why: 'Under the lead foot throughout: that is the idea of it.',
      answers: [full(oneOf('forward-posted'), 0, PRACTICE), pitch(oneOf('forward-posted'), 0, PRACTICE)],
    },
  },
);
