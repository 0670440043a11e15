import {
  kneeThatStraightens,
  armsHanging,
  evenWithIrons,
  faceToTheTarget,
  middleOfBothFeet,
  oneBallPosition,
  shouldersToNinety,
  squareHips,
  squareShoulders,
  trailFootHeldOnPitches,
  twoClubHeadsApart,
  underTheHips,
} from './common';
import { fixed, full, oneOf, pitch, PRACTICE, preset, sides, STARTING } from './write';

/** Generous flare on both feet, heels under the hips, closed only for bodies that lack the turn. */
export const FREE_THE_HIPS = preset(
  'Free the hips',
  'Both feet well out, heels under the hips, the stance closed only as far as stiff legs need it: let the hips turn as much as they will.',
  {
    stanceWidth: {
      why: 'Heels under the hips: a quick step onto the lead foot is worth more than a long one.',
      answers: [underTheHips, twoClubHeadsApart],
    },
    leadFlare: {
      why: 'A lead foot well out lets the hips through without the knee taking the twist; feet that point further out on their own are let.',
      answers: [full(fixed(30), sides(5, 15), PRACTICE), pitch(fixed(20), 8, STARTING)],
    },
    trailFlare: {
      why: 'The trail foot is flared as much as the lead, because a square one is what stops most hips going back. On a pitch it is turned in on purpose, to keep the swing short.',
      answers: [full(fixed(30), 5, PRACTICE), trailFootHeldOnPitches],
    },
    stanceLine: {
      why: 'Parallel where the legs turn far enough; closed by what they lack, so that a stiff body gets round without being forced.',
      answers: [
        full(
          { kind: 'what the legs lack', neededTurn: 45, give: 10, most: 12, untested: 0 },
          sides(2, 4),
          STARTING,
        ),
        pitch(fixed(0), 3, STARTING),
      ],
    },
    ballAlong: {
      why: 'One ball position: the feet and the hips change, the ball does not.',
      answers: oneBallPosition,
    },
    leadShare: { why: 'Even, so that the hips can go either way.', answers: evenWithIrons },
    heelToe: {
      why: 'The middle of both feet: toward the toes the trail hip is blocked, and hips are what this is about.',
      answers: middleOfBothFeet,
    },
    ballOut: armsHanging,
    trailKneeFlex: {
      why: 'A trail knee that starts a little more flexed can straighten as the hip turns up and back.',
      answers: [full(fixed(5), 5, PRACTICE)],
    },
    hipBump: {
      why: 'Not pushed: a hip that stays in its socket turns further than one that leads. With a driver the tilt comes from the ribs.',
      answers: [full(fixed(0), 12, STARTING)],
    },
    hipLine: { why: 'Square hips have as far to go one way as the other.', answers: squareHips },
    seat: {
      why: 'A seat over the heels leaves both hip joints free.',
      answers: [full(oneOf('over the heels'), 0, STARTING)],
    },
    shoulderLine: { why: 'Shoulders square, even where the feet are closed.', answers: squareShoulders },
    clubFace: faceToTheTarget,
    trailKneeBack: kneeThatStraightens,
    hipTurn: {
      why: 'As much as they will go: more hips means less to ask of the back.',
      answers: [full(fixed(50), sides(10, 20), STARTING)],
    },
    shoulderTurn: shouldersToNinety,
    pressureRoute: {
      why: 'Into the trail heel going back, which turns the hip, and off it again before the top.',
      answers: [full(oneOf('loaded heel', 'centred'), 0, PRACTICE)],
    },
  },
);
