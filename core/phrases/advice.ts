import type { GoalName, Thing, ThingToDo, ToldJudgement, TurnBought } from '../advice';
import { questionOf, type BandException } from '../method';
import { alongFoot, FIGURE_WORDS, isLine, type SetupFigure } from '../setup';
import { angleFigure, saidLength, type LengthUnit } from '../units';
import { chanceWords } from './chance';
import { bandWords, questionFigure } from './figures';
import { inFootWords } from './feet';
import type { Speech } from './instruction';
import { pressureBuys, pressureCue, seenSentence } from './pressure';

/** What a coach says of a thing that moves no figure. */
const SAID: Partial<Record<Thing, string>> = {
  'trail foot release': 'Let the trail heel come up through the ball.',
  'shorter swing': 'Stop the backswing at three quarters.',
  'less loft': 'Take a club with less loft, and the same swing.',
  face: 'Look where the face points first.',
  load: 'Rock to the heels and the toes, and settle in the middle.',
  'trail knee': 'Keep the trail knee inside its foot.',
};

/** What each thing is called on its own line. */
export const THING_NAMES: Record<Thing, string> = {
  'lead foot': 'Lead foot',
  'trail foot': 'Trail foot',
  line: 'The whole line',
  width: 'Width',
  load: 'Weight',
  pressure: 'Pressure',
  ball: 'Ball',
  hips: 'Hips',
  'trail knee': 'Trail knee',
  shoulders: 'Shoulders',
  tilt: 'Tilt',
  face: 'Club face',
  'lead heel up': 'Lead heel',
  'trail foot release': 'Trail heel',
  'shorter swing': 'Shorter swing',
  'less loft': 'Less loft',
};

/** Turning the whole stance is one move: it is told by how far the feet turn with it. */
function lineSentence({ moves }: ThingToDo): string {
  const trail = moves.find(({ figure }) => figure === 'trailFlare');
  const by = trail ? trail.to - trail.from : 0;
  return `Turn the whole stance ${angleFigure(Math.abs(by))} ${by > 0 ? 'closed' : 'open'}, both feet with it.`;
}

/** Whether the weight goes along both feet, to the same place. */
const isRocked = ({ moves }: ThingToDo): boolean => {
  const [lead, trail] = ['leadHeelToe', 'trailHeelToe'].map((foot) =>
    moves.find(({ figure }) => figure === foot),
  );
  return moves.length === 2 && !!lead && !!trail && alongFoot(lead.to) === alongFoot(trail.to);
};

const rockSentence = ({ moves: [one] }: ThingToDo): string =>
  `Rock the weight ${one!.to > one!.from ? 'forward' : 'back'} to ${alongFoot(one!.to)}, both feet.`;

/**
 * What to tell the student of one thing.
 * @param todo the thing with its moves
 * @param judgement that it is of: it knows what is thought of where the pressure is worked at
 * @param shoeLength mm
 * @param speech how the coach speaks of feet and lengths, and the student’s hand
 * @returns one sentence a move
 */
export function thingSentences(
  todo: ThingToDo,
  { pressure }: ToldJudgement,
  shoeLength: number,
  speech: Speech,
): string[] {
  const say = (words: string) => inFootWords(words, speech.feet, speech.hand);
  if (todo.thing === 'line') return [say(lineSentence(todo))];
  if (todo.thing === 'pressure') return pressure ? [say(pressureCue(pressure))] : [];
  if (todo.moves.length === 0) return [say(SAID[todo.thing]!)];
  if (isRocked(todo)) return [say(rockSentence(todo))];
  const toesStay = !todo.moves.some(({ figure }) => figure === 'setback');
  return todo.moves.flatMap(({ figure, from, to }) => {
    const told = { by: to - from, to, length: speech.length, shoeLength, toesStay };
    const sentence = FIGURE_WORDS[figure].instruction?.(told);
    return sentence === undefined ? [] : [say(sentence)];
  });
}

