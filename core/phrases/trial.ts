import type { Hand } from '../body';
import type { PredictedPath } from '../path';
import {
  LEVELS,
  LOOKS,
  OUTCOME_DEFINITIONS,
  type FactorialVerdict,
  type Comparison,
  type Effect,
  type Interval,
  type MissPattern,
  type Outcome,
  type ShotUnit,
  type Side,
  type LookResult,
} from '../trial';
import type { LengthUnit } from '../units';

/** What each outcome is called, and what more of it is. */
export const OUTCOME_WORDS: Record<Outcome, { name: string; better: string; worse: string }> = {
  'straight path': { name: 'Path, how straight', better: 'straighter', worse: 'less straight' },
  'start line': { name: 'Start line, how near the target', better: 'nearer', worse: 'further off' },
  'nearness to the line': {
    name: 'Where it came down, how near the line',
    better: 'nearer',
    worse: 'further off',
  },
  carry: { name: 'Carry', better: 'longer', worse: 'shorter' },
  'club speed': { name: 'Club speed', better: 'faster', worse: 'slower' },
  'started on line': { name: 'Started on line', better: 'more', worse: 'fewer' },
  'flew straight': { name: 'Flew straight', better: 'more', worse: 'fewer' },
  'clean strike': { name: 'Clean strike', better: 'more', worse: 'fewer' },
  'balance held': { name: 'Balance held', better: 'more', worse: 'fewer' },
  'turn felt': { name: 'Turn felt', better: 'more', worse: 'less' },
};

/** International yard and mile, exact since 1959. */
const YARD = 0.9144;
const MILE_AN_HOUR = 0.44704;

const minus = (text: string): string => text.replace('-', '\u2212');

/**
 * A shot's figure in the coach's units: yards and miles an hour go with inches.
 * @param value in the unit
 * @param unit of the value
 * @param length the coach’s unit of length
 * @returns words
 * @example shotFigure(100, 'metres', 'inches') // '109 yd'
 */
export function shotFigure(value: number, unit: ShotUnit, length: LengthUnit): string {
  const imperial = length === 'inches';
  switch (unit) {
    case 'degrees':
      return `${minus(value.toFixed(1))}°`;
    case 'metres':
      return imperial ? `${minus((value / YARD).toFixed(0))} yd` : `${minus(value.toFixed(0))} m`;
    case 'metres a second':
      return imperial ? `${minus((value / MILE_AN_HOUR).toFixed(1))} mph` : `${minus(value.toFixed(1))} m/s`;
    case 'of shots':
      return `${minus((100 * value).toFixed(0))} in 100`;
  }
}

/** A margin as it is typed, and back: the number that goes with the unit. */
export const shotNumber = {
  shown(value: number, unit: ShotUnit, length: LengthUnit): number {
    const per = { degrees: 1, metres: YARD, 'metres a second': MILE_AN_HOUR, 'of shots': 0.01 }[unit];
    return length === 'inches' || unit === 'of shots' ? value / per : value;
  },
  stored(value: number, unit: ShotUnit, length: LengthUnit): number {
    const per = { degrees: 1, metres: YARD, 'metres a second': MILE_AN_HOUR, 'of shots': 0.01 }[unit];
    return length === 'inches' || unit === 'of shots' ? value * per : value;
  },
  unit(unit: ShotUnit, length: LengthUnit): string {
    const imperial = length === 'inches';
    if (unit === 'metres') return imperial ? 'yd' : 'm';
    if (unit === 'metres a second') return imperial ? 'mph' : 'm/s';
    return unit === 'degrees' ? '°' : 'in 100';
  },
};

/**
 * Which way a side is for this hand: away from a right-hander is right.
 * @param side near is the golfer’s own side
 * @param hand the student’s
 * @returns the side
 * @example sideWords('far', 'left') // 'left'
 */
export const sideWords = (side: Exclude<Side, 'none'>, hand: Hand): 'left' | 'right' =>
  (side === 'far') === (hand === 'right') ? 'right' : 'left';

