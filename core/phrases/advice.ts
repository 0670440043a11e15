import type { CauseName, Parting, Thing, ThingToDo, ToldCause, ToldJudgement, TurnBought } from '../advice';
import { questionOf, type AgreedFigure, type BandException, type FigureQuestion } from '../method';
import { alongFoot, FIGURE_WORDS, inHalves, isLine } from '../setup';
import { angleFigure, saidLength, type LengthUnit } from '../units';
import { bySimulation, causeSentence, waitWords } from './causes';
import { chanceWords } from './chance';
import { bandWords, questionFigure } from './figures';
import { inFootWords } from './feet';
import type { Speech } from './instruction';
import { pressureBuys, pressureCue } from './pressure';

/** What a coach says of a thing that moves no figure. */
const SAID: Partial<Record<Thing, string>> = {
  'trail foot release': 'Let the trail heel come up through the ball.',
  'shorter swing': 'Stop the backswing at three quarters.',
  'less loft': 'Take a club with less loft, and the same swing.',
  face: 'Look where the face points.',
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
  pitch: 'The pitch',
};

/** A stance turned as a whole, in a record from before lines were made by the trail foot alone. */
function lineSentence({ moves }: ThingToDo): string {
  const trail = moves.find(({ figure }) => figure === 'trailFlare');
  const by = trail ? trail.to - trail.from : 0;
  return `Turn the whole stance ${angleFigure(Math.abs(by))} ${by > 0 ? 'closed' : 'open'}, both feet with it.`;
}

/** A pitch is set up in one breath: only what is out of it is named. */
function pitchSentences({ moves }: ThingToDo, speech: Speech): string[] {
  const to = (figure: string) => moves.find((each) => each.figure === figure)?.to;
  const [width, flare, share] = ['stanceWidth', 'trailFlare', 'leadShare'].map(to);
  return [
    ...(width === undefined ? [] : [`Feet close: ${saidLength(width, speech.length)} between the heels.`]),
    ...(flare === undefined ? [] : [`Trail foot in, to ${flareWords(flare)}.`]),
    ...(share === undefined ? [] : [`Weight forward: ${Math.round(share)}% on the lead foot.`]),
  ];
}

const flareWords = (flare: number): string => {
  const whole = Math.round(flare);
  return whole === 0 ? 'square' : `${Math.abs(whole)}° ${whole > 0 ? 'out' : 'in'}`;
};

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
  if (todo.thing === 'line' && todo.moves.length > 1) return [say(lineSentence(todo))];
  if (todo.thing === 'pitch') return pitchSentences(todo, speech).map((sentence) => say(sentence));
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

/** The cause that a judgement is about: what is worked at first, or what stays where nothing is done. */
const aboutCause = ({ things, waits, lookNext }: ToldJudgement): ToldCause | undefined =>
  things[0] ?? (lookNext ? undefined : waits[0]);

/** What is told where no cause is worked at: what is not known yet, or that nothing is short. */
function nothingWorkedAt({ before, lookNext, back }: ToldJudgement): string {
  if (before.includes('measure the feet')) return 'Nobody has measured the feet yet.';
  if (before.includes('test the legs')) return 'Nobody knows yet where the legs stop the turn.';
  if (before.includes('measure the turn')) return turnInDoubt(back);
  if (lookNext) return 'Nothing in the feet explains it.';
  return before.includes('see a doctor') ? 'Something hurts.' : 'Nothing stands in the way.';
}

/** A stop that rests on a usual give: the test says where, and only a turn says whether. */
const turnInDoubt = (back: TurnBought | null): string =>
  back?.stoppedBy && back.from < back.needed
    ? `By its test the ${back.stoppedBy} leg stops the hips at about ${angleFigure(back.from)}. Only a turn can say.`
    : 'By its test a leg stops the hips early. Only a turn can say.';

/**
 * What stops the student, in a sentence: what is worked at first, or that nothing is short.
 * @param judgement the judgement
 * @param speech how the coach speaks of feet and lengths, and the student’s hand
 * @returns one sentence
 */
export function stopsSentence(judgement: ToldJudgement, speech: Speech): string {
  const measuring = judgement.things.length === 0 && judgement.before.some((each) => each !== 'see a doctor');
  const about = measuring ? undefined : aboutCause(judgement);
  const words = about ? causeSentence(judgement, about) : nothingWorkedAt(judgement);
  return inFootWords(words, speech.feet, speech.hand);
}

const BEFORE_WORDS: Record<ToldJudgement['before'][number], string> = {
  'see a doctor': 'If it hurts, stop. Doctor or physio first.',
  'measure the feet': 'Measure the feet first.',
  'test the legs': 'Test the legs first.',
  'measure the turn': 'Measure the turn on these feet first.',
};

const LOOK_WORDS: Record<NonNullable<ToldJudgement['lookNext']>, string> = {
  face: 'Look at the face next.',
  shoulders: 'Look at the shoulders next.',
  turn: 'Measure the turn itself next.',
  strike: 'Look where the club meets the ground next.',
  swing: 'Look at the swing next.',
};

