import type { Said } from '../../domain/said';

/** What this screen says. */
export const messages = {
  trailFoot: (angle: Said, byWords: Said) => `Trail foot ${angle} ${byWords}`,
  leadFoot: (angle: Said, byWords: Said) => `Lead foot ${angle} ${byWords}`,
  leadHeelUp: (length: Said) => `Lead heel up ${length}`,
  wholeStanceClosed: (angle: Said) => `Whole stance closed ${angle}`,
  trailFootBackClosed: (angle: Said) => `Trail foot back, ${angle} closed`,
  whatOneMoreStepBuys: 'What one more step buys',
  oneMoreStep: 'One more step',
  back: 'back',
  through: 'through',
  atThatTurnTheTrail: (how: Said) =>
    `At that turn the trail knee ${how}. Taking the foot back gives it room. This is rough: five degrees of knee flex move it by some fifteen of turn.`,
  onlyWhileItsHeel: ' Only while its heel is down.',
  neededGoingBackOfShoulders: (shoulders: Said, trunk: Said, assumed: Said) =>
    `Needed going back: ${shoulders} of shoulders less ${trunk} of trunk${assumed}. Through by impact: 45° (common practice, no source).`,
  thatIsUnusualOnThese: (angle: Said) =>
    `That is unusual. On these feet legs and trunk reach ${angle} of shoulders together.`,
  atTheFinishTheLead: (angle: Said) =>
    `At the finish the lead foot has to come round ${angle} for the hips to face the target. Let it; with a sore knee it is a caution, not a failure.`,
  givesOfAndAndTheir:
    'Gives of 10° and 20° and their ± 6° are starting values until turns are measured; a sore knee gives none.',
  shouldersAreToTurn: 'Shoulders are to turn',
  shouldersToTurnUsual: 'Shoulders are to turn (90° is common practice; yours to set)',
  shouldersAreToTurnLess: (step: Said) => `Shoulders are to turn ${step}° less`,
  shouldersAreToTurnMore: (step: Said) => `Shoulders are to turn ${step}° more`,
  theTurn: 'The turn',
  measureBothFlaresFirstWhere: 'Measure both flares first: where the legs stop the turn goes by them.',
  nobodyKnowsWhereTheLegs: 'Nobody knows where the legs stop the turn: they are not tested.',
  testLegsAndTrunk: 'Test legs and trunk',
  leadHeelMayComeUp: 'Lead heel may come up, going back',
  notAtAll: 'Not at all',
  whyAndWhatAStep: 'Why, and what a step buys',
};