/** How much better or worse B is, in words. */
function byHowMuch(
  { outcome, difference }: Pick<Comparison, 'outcome' | 'difference'>,
  length: LengthUnit,
): string {
  const { unit } = OUTCOME_DEFINITIONS[outcome];
  const { better, worse } = OUTCOME_WORDS[outcome];
  const size = shotFigure(Math.abs(difference), unit, length);
  return `${size} ${difference >= 0 ? better : worse}`;
}

/**
 * A path's angle with its way; in-to-out positive.
 * @param path degrees
 * @returns words
 * @example pathWords(-2) // '2.0° out-to-in'
 */
export function pathWords(path: number): string {
  const size = Math.abs(path).toFixed(1);
  if (size === '0.0') return 'straight';
  return `${size}° ${path > 0 ? 'in-to-out' : 'out-to-in'}`;
}

/**
 * Where these feet likely send the club, in a few words: a guess in whole degrees and called one, else to the tenth.
 * @param path predicted, degrees in-to-out positive
 * @returns words, with one standard deviation
 * @example pathFigure({ value: -6.2, deviation: 4.1, guess: true }) // 'path about 6° out-to-in ± 4°, a guess'
 */
export function pathFigure({
  value,
  deviation,
  guess,
}: Pick<PredictedPath, 'value' | 'deviation' | 'guess'>): string {
  if (!guess) return `path ${pathWords(value)} ± ${deviation.toFixed(1)}°`;
  const size = Math.round(Math.abs(value));
  const where = size === 0 ? 'straight' : `${size}° ${value > 0 ? 'in-to-out' : 'out-to-in'}`;
  return `path about ${where} ± ${Math.max(1, Math.round(deviation))}°, a guess`;
}

/**
 * The same as a sentence, with where 95% lie.
 * @param path predicted, degrees in-to-out positive
 * @returns words
 */
export function pathSentence(path: PredictedPath): string {
  const [least, most] = path.interval.map(pathWords);
  return `these feet give a ${pathFigure(path)} (95%: ${least} to ${most}).`;
}

/**
 * Where a true difference likely lies, in a sentence; what the shots do not bound has no bound.
 * @param interval its ends, null where there is none
 * @param unit of the ends
 * @param length the coach’s unit of length
 * @param note said in brackets behind it
 * @returns words
 * @example intervalSentence([null, 3], 'degrees', 'cm', '95%') // 'The true difference is likely at most 3.0°; how far below that, these shots do not say (95%).'
 */
export function intervalSentence(
  [least, most]: Interval,
  unit: ShotUnit,
  length: LengthUnit,
  note: string,
): string {
  const figure = (end: number) => shotFigure(end, unit, length);
  if (least !== null && most !== null)
    return `The true difference is likely between ${figure(least)} and ${figure(most)} (${note}).`;
  if (least !== null)
    return `The true difference is likely at least ${figure(least)}; how far above that, these shots do not say (${note}).`;
  if (most !== null)
    return `The true difference is likely at most ${figure(most)}; how far below that, these shots do not say (${note}).`;
  return `So few blocks set no bounds to the true difference (${note}).`;
}

/**
 * An interval in figures; an end that the shots do not bound is a dash.
 * @param interval its ends, null where there is none
 * @param unit of the ends
 * @param length the coach’s unit of length
 * @returns words
 * @example intervalFigures([1, null], 'degrees', 'cm') // '1.0° to no bound'
 */
export const intervalFigures = (interval: Interval, unit: ShotUnit, length: LengthUnit): string =>
  interval.map((end) => (end === null ? 'no bound' : shotFigure(end, unit, length))).join(' to ');

/**
 * How many of how many, of a setup's shots.
 * @param comparison of an outcome that a shot shows or does not
 * @param arm which setup
 * @returns words
 */