const stopsTurn = (way: string, { stoppedBy, from, needed }: TurnBought): string =>
  `${way} the ${stoppedBy} leg stops the hips at about ${angleFigure(from)}; ${angleFigure(needed)} is needed.`;

/** Which way the load or the ball is off, by how it is put right. */
function wayOff(things: readonly ThingToDo[], figure: string): 'more' | 'less' | null {
  const move = things.flatMap(({ moves }) => moves).find((each) => each.figure === figure);
  return move ? (move.to > move.from ? 'less' : 'more') : null;
}

function loadStops({ things }: ToldJudgement): string {
  const toes = wayOff(things, 'trailHeelToe') ?? wayOff(things, 'leadHeelToe');
  if (toes) return `The weight is on the ${toes === 'more' ? 'toes' : 'heels'}.`;
  const lead = wayOff(things, 'leadShare');
  if (lead) return `There is too ${lead === 'more' ? 'much' : 'little'} weight on the lead foot.`;
  return 'The weight is not where it should be.';
}

function ballStops({ things }: ToldJudgement): string {
  const back = wayOff(things, 'ballAlong');
  if (back) return `The ball is too far ${back === 'more' ? 'back' : 'forward'}.`;
  const out = wayOff(things, 'ballOut');
  return out === 'less' ? 'The ball is too close.' : 'The ball is too far away.';
}

const bySimulation = ({ simulated }: { simulated: boolean }): string =>
  simulated ? ', by simulated shots' : '';

function pathStops({ path }: ToldJudgement): string {
  if (!path) return 'The ball does not say yet: the face may be what sends it.';
  const way = path.from > 0 ? 'in-to-out' : 'out-to-in';
  return path.byEye
    ? `By eye the path goes ${way}.`
    : `The path goes about ${angleFigure(Math.abs(path.from))} ${way}${bySimulation(path)}.`;
}

const widthStops = ({ things }: ToldJudgement): string => {
  const wide = wayOff(things, 'stanceWidth');
  if (wide === null) return 'The feet are not where the method has them.';
  return wide === 'more' ? 'The stance is too wide.' : 'The stance is too narrow.';
};

const STOPS_GOAL: Record<GoalName, (judgement: ToldJudgement) => string> = {
  'turn back': ({ back }) => (back ? stopsTurn('Going back', back) : 'The turn back has no room.'),
  'turn through': ({ through }) =>
    through && through.from < through.needed
      ? stopsTurn('Coming through', through)
      : 'Something holds the hips coming through.',
  sparing: () => 'What hurts is spared first.',
  posting: () => 'The stance is too wide to get onto the lead foot.',
  'too much turn': () => 'The turn goes too far.',
  load: loadStops,
  pressure: ({ pressure }) => seenSentence(pressure!),
  path: pathStops,
  ball: ballStops,
  feet: widthStops,
  knees: () => 'The trail knee is out of its place.',
  hips: () => 'The hips are not set as the method has them.',
  shoulders: () => 'The shoulders are not as the method has them.',
  hands: () => 'The face or the shaft is off.',
  swing: () => 'The trail knee goes back another way than taught.',
  loft: () => 'So much loft makes a pitch hard to strike.',
};

/** The goal a judgement is about: the first that its first thing serves, or that is short where nothing is done. */
const aboutGoal = ({ goals, things }: ToldJudgement): GoalName | undefined =>
  things[0]?.serves[0] ?? goals.find(({ today }) => today > 0)?.goal;

/**
 * What stops the student, in a sentence: what is worked at first, or that nothing is short.
 * @param judgement the judgement
 * @param speech how the coach speaks of feet and lengths, and the student’s hand
 * @returns one sentence
 */
export function stopsSentence(judgement: ToldJudgement, speech: Speech): string {
  const goal = aboutGoal(judgement);
  if (goal) return inFootWords(STOPS_GOAL[goal](judgement), speech.feet, speech.hand);
  return judgement.before.includes('test the legs')
    ? 'Nobody knows yet where the legs stop the turn.'
    : 'Nothing stands in the way.';
}

