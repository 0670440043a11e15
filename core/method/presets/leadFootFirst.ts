import {
  armsHanging,
  byTheShoulders,
  evenWithIrons,
  faceToTheTarget,
  hipsToFortyFive,
  leadFootOnPitches,
  oneBallPosition,
  parallel,
  shouldersToNinety,
  squareHips,
  squareShoulders,
  trailFootHeldOnPitches,
  twoClubHeadsApart,
} from './common';
import {
  allBut,
  DRIVER,
  fixed,
  full,
  oneOf,
  pitch,
  PRACTICE,
  preset,
  SHORT_IRONS_AND_WEDGES,
  sides,
  STARTING,
} from './write';

/** The lead foot out, the trail foot by the leg test, the hips set forward, ready on the balls of the feet. */
export const LEAD_FOOT_FIRST = preset(
  'Lead foot first',
  'The lead foot out, and more with a driver; the trail foot by what the trail leg can turn; hips set an inch toward the target; ready on the balls of the feet.',
  {
    stanceWidth: {
      why: 'By the shoulders: wide enough to push from, with the hips already set a little forward.',
      answers: [byTheShoulders, twoClubHeadsApart],
    },
    leadFlare: {
      why: 'The lead foot decides how the body gets through: twenty to thirty degrees, thirty-five with a driver, forty-five for very tight hips.',
      answers: [
        full(fixed(35), sides(5, 10), PRACTICE, DRIVER),
        full(fixed(25), sides(5, 10), PRACTICE, allBut(DRIVER)),
        leadFootOnPitches,
      ],
    },
    trailFlare: {
      why: 'As much as the trail leg’s own turn leaves over and no more: the least flare that does it. On a pitch it is turned in, on purpose.',
      answers: [
        full({ kind: 'leg test', neededTurn: 45, give: 10, untested: 20 }, 5, PRACTICE),
        trailFootHeldOnPitches,
      ],
    },
    stanceLine: {
      why: 'Parallel: the flare has freed the hips, the line can stay with the target.',
      answers: parallel,
    },
    ballAlong: {
      why: 'One ball position off the lead heel, which is where everything is going.',
      answers: oneBallPosition,
    },
    leadShare: {
      why: 'Even between the feet; the hips are set forward, not the weight.',
      answers: evenWithIrons,
    },
    heelToe: {
      why: 'On the balls of the feet, ready to move: a body that waits on its middle is late.',
      answers: [full(fixed(65), 8, STARTING), pitch(fixed(60), 10, STARTING)],
    },
    ballOut: armsHanging,
    trailKneeInside: {
      why: 'With the hips set forward the trail knee stands inside the trail instep, where it cannot sway.',
      answers: [full(fixed(15), sides(15, 25), PRACTICE)],
    },
    trailKneeFlex: {
      why: 'A little more flexed than the lead, over the toes.',
      answers: [full(fixed(5), 5, PRACTICE)],
    },
    hipBump: {
      why: 'An inch toward the target, hips square and breastbone still, with every club, a driver too: the hips then have half a hip breadth to go and not a whole one.',
      answers: [full(fixed(25), 10, PRACTICE), pitch(fixed(25), 15, STARTING)],
    },
    hipGap: {
      why: 'With short irons the lead hip ends an inch inside the outside of the lead foot.',
      answers: [full(fixed(25), 20, PRACTICE, SHORT_IRONS_AND_WEDGES)],
    },
    hipLine: { why: 'Hips square while they are set forward.', answers: squareHips },
    seat: {
      why: 'The seat a little behind the heels, as before a jump.',
      answers: [full(oneOf('behind the heels'), 0, STARTING)],
    },
    shoulderLine: { why: 'Shoulders with the feet and the target line.', answers: squareShoulders },
    clubFace: faceToTheTarget,
    hipTurn: hipsToFortyFive,
    shoulderTurn: shouldersToNinety,
    pressureRoute: {
      why: 'Into the trail heel and off it: the push starts from there.',
      answers: [full(oneOf('loaded heel'), 0, PRACTICE)],
    },
  },
);