export const howMany = ({ count, mean }: Pick<Comparison, 'count' | 'mean'>, arm: 'A' | 'B'): string =>
  `${Math.round(mean[arm] * count[arm])} of ${count[arm]}`;

/** What was seen of each setup. */
function seenSentence(comparison: Comparison, length: LengthUnit): string {
  const { outcome, count, shift } = comparison;
  if (shift === null)
    return `${OUTCOME_WORDS[outcome].name}: ${howMany(comparison, 'B')} with B, ${howMany(comparison, 'A')} with A.`;
  return `B was ${byHowMuch(comparison, length)} on average, ${byHowMuch({ outcome, difference: shift }, length)} by the median of all pairs: ${count.B} shots against ${count.A} of A.`;
}

/** A share as so many times in a hundred; finer only where it is small. */
function inHundred(share: number): string {
  const times = 100 * share;
  if (Math.round(10 * times) < 10) return `${times.toFixed(1)} times in 100`;
  return Math.round(times) === 1 ? 'once in 100' : `${Math.round(times)} times in 100`;
}

/** What luck alone would show, against what was agreed on before a shot was hit. */
function luckSentence(p: number, level: number): string {
  const luck =
    p < 0.001 ? 'Luck alone hardly ever looks this good.' : `Luck alone looks this good ${inHundred(p)}.`;
  return `${luck} We had said under ${(100 * level).toFixed(1)}.`;
}

/**
 * What was seen, with what it rests on; for a student who doubts as it stands.
 * @param comparison of the two setups
 * @param margin the difference worth having
 * @param level of the look
 * @param length the coach’s unit of length
 * @returns one sentence after another
 */
export function evidenceSentences(
  comparison: Comparison,
  margin: number,
  level: number,
  length: LengthUnit,
): string[] {
  const { p, chance, outcome, interval } = comparison;
  const { unit } = OUTCOME_DEFINITIONS[outcome];
  return [
    seenSentence(comparison, length),
    intervalSentence(interval, unit, length, '95%, this look by itself; above 0 B is better'),
    luckSentence(p, level),
    ...(chance === null
      ? []
      : [
          `${Math.round(100 * chance)}% likely to be worth having: ${shotFigure(margin, unit, length)} or more.`,
        ]),
  ];
}

/** Whose shots a sentence speaks of: a student's own are never confused with simulated ones. */
const SHOTS_WORDS = {
  own: { your: 'Your own shots', these: 'these shots' },
  simulated: { your: 'The simulated shots', these: 'these simulated shots' },
};

/** Why a verdict is what it is, in words that say whose shots they were. */
function verdictWords(because: LookResult['because'], simulated: boolean): string {
  const { your, these } = SHOTS_WORDS[simulated ? 'simulated' : 'own'];
  switch (because) {
    case 'pain':
      return 'Drop. It hurts more than before, and nothing that hurts is kept. If it hurts, stop. Doctor or physio first.';
    case 'better':
      return `Keep. ${your} show that B is better.`;
    case 'worse':
      return `Drop. ${your} show that B is worse.`;
    case 'unclear':
      return `Not yet. T${these.slice(1)} do not tell B from A.`;
    case 'never shown':
      return `Not shown. T${these.slice(1)} leave open whether B is better; the old setup stays unless you say otherwise.`;
    case 'not seen':
      return `Nothing to go by: what was declared to decide was not seen in ${these}.`;
  }
}

/**
 * The verdict in a sentence or two.
 * @param look what the look came to
 * @param simulated whether a simulated student hit the shots
 * @returns words
 */
export function verdictSentence({ because, more }: LookResult, simulated: boolean): string {
  const words = [verdictWords(because, simulated)];
  if (more && more.toNextLook > 0) words.push(`${more.toNextLook} more a side until the next look.`);
  if (more && more.inAll !== null) {
    const most = LOOKS[LOOKS.length - 1]!;
    const end = more.toNextLook > 0 && more.inAll > most ? `; this trial ends at ${most}` : '';
    words.push(`If the difference is what it looks like, about ${more.inAll} a side would show it${end}.`);
  }
  return words.join(' ');
}