/**
 * What is done, in order: what stands before all, then one or two things.
 * @param judgement the judgement
 * @param shoeLength mm
 * @param speech how the coach speaks of feet and lengths, and the student’s hand
 * @returns sentences
 */
export function doSentences(judgement: ToldJudgement, shoeLength: number, speech: Speech): string[] {
  const { before, things, waits, lookNext } = judgement;
  const told = [
    ...before.map((each) => BEFORE_WORDS[each]),
    ...things.flatMap((thing) => thingSentences(thing, judgement, shoeLength, speech)),
  ];
  if (things.length === 0 && lookNext) return [...told, LOOK_WORDS[lookNext]];
  if (told.length > 0) return told;
  return waits.length > 0
    ? ['Leave the feet: nothing that may be moved would help.']
    : ['Leave it as it is.'];
}

/** So much less turn is a cost that is told, where so little is left over (starting values), degrees. */
const COSTS_TURN = 3;
const LEFT_OVER = 5;

/** Causes that a turn is freed of. */
const BACK: readonly CauseName[] = ['trail leg back', 'lead leg back', 'open line', 'stiff joint'];
const THROUGH: readonly CauseName[] = ['lead leg through', 'closed line', 'lead foot spins out'];

/** A turn is told where a thing frees it. */
function turnBuys(way: 'back' | 'through', turn: TurnBought | null, worked: boolean): string[] {
  if (!turn || !worked || turn.from >= turn.needed || turn.to - turn.from < 1) return [];
  const { to, needed, chanceTo } = turn;
  const [gets, need] = [angleFigure(to), angleFigure(needed)];
  const said = chanceTo === null ? null : chanceWords(chanceTo);
  if (to < needed || said === 'unlikely')
    return [`The hips get to about ${gets}. ${need} is still doubtful.`];
  const name = way === 'back' ? 'Backswing' : 'Through';
  const chance = said === null ? '' : `: ${said}${said === 'likely' ? ' enough' : ''}`;
  return [`${name} about ${gets}, ${need} needed${chance}.`];
}

/** A turn that the plan costs, where that is not left over. */
function turnCosts(way: 'back' | 'through', turn: TurnBought | null): string[] {
  if (!turn || turn.from - turn.to < COSTS_TURN || turn.to - turn.needed >= LEFT_OVER) return [];
  return [`It costs turn ${way}: about ${angleFigure(turn.to)} is left, ${angleFigure(turn.needed)} needed.`];
}

function pathBuys({ path }: ToldJudgement): string[] {
  if (!path) return [];
  const straighter = Math.abs(path.from) - Math.abs(path.to);
  if (straighter < 0.5) return [];
  return path.byEye
    ? ['The path comes straighter.']
    : [`Path about ${angleFigure(straighter)} straighter${bySimulation(path)}.`];
}

/** What else each thing brings, by the cause that it answers. */
function otherBuys(thing: ThingToDo, judgement: ToldJudgement): string[] {
  switch (thing.cause) {
    case 'sore joint':
      return [`The sore ${judgement.spares ?? 'joint'} has less to do.`];
    case 'too wide to post':
    case 'hips central':
      return ['The lead foot comes within reach.'];
    case 'trail knee outside':
      return ['The weight stays inside the trail foot.'];
    case 'trail knee stuck':
    case 'trail toes loaded':
      return ['The trail hip has room going back.'];
    case 'trail heel stuck':
      return ['The hips are free to come through.'];
    case 'turns too far':
      return ['A shorter turn, and the club stays in the hands.'];
    case 'pressure':
      return judgement.pressure ? [pressureBuys(judgement.pressure)] : [];
    case 'pitch stance':
      return ['The hips are held on purpose, and the club meets the ball first.'];
    case 'too much loft':
      return ['A strike that forgives more.'];
    default:
      return thing.thing === 'ball' && thing.figure === 'ballAlong'
        ? ['The strike comes back to the ball.']
        : [];
  }
}

/** Where a figure is put right and that brings nothing else to tell. */
const PUT_RIGHT = 'It stands where it should again.';

/**
 * What it buys, most important first, and then what it costs.
 * @param judgement the judgement
 * @param speech how the coach speaks of feet and lengths, and the student’s hand
 * @returns sentences; none where nothing is changed
 */
export function buysSentences(judgement: ToldJudgement, speech: Speech): string[] {
  const { things, back, through } = judgement;
  if (things.length === 0) return [];
  const works = (causes: readonly CauseName[]) => things.some(({ cause }) => causes.includes(cause));
  const told = [
    ...turnBuys('back', back, works(BACK)),
    ...turnBuys('through', through, works(THROUGH)),
    ...pathBuys(judgement),
    ...things.flatMap((thing) => otherBuys(thing, judgement)),
  ];
  const putRight = things.some(({ reason }) => reason === 'taught');
  const bought = told.length > 0 || !putRight ? told : [PUT_RIGHT];
  const costs = [...turnCosts('back', back), ...turnCosts('through', through)];
  return [...new Set([...bought, ...costs])].map((sentence) =>
    inFootWords(sentence, speech.feet, speech.hand),
  );
}

