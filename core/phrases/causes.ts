import type { AdvisedFigure, CauseName, ToldCause, ToldJudgement, TurnBought } from '../advice';
import type { FootName } from '../setup';
import { angleFigure } from '../units';
import { seenSentence } from './pressure';

/** A figure that is out of its band, as it is told: less than it should be, and more. */
const OUT_OF_BAND: Record<AdvisedFigure, { less: string; more: string }> = {
  stanceWidth: { less: 'The stance is too narrow.', more: 'The stance is too wide.' },
  leadFlare: { less: 'The lead foot is too square.', more: 'The lead foot is too far out.' },
  trailFlare: { less: 'The trail foot is too square.', more: 'The trail foot is too far out.' },
  setback: { less: 'The stance line is too open.', more: 'The stance line is too closed.' },
  ballAlong: { less: 'The ball is too far forward.', more: 'The ball is too far back.' },
  ballOut: { less: 'The ball is too close.', more: 'The ball is too far away.' },
  leadShare: {
    less: 'There is too little weight on the lead foot.',
    more: 'There is too much weight on the lead foot.',
  },
  leadHeelToe: {
    less: 'The weight under the lead foot is too near the heel.',
    more: 'The weight under the lead foot is too near the toes.',
  },
  trailHeelToe: {
    less: 'The weight under the trail foot is too near the heel.',
    more: 'The weight under the trail foot is too near the toes.',
  },
  leadHeelLift: { less: 'The lead heel comes up too little.', more: 'The lead heel comes up too far.' },
  trailKneeInside: { less: 'The trail knee is too far out.', more: 'The trail knee is too far in.' },
  trailKneeFlex: { less: 'The trail knee is too straight.', more: 'The trail knee is too flexed.' },
  trailKneeBack: {
    less: 'The trail knee straightens too little going back.',
    more: 'The trail knee straightens too far going back.',
  },
  hipBump: { less: 'The hips are set too far back.', more: 'The hips are pushed too far.' },
  hipLine: { less: 'The hips are too open.', more: 'The hips are too closed.' },
  shoulderLine: { less: 'The shoulders are too open.', more: 'The shoulders are too closed.' },
  shoulderTilt: { less: 'The shoulders are too level.', more: 'The shoulders are too tilted.' },
  clubFace: { less: 'The club face is too open.', more: 'The club face is too closed.' },
  shaftLean: { less: 'The shaft leans too far back.', more: 'The shaft leans too far forward.' },
};

/** The leg that a cause says stops a turn is told by its figures where the budget has it so. */
function legStops(way: 'Going back' | 'Coming through', leg: FootName, turn: TurnBought | null): string {
  if (turn && turn.stoppedBy === leg && turn.from < turn.needed)
    return `${way} the ${leg} leg stops the hips at about ${angleFigure(turn.from)}; ${angleFigure(turn.needed)} is needed.`;
  return `The ${leg} foot leaves the hips too little room ${way === 'Going back' ? 'going back' : 'coming through'}.`;
}

/** Said of a path that simulated shots tell. */
export const bySimulation = ({ simulated }: { simulated: boolean }): string =>
  simulated ? ', by simulated shots' : '';

function pathStops({ path }: ToldJudgement): string {
  if (!path) return 'The path is off.';
  const way = path.from > 0 ? 'in-to-out' : 'out-to-in';
  return path.byEye
    ? `By eye the path goes ${way}.`
    : `The path goes about ${angleFigure(Math.abs(path.from))} ${way}${bySimulation(path)}.`;
}

/** Whether both feet's weight is off the same way: it is then told of both. */
const ofBothFeet = ({ things }: ToldJudgement, { figure }: ToldCause): boolean =>
  figure === 'leadHeelToe' &&
  things.some(({ moves }) =>
    ['leadHeelToe', 'trailHeelToe'].every((each) => moves.some((move) => move.figure === each)),
  );

function outOfBand(judgement: ToldJudgement, told: ToldCause): string {
  const { figure, off } = told;
  if (!figure || !off) return 'The address is not where it should be.';
  if (ofBothFeet(judgement, told)) return `The weight is too near the ${off === 'more' ? 'toes' : 'heels'}.`;
  return OUT_OF_BAND[figure][off];
}