const BEFORE_WORDS: Record<ToldJudgement['before'][number], string> = {
  'see a doctor': 'If it hurts, stop. Doctor or physio first.',
  'test the legs': 'Test the legs first.',
};

/**
 * What is done, in order: what stands before all, then one or two things.
 * @param judgement the judgement
 * @param shoeLength mm
 * @param speech how the coach speaks of feet and lengths, and the student’s hand
 * @returns sentences
 */
export function doSentences(judgement: ToldJudgement, shoeLength: number, speech: Speech): string[] {
  const { before, things, goals } = judgement;
  const told = [
    ...before.map((each) => BEFORE_WORDS[each]),
    ...things.flatMap((thing) => thingSentences(thing, judgement, shoeLength, speech)),
  ];
  if (told.length > 0) return told;
  return goals.some(({ today }) => today > 0)
    ? ['Leave it: nothing that may be moved would help.']
    : ['Leave it as it is.'];
}

/** So much less turn is a cost that is told (starting value), degrees. */
const COSTS_TURN = 3;

/** A turn is told where it was short and the plan frees it, and where the plan costs some of it. */
function turnBuys(way: string, turn: TurnBought | null, wasShort: boolean): string[] {
  if (!turn) return [];
  const { from, to, needed, chanceTo } = turn;
  const frees = wasShort && to - from >= 1;
  if (!frees && from - to < COSTS_TURN) return [];
  // Likely is likely enough; almost sure needs no such word.
  const said = chanceTo === null ? null : chanceWords(chanceTo);
  const chance = said === null ? '' : `: ${said}${said === 'likely' ? ' enough' : ''}`;
  const words = `about ${angleFigure(to)}, ${angleFigure(needed)} needed${chance}.`;
  return [
    frees ? `${way} ${words}` : `It costs turn ${way === 'Through' ? 'through' : 'back'}. A${words.slice(1)}`,
  ];
}

function pathBuys({ path }: ToldJudgement): string[] {
  if (!path) return [];
  const straighter = Math.abs(path.from) - Math.abs(path.to);
  if (straighter < 0.5) return [];
  return path.byEye
    ? ['The path comes straighter.']
    : [`Path about ${angleFigure(straighter)} straighter${bySimulation(path)}.`];
}

const BUYS_GOAL: Partial<Record<GoalName, string>> = {
  sparing: 'What hurts is asked for less.',
  posting: 'The lead foot comes within reach.',
  'too much turn': 'A shorter turn, and the club stays in the hands.',
  load: 'The hips are free to turn.',
  ball: 'The strike comes back to the ball.',
  loft: 'A strike that forgives more.',
};

/** The method's bands are what a change brings where it brings nothing else. */
const WITHIN = 'It brings the address to where the method has it.';

/**
 * What it buys, and what it costs, most important first.
 * @param judgement the judgement
 * @param speech how the coach speaks of feet and lengths, and the student’s hand
 * @returns sentences; none where nothing is changed
 */
export function buysSentences(judgement: ToldJudgement, speech: Speech): string[] {
  const { goals, things, back, through, pressure } = judgement;
  if (things.length === 0) return [];
  const wasShort = (goal: GoalName) => goals.some((each) => each.goal === goal && each.today > 0);
  const better = goals.filter(({ today, after }) => after < today);
  const told = [
    ...turnBuys('Backswing', back, wasShort('turn back')),
    ...turnBuys('Through', through, wasShort('turn through')),
    ...pathBuys(judgement),
    ...better.flatMap(({ goal }) =>
      goal === 'pressure' && pressure ? pressureBuys(pressure) : (BUYS_GOAL[goal] ?? []),
    ),
  ];
  const bought = told.length > 0 ? told : [WITHIN];
  return bought.map((sentence) => inFootWords(sentence, speech.feet, speech.hand));
}