/**
 * What is left for another day, and what is not known yet beside it.
 * @param judgement the judgement
 * @param speech how the coach speaks of feet and lengths, and the student’s hand
 * @returns one sentence or more; empty where nothing waits
 */
export function waitsSentence(judgement: ToldJudgement, speech: Speech): string {
  const { waits, things, legsUntested, before, lookNext } = judgement;
  if (things.length === 0) return '';
  const waiting = [...new Set(waits.map((each) => waitWords(each, judgement)))];
  const list = new Intl.ListFormat('en', { type: 'conjunction' }).format(waiting);
  const told = [
    ...(waiting.length > 0 ? [`Still to do: ${list}.`] : []),
    ...(legsUntested && !before.includes('test the legs') ? ['The legs are not tested yet.'] : []),
    ...(lookNext ? [`That may not be all of it. ${LOOK_WORDS[lookNext]}`] : []),
  ];
  return inFootWords(told.join(' '), speech.feet, speech.hand);
}

/**
 * What a coach should know of how sure it is: shots and eye that do not say the same, and a first thing that could be another.
 * @param judgement the judgement
 * @returns sentences; none where neither is so
 */
export function doubtSentences({ path, closeCall, things }: ToldJudgement): string[] {
  const way = path && path.from > 0 ? 'in-to-out' : 'out-to-in';
  return [
    ...(path?.against
      ? [`The shots say ${way}, and what was seen says the other way. The shots count.`]
      : []),
    ...(closeCall && things.length > 0
      ? ['A close call: measured again, another thing could come first.']
      : []),
  ];
}

/** What a figure is needed for, where the method would have it otherwise. */
const NEEDED_FOR: Record<NonNullable<Parting['reason']>, string> = {
  taught: 'This body needs',
  kept: 'This body needs',
  turn: 'This body needs',
  path: 'For this path:',
  'own test': 'This student was found to need',
  seen: 'For what is seen in the swing:',
  caution: 'To spare what is sore or stiff:',
};

/**
 * Where this body needs what the method would not have.
 * @param judgement the judgement
 * @param speech how the coach speaks of feet and lengths, and the student’s hand
 * @returns one sentence a figure
 */
export const partingSentences = ({ partings }: ToldJudgement, speech: Speech): string[] =>
  partings.map((parting) => {
    const words = `${wantedWords(parting, speech.length)}. ${NEEDED_FOR[parting.reason ?? 'taught']} ${neededWords(parting, speech.length)}.`;
    return inFootWords(words, speech.feet, speech.hand);
  });

/** What the method, or what was agreed, has of a figure. */
function wantedWords({ item, low, high, own }: Parting, length: LengthUnit): string {
  const whose = own ? 'Agreed was' : 'Your method wants';
  if (item === 'hipBump')
    return `${whose} the hips between ${saidLength(low, length)} and ${saidLength(high, length)} toward the target`;
  const name = FIGURE_WORDS[item].name.toLowerCase();
  return `${whose} ${name} at ${bandWords(questionOf(item), { low: Math.round(low), high: Math.round(high) }, length)}`;
}

/** What is needed in its place. */
function neededWords({ item, needs }: Parting, length: LengthUnit): string {
  if (item === 'stanceLine') return questionFigure(item, Math.round(needs), length);
  if (item === 'hipBump') return inHalves(needs, length);
  return item === 'stanceWidth' ? saidLength(needs, length) : angleFigure(needs);
}

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
  if (item === 'leadHeelLift') return `lead heel up to ${saidLength(high, length)}`;
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

/**
 * A figure that was agreed with a student, as it is named in a sentence.
 * @param agreed the figure, mm, degrees or percent
 * @param speech how the coach speaks of feet and lengths, and the student’s hand
 * @returns words
 * @example agreedWords({ item: 'trailFlare', by: 'more', to: 25, today: false }, { length: 'cm', feet: 'lead and trail', hand: 'right' }) // 'trail flare 25°'
 */
export function agreedWords({ item, to }: AgreedFigure, { length, feet, hand }: Speech): string {
  const name = FIGURE_WORDS[item].name.toLowerCase();
  const figure = item === 'leadHeelLift' ? saidLength(to, length) : figureWords(questionOf(item), to, length);
  return inFootWords(`${name} ${figure}`, feet, hand);
}

/** Whole centimetres for the feet, and whatever else by its own words. */
const figureWords = (question: FigureQuestion, to: number, length: LengthUnit): string =>
  question === 'stanceWidth'
    ? saidLength(to, length)
    : questionFigure(question, isLine(question) ? Math.round(to) : to, length);