/**
 * What one of several changes did by itself.
 * @param effect of the change
 * @param outcome what was declared to decide
 * @param level of each change
 * @param length the coach’s unit of length
 * @returns one sentence after another
 */
export function effectSentences(
  { difference, interval, p, pairs, verdict }: Effect,
  outcome: Outcome,
  level: number,
  length: LengthUnit,
): string[] {
  const { unit } = OUTCOME_DEFINITIONS[outcome];
  const { better, worse } = OUTCOME_WORDS[outcome];
  const says = {
    helps: 'It helps.',
    hurts: 'It hurts.',
    'not shown': 'Neither help nor harm was shown.',
  }[verdict];
  return [
    `${says} With it ${shotFigure(Math.abs(difference), unit, length)} ${difference >= 0 ? better : worse} on average, in ${pairs} pairs of blocks that differ in it alone.`,
    intervalSentence(interval, unit, length, '95%'),
    luckSentence(p, level),
  ];
}

/**
 * What a trial that took changes apart came to.
 * @param verdict what it came to
 * @param simulated whether a simulated student hit the shots
 * @returns words
 */
export function factorialSentence({ because, effects }: FactorialVerdict, simulated: boolean): string {
  const { your, these } = SHOTS_WORDS[simulated ? 'simulated' : 'own'];
  const helped = effects.filter((effect) => effect?.verdict === 'helps').length;
  switch (because) {
    case 'better':
      return `● Keep what helped: ${helped === effects.length ? 'all of it' : `${helped} of ${effects.length}`}. ${your} show it.`;
    case 'worse':
      return `▼ Drop. ${your} show harm, and no help.`;
    case 'never shown':
      return `◐ Not shown. T${these.slice(1)} leave open whether any of it helps; the old setup stays.`;
    case 'pain':
      return `▼ ${verdictWords(because, simulated)}`;
    case 'not seen':
      return `◐ ${verdictWords(because, simulated)}`;
  }
}

/**
 * Why so many shots: how often each look would show what is worth having.
 * @param chances one for each look, 0 to 1
 * @param margin in words
 * @returns words
 */
export function planSentence(chances: readonly number[], margin: string): string {
  const said = chances.map((chance, at) => `${Math.round(100 * chance)} in 100 by ${LOOKS[at]!} a side`);
  const enough = chances.findIndex((chance) => chance >= 0.8);
  const end =
    enough < 0
      ? `It may well not show in ${LOOKS[LOOKS.length - 1]!} a side: a larger difference, or a less scattered outcome, is easier to see.`
      : `Plan for ${LOOKS[enough]!} a side.`;
  return `If B is better by ${margin}, such trials show it ${said.join(', ')}. ${end} With nothing there, ${Math.round(100 * LEVELS.reduce((sum, level) => sum + level, 0))} in 100 at the very most are kept by chance, all looks together.`;
}

/**
 * The miss pattern in a sentence.
 * @param pattern the misses counted
 * @param hand the student’s
 * @returns words
 */
export function missSentence(
  { pattern, near, far, shots, side, share, interval }: MissPattern,
  hand: Hand,
): string {
  if (pattern === 'no misses') return `No misses in ${shots} shots.`;
  const to = sideWords(side, hand);
  const counted = `${near + far} misses in ${shots} shots: ${near} ${sideWords('near', hand)}, ${far} ${sideWords('far', hand)}`;
  const sure = `${Math.round(100 * share)} in 100 go ${to} (95%: ${Math.round(100 * interval[0])} to ${Math.round(100 * interval[1])})`;
  const says = {
    'one way': `Misses go one way, ${to}.`,
    'both ways': 'Misses go both ways.',
    'not clear yet': 'One way or both is not clear yet.',
  }[pattern];
  return `${says} ${counted}; ${sure}.`;
}