const WAITS: Record<GoalName, string> = {
  'turn back': 'the rest of the turn back',
  'turn through': 'the rest of the turn through',
  sparing: 'what hurts',
  posting: 'getting onto the lead foot',
  'too much turn': 'the turn that goes too far',
  load: 'the weight',
  pressure: 'where the weight goes',
  path: 'the path',
  ball: 'the ball',
  feet: 'the feet',
  knees: 'the knees',
  hips: 'the hips',
  shoulders: 'the shoulders',
  hands: 'the face',
  swing: 'the trail knee going back',
  loft: 'the loft',
};

/**
 * What waits for another day: goals that are still short.
 * @param judgement the judgement
 * @param speech how the coach speaks of feet and lengths, and the student’s hand
 * @returns one sentence; empty where nothing waits
 */
export function waitsSentence({ goals, things }: ToldJudgement, speech: Speech): string {
  const waiting = goals.filter(({ after }) => after > 0).map(({ goal }) => WAITS[goal]);
  if (waiting.length === 0 || things.length === 0) return '';
  const list = new Intl.ListFormat('en', { type: 'conjunction' }).format(waiting);
  return inFootWords(`Waits for later: ${list}.`, speech.feet, speech.hand);
}

/**
 * Where this body needs what the method would not have.
 * @param judgement the judgement
 * @param speech how the coach speaks of feet and lengths, and the student’s hand
 * @returns one sentence a figure
 */
export const partingSentences = ({ partings }: ToldJudgement, speech: Speech): string[] =>
  partings.map(({ item, low, high, needs }) => {
    const question = questionOf(item);
    const name = FIGURE_WORDS[item as SetupFigure].name.toLowerCase();
    const wants = bandWords(question, { low: Math.round(low), high: Math.round(high) }, speech.length);
    const needed = isLine(question)
      ? questionFigure(question, Math.round(needs), speech.length)
      : item === 'stanceWidth'
        ? questionFigure(question, needs, speech.length)
        : angleFigure(needs);
    const words = `Your method wants ${name} at ${wants}. This body needs ${needed}.`;
    return inFootWords(words, speech.feet, speech.hand);
  });

/**
 * One foot that both turns pull at, told as one conflict.
 * @param judgement the judgement
 * @param speech how the coach speaks of feet and lengths, and the student’s hand
 * @returns one sentence; empty where nothing pulls both ways
 */
export const pulledSentence = ({ pulledBothWays }: ToldJudgement, speech: Speech): string =>
  pulledBothWays
    ? inFootWords(
        'The lead foot is pulled both ways: squarer to go back, further out to come through.',
        speech.feet,
        speech.hand,
      )
    : '';

/**
 * A student's own band as it is named in a sentence.
 * @param exception the figure and its ends, mm or degrees
 * @param speech how the coach speaks of feet and lengths, and the student’s hand
 * @returns words
 * @example ownBandWords({ item: 'trailFlare', low: 22, high: 28 }, { length: 'cm', feet: 'lead and trail', hand: 'right' }) // 'trail flare 22 to 28°'
 */
export const ownBandWords = ({ item, low, high }: BandException, speech: Speech): string =>
  inFootWords(plainOwnBand({ item, low, high }, speech.length), speech.feet, speech.hand);

function plainOwnBand({ item, low, high }: BandException, length: LengthUnit): string {
  if (item === 'widest') return `no wider than ${saidLength(high, length)}`;
  if (item === 'stanceWidth') return `width ${saidLength(low, length)} to ${saidLength(high, length)}`;
  const name = item === 'heelToe' ? 'weight from the heel' : FIGURE_WORDS[item].name.toLowerCase();
  return `${name} ${bandWords(item, { low, high }, length)}`;
}

/**
 * The same as a sentence of its own.
 * @param exception the figure and its ends, mm or degrees
 * @param speech how the coach speaks of feet and lengths, and the student’s hand
 * @returns one sentence
 * @example exceptionWords({ item: 'trailFlare', low: 22, high: 28 }, { length: 'cm', feet: 'lead and trail', hand: 'right' }) // 'This student’s own: trail flare 22 to 28°.'
 */
export const exceptionWords = (exception: BandException, speech: Speech): string =>
  `This student’s own: ${ownBandWords(exception, speech)}.`;
