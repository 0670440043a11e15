import {
  hoveredDriver,
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
  'The lead foot turned out, further with a driver; the trail foot as its leg asks; the hips a little forward; light on the balls of the feet.',
  {
    stanceWidth: {
      why: 'Shoulder-wide: something to push from once the hips are set.',
      answers: [byTheShoulders, twoClubHeadsApart],
    },
    leadFlare: {
      why: 'Getting through is decided at the front: out some, more with the driver, and more still for hips that hardly turn.',
      answers: [
        full(fixed(35), sides(8, 10), PRACTICE, DRIVER),
        full(fixed(25), sides(8, 12), PRACTICE, allBut(DRIVER)),
        leadFootOnPitches,
      ],
    },
    trailFlare: {
      why: 'Only what the trail leg cannot turn by itself. On a pitch it is held in, so that the swing stays short.',
      answers: [
        full({ kind: 'leg test', neededTurn: 45, give: 10, untested: 20 }, 5, PRACTICE),
        trailFootHeldOnPitches,
      ],
    },
    stanceLine: {
      why: 'Along the target line: the hips have their room from the flare.',
      answers: parallel,
    },
    ballAlong: {
      why: 'Off the lead heel, always: that is where the swing goes.',
      answers: oneBallPosition,
    },
    leadShare: {
      why: 'Weight between the feet; it is the hips that are forward.',
      answers: evenWithIrons,
    },
    heelToe: {
      why: 'On the balls of the feet: quicker to move than from the middle.',
      answers: [full(fixed(65), 12, STARTING), pitch(fixed(60), 12, STARTING)],
    },
    ballOut: armsHanging,
    trailKneeInside: {
      why: 'Inside the instep the trail knee has nothing to sway over.',
      answers: [full(fixed(15), sides(15, 25), PRACTICE)],
    },
    trailKneeFlex: {
      why: 'Bent a little more than the lead knee.',
      answers: [full(fixed(5), 5, PRACTICE)],
    },
    hipBump: {
      why: 'Set a little toward the target with a quiet breastbone, driver too, the hips have only half a hip breadth left to travel.',
      answers: [full(fixed(25), 12, PRACTICE), pitch(fixed(25), 18, STARTING)],
    },
    hipGap: {
      why: 'With short irons the lead hip comes near the outside of the lead foot.',
      answers: [full(fixed(25), 20, PRACTICE, SHORT_IRONS_AND_WEDGES)],
    },
    hipLine: { why: 'Hips square while they are set forward.', answers: squareHips },
    seat: {
      why: 'Sat back a little, as before a jump.',
      answers: [full(oneOf('behind the heels'), 0, STARTING)],
    },
    shoulderLine: { why: 'Shoulders with the feet and the target line.', answers: squareShoulders },
    clubFace: faceToTheTarget,
    clubRest: hoveredDriver,
    hipTurn: hipsToFortyFive,
    shoulderTurn: shouldersToNinety,
    pressureRoute: {
      why: 'Into the trail heel, and pushed from it.',
      answers: [full(oneOf('loaded heel'), 0, PRACTICE)],
    },
  },
);