const STOPS: Record<CauseName, (judgement: ToldJudgement, told: ToldCause) => string> = {
  'trail leg back': ({ back }) => legStops('Going back', 'trail', back),
  'lead leg back': ({ back }) => legStops('Going back', 'lead', back),
  // Where the legs are known and have room enough, the line is only out.
  'open line': ({ back }) =>
    back && back.from >= back.needed ? OUT_OF_BAND.setback.less : 'The open line blocks the turn back.',
  'trail knee stuck': () => 'The trail knee stays bent going back and holds the hip.',
  'trail toes loaded': (judgement, told) =>
    ofBothFeet(judgement, told)
      ? 'The weight is too near the toes and holds the hip going back.'
      : 'The weight is too near the trail toes and holds the hip going back.',
  'stiff joint': ({ spares }) => `A stiff ${spares ?? 'joint'} leaves the turn little room.`,
  'lead leg through': ({ through }) => legStops('Coming through', 'lead', through),
  'closed line': () => 'The closed line holds the hips coming through.',
  'lead foot spins out': () => 'The lead foot spins out: it is squarer than this hip wants.',
  'trail heel stuck': () => 'The trail heel stays down and holds the hips coming through.',
  'sore joint': ({ spares }) => `The sore ${spares ?? 'joint'} is spared first.`,
  'too wide to post': () => 'The stance is too wide to get onto the lead foot.',
  'hips central': () => 'The hips are not set toward the target, so they drift.',
  'trail knee outside': (_judgement, { figure }) =>
    figure ? 'The trail knee stands outside its foot.' : 'The trail knee gives way to the outside.',
  'hips pushed': () => 'The hips are pushed too far.',
  'turns too far': () => 'The turn goes too far.',
  'load felt': () => 'The weight is not settled under the feet.',
  pressure: ({ pressure }) => seenSentence(pressure!),
  path: pathStops,
  'face first': () => 'Nobody has looked at the face yet. It may be what sends the ball.',
  'pitch stance': () => 'This is a full-swing stance under a pitch.',
  'too much loft': () => 'So much loft makes a pitch hard to strike.',
  'out of band': outOfBand,
};

/**
 * What a cause says, in a sentence of its own.
 * @param judgement that it is of: it knows the turns, the path and what is done
 * @param told the cause, with the figure that is out and which way
 * @returns words in lead and trail
 */
export const causeSentence = (judgement: ToldJudgement, told: ToldCause): string =>
  STOPS[told.cause](judgement, told);

/** What each figure is called where it waits. */
const FIGURE_WAITS: Partial<Record<AdvisedFigure, string>> = {
  stanceWidth: 'the width',
  leadFlare: 'the lead foot',
  trailFlare: 'the trail foot',
  setback: 'the line',
  ballAlong: 'the ball',
  ballOut: 'the ball',
  leadShare: 'the weight',
  leadHeelToe: 'the weight',
  trailHeelToe: 'the weight',
  trailKneeInside: 'the trail knee',
  trailKneeFlex: 'the trail knee',
  trailKneeBack: 'the trail knee',
  hipBump: 'the hips',
  hipLine: 'the hips',
  shoulderLine: 'the shoulders',
  shoulderTilt: 'the shoulders',
  clubFace: 'the face',
  shaftLean: 'the shaft',
};

const WAITS: Partial<Record<CauseName, string>> = {
  'stiff joint': 'the turn back',
  'trail heel stuck': 'the trail heel',
  'too wide to post': 'getting onto the lead foot',
  'turns too far': 'the turn that goes too far',
  'load felt': 'the weight',
  pressure: 'where the weight goes',
  path: 'the path',
  'face first': 'the face',
  'pitch stance': 'the stance',
  'too much loft': 'the loft',
};

const TURN_WAITS: Partial<Record<CauseName, 'back' | 'through'>> = {
  'trail leg back': 'back',
  'lead leg back': 'back',
  'lead leg through': 'through',
};

/**
 * What a cause is called where it waits for later.
 * @param told the cause
 * @param judgement that it waits in: the joint that is spared, and the turn that is worked at
 * @returns a few words in lead and trail
 */
export function waitWords({ cause, figure }: ToldCause, { spares, things }: ToldJudgement): string {
  if (cause === 'sore joint') return `easing the ${spares ?? 'joint'}`;
  const turn = TURN_WAITS[cause];
  const begun = things.some((thing) => turn !== undefined && TURN_WAITS[thing.cause] === turn);
  if (turn) return `${begun ? 'the rest of ' : ''}the turn ${turn}`;
  return WAITS[cause] ?? (figure && FIGURE_WAITS[figure]) ?? 'the address';
}
