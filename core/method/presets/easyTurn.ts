import {
  elbowCloseWhenClosed,
  kneeThatStraightens,
  armsHanging,
  faceToTheTarget,
  forwardOnPitches,
  middleOfBothFeet,
  oneBallPosition,
  squareShoulders,
  twoClubHeadsApart,
  underTheHips,
} from './common';
import { fixed, full, oneOf, pitch, PRACTICE, preset, sides, STARTING } from './write';

/** For seniors and sore joints: nothing is forced, and short is enough. */
export const EASY_TURN = preset(
  'Easy turn',
  'For seniors and sore joints: feet well out, narrow, trail toe at the laces, nothing pushed and nothing forced; a turn that is comfortable is long enough.',
  {
    stanceWidth: {
      why: 'Heels under the hips: narrow is kind to the back and lets the lead foot be reached.',
      answers: [underTheHips, twoClubHeadsApart],
    },
    leadFlare: {
      why: 'Older and tighter needs more: a lead foot well out takes the twist off the knee.',
      answers: [full(fixed(30), sides(8, 15), PRACTICE), pitch(fixed(25), 10, STARTING)],
    },
    trailFlare: {
      why: 'The trail foot out as well: a stiff hip turns on what the foot gives it. On a pitch it is only brought back to nearly square.',
      answers: [full(fixed(30), 8, PRACTICE), pitch(fixed(5), 8, STARTING)],
    },
    stanceLine: {
      why: 'The trail toe level with the laces frees the turn for stiff hips, knees and ankles; swing along the feet.',
      answers: [
        full({ kind: 'marks of the lead shoe', marks: 0.25 }, 4, PRACTICE),
        pitch(fixed(0), 4, STARTING),
      ],
    },
    ballAlong: { why: 'One place for the ball: one thing less to mind.', answers: oneBallPosition },
    leadShare: {
      why: 'Even, give or take what is comfortable.',
      answers: [full(fixed(50), 6, STARTING), forwardOnPitches],
    },
    heelToe: { why: 'The middle of both feet: balance before anything else.', answers: middleOfBothFeet },
    ballOut: armsHanging,
    trailKneeFlex: {
      why: 'The trail knee starts a little more flexed and may straighten without locking.',
      answers: [full(fixed(5), 6, PRACTICE)],
    },
    hipBump: {
      why: 'No bump: pushed hips and a wide stance are what tightens a back, with a driver most of all.',
      answers: [full(fixed(0), 12, PRACTICE)],
    },
    hipLine: {
      why: 'Square, or a little closed with the feet.',
      answers: [full(fixed(0), sides(4, 8), STARTING), pitch(fixed(0), 6, STARTING)],
    },
    seat: {
      why: 'Over the heels: tall, and easy on the knees.',
      answers: [full(oneOf('over the heels'), 0, STARTING)],
    },
    shoulderLine: { why: 'Square, even where the feet are closed.', answers: squareShoulders },
    clubFace: faceToTheTarget,
    trailElbow: elbowCloseWhenClosed,
    trailKneeBack: kneeThatStraightens,
    hipTurn: {
      why: 'As much as they will go in comfort; the lead heel may leave the ground.',
      answers: [full(fixed(45), sides(15, 20), STARTING)],
    },
    shoulderTurn: {
      why: 'Eighty degrees in comfort beat ninety with a jerk.',
      answers: [full(fixed(80), 20, STARTING)],
    },
    pressureRoute: {
      why: 'Any route that stays over the feet.',
      answers: [full(oneOf('centred', 'loaded heel'), 0, STARTING)],
    },
  },
);
