import type { Hand } from '../body';
import type { PredictedPath } from '../path';
import {
  TRIAL_LOOKS,
  OUTCOME_DEFINITIONS,
  type FactorialVerdict,
  type Comparison,
  type Effect,
  type Interval,
  type MissPattern,
  type Outcome,
  type Side,
  type LookResult,
} from '../trial';
import { plural, rounded, shotFigure, type ShotUnit, type Units } from '../units';

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
  units: Units,
): string {
  const { unit } = OUTCOME_DEFINITIONS[outcome];
  const { better, worse } = OUTCOME_WORDS[outcome];
  const size = shotFigure(Math.abs(difference), unit, units);
  return `${size} ${difference >= 0 ? better : worse}`;
}

/** A path with so many decimals and its way; straight where those decimals show nothing. */
function whichWay(path: number, decimals: number): string {
  const size = Math.abs(path).toFixed(decimals);
  return Number(size) === 0 ? 'straight' : `${size}° ${path > 0 ? 'in-to-out' : 'out-to-in'}`;
}

/** A decimal only where a predicted path is known to less than half a degree. */
const pathDecimals = ({ deviation, guess }: Pick<PredictedPath, 'deviation' | 'guess'>): number =>
  guess || deviation >= 0.5 ? 0 : 1;

/**
 * A path's angle with its way; in-to-out positive.
 * @param path degrees
 * @returns words
 * @example pathWords(-2) // '2.0° out-to-in'
 */
export const pathWords = (path: number): string => whichWay(path, 1);

/**
 * Where these feet likely send the club, in a few words: a guess in whole degrees and called one, else to the tenth.
 * @param path predicted, degrees in-to-out positive
 * @returns words, with one standard deviation
 * @example pathFigure({ value: -6.2, deviation: 4.1, guess: true }) // 'path about 6° out-to-in ± 4°, a guess'
 */
export function pathFigure(path: Pick<PredictedPath, 'value' | 'deviation' | 'guess'>): string {
  const { value, deviation, guess } = path;
  const decimals = pathDecimals(path);
  const sure = rounded(Math.max(decimals === 0 ? 1 : 0.1, deviation), decimals);
  return `path ${guess ? 'about ' : ''}${whichWay(value, decimals)} ± ${sure}°${guess ? ', a guess' : ''}`;
}

/**
 * The same on the plan, where there is room for few words: a decimal only where it is known to less than half a degree.
 * @param path predicted, degrees in-to-out positive
 * @param simulated whether the shots behind it are
 * @returns words
 * @example pathOnPlan({ value: -3.3, deviation: 0.8, guess: false }, true) // 'path 3° out-to-in, simulated'
 */
export function pathOnPlan(
  path: Pick<PredictedPath, 'value' | 'deviation' | 'guess'>,
  simulated: boolean,
): string {
  const where = whichWay(path.value, pathDecimals(path));
  return `path ${where}${simulated ? ', simulated' : path.guess ? ', a guess' : ''}`;
}

/**
 * The same in sentences, with where it almost always lies.
 * @param path predicted, degrees in-to-out positive
 * @returns words
 */
export function pathSentence(path: PredictedPath): string {
  const [least, most] = path.interval.map((end) => whichWay(Math.round(end), 0));
  return `these feet give a ${pathFigure(path)}. Almost always it lies between ${least} and ${most}.`;
}

/**
 * Where a true difference likely lies, in a sentence; what the shots do not bound has no bound.
 * @param interval its ends, null where there is none
 * @param unit of the ends
 * @param units the coach’s, each quantity by itself
 * @returns words
 * @example intervalSentence([null, 3], 'degrees', { length: 'cm', distance: 'metres', speed: 'miles an hour' }) // 'The true difference is likely at most 3.0°. How far below, these shots do not say.'
 */
export function intervalSentence([least, most]: Interval, unit: ShotUnit, units: Units): string {
  const figure = (end: number) => shotFigure(end, unit, units);
  if (least !== null && most !== null)
    return `The true difference is likely between ${figure(least)} and ${figure(most)}.`;
  if (least !== null)
    return `The true difference is likely at least ${figure(least)}. How far above, these shots do not say.`;
  if (most !== null)
    return `The true difference is likely at most ${figure(most)}. How far below, these shots do not say.`;
  return 'So few blocks set no bounds to the true difference.';
}

/**
 * An interval in figures; an end that the shots do not bound is a dash.
 * @param interval its ends, null where there is none
 * @param unit of the ends
 * @param units the coach’s, each quantity by itself
 * @returns words
 * @example intervalFigures([1, null], 'degrees', { length: 'cm', distance: 'metres', speed: 'miles an hour' }) // '1.0° to no bound'
 */
export const intervalFigures = (interval: Interval, unit: ShotUnit, units: Units): string =>
  interval.map((end) => (end === null ? 'no bound' : shotFigure(end, unit, units))).join(' to ');

/**
 * How many of how many, of a setup's shots.
 * @param comparison of an outcome that a shot shows or does not
 * @param arm which setup
 * @returns words
 */
export const howMany = ({ count, mean }: Pick<Comparison, 'count' | 'mean'>, arm: 'A' | 'B'): string =>
  `${Math.round(mean[arm] * count[arm])} of ${count[arm]}`;

/** What was seen of each setup. */
function seenSentences(comparison: Comparison, units: Units): string[] {
  const { outcome, count, shift } = comparison;
  if (shift === null)
    return [
      `${OUTCOME_WORDS[outcome].name} with B: ${howMany(comparison, 'B')}.`,
      `With A: ${howMany(comparison, 'A')}.`,
    ];
  return [
    `B was ${byHowMuch(comparison, units)} on average.`,
    `By the median of all pairs, ${byHowMuch({ outcome, difference: shift }, units)}.`,
    `It rests on ${count.B} shots with B and ${count.A} with A.`,
  ];
}

/** A share as so many times in a hundred; finer only where it is small. */
function inHundred(share: number): string {
  const times = 100 * share;
  if (Math.round(10 * times) < 10) return `${times.toFixed(1)} times in 100`;
  return plural(Math.round(times), 'once in 100', `${Math.round(times)} times in 100`);
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
 * @param units the coach’s, each quantity by itself
 * @returns one sentence after another
 */
export function evidenceSentences(
  comparison: Comparison,
  margin: number,
  level: number,
  units: Units,
): string[] {
  const { p, chance, outcome, interval } = comparison;
  const { unit } = OUTCOME_DEFINITIONS[outcome];
  return [
    ...seenSentences(comparison, units),
    intervalSentence(interval, unit, units),
    'Sure to 95%. Above 0, B is better.',
    luckSentence(p, level),
    ...(chance === null
      ? []
      : [
          `${Math.round(100 * chance)}% likely to be worth having: ${shotFigure(margin, unit, units)} or more.`,
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
      return `Not shown. T${these.slice(1)} leave open whether B is better. The old setup stays unless you say otherwise.`;
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
    const most = TRIAL_LOOKS.full.shots.at(-1)!;
    words.push(`If the difference is real, about ${more.inAll} a side would show it.`);
    if (more.toNextLook > 0 && more.inAll > most) words.push(`This trial ends at ${most}.`);
  }
  return words.join(' ');
}

/**
 * What one of several changes did by itself.
 * @param effect of the change
 * @param outcome what was declared to decide
 * @param level of each change
 * @param units the coach’s, each quantity by itself
 * @returns one sentence after another
 */
export function effectSentences(
  { difference, interval, p, pairs, verdict }: Effect,
  outcome: Outcome,
  level: number,
  units: Units,
): string[] {
  const { unit } = OUTCOME_DEFINITIONS[outcome];
  const { better, worse } = OUTCOME_WORDS[outcome];
  const says = {
    helps: 'It helps.',
    hurts: 'It hurts.',
    'not shown': 'Neither help nor harm was shown.',
  }[verdict];
  return [
    `${says} With it ${shotFigure(Math.abs(difference), unit, units)} ${difference >= 0 ? better : worse} on average. ${pairs} pairs of blocks differ in it alone.`,
    intervalSentence(interval, unit, units),
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
 * @param chances one for each look of a full trial, 0 to 1
 * @param margin in words
 * @returns words
 */
export function planSentence(chances: readonly number[], margin: string): string {
  const { shots, levels } = TRIAL_LOOKS.full;
  const said = chances.map((chance, at) => `${Math.round(100 * chance)}% by ${shots[at]!} a side.`);
  const enough = chances.findIndex((chance) => chance >= 0.8);
  const end =
    enough < 0
      ? `It may well not show in ${shots.at(-1)!} a side. A larger difference, or less scatter, is easier to see.`
      : `Plan for ${shots[enough]!} a side.`;
  const luck = Math.round(100 * levels.reduce((sum, level) => sum + level, 0));
  return `If B is better by ${margin}, such trials show it this often. ${said.join(' ')} ${end} With no difference, luck would fool us ${luck} times in 100 at most.`;
}

/** So many scatters of a shot a quick try shows four times in five: by simulation, see the tests. */
const QUICK_SHOWS = 1.7;

/**
 * What so few shots can show, said before they are hit.
 * @param scatter one standard deviation of a shot, in its unit
 * @param unit of the scatter
 * @param units the coach’s, each quantity by itself
 * @returns words
 */
export const quickSentence = (scatter: number, unit: ShotUnit, units: Units): string =>
  unit === 'of shots'
    ? 'Five and five show only a large change. Say, one with A and all five with B.'
    : `Five and five show only a large change: ${shotFigure(QUICK_SHOWS * scatter, unit, units)}, four times in five.`;

/**
 * The miss pattern in a sentence.
 * @param pattern the misses counted
 * @param hand the student’s
 * @returns words
 */
export function missSentence({ pattern, near, far, shots, side, interval }: MissPattern, hand: Hand): string {
  if (pattern === 'no misses') return `No misses in ${shots} shots.`;
  const to = sideWords(side, hand);
  const counted = `${near + far} misses in ${shots} shots. ${near} ${sideWords('near', hand)}, ${far} ${sideWords('far', hand)}.`;
  const [least, most] = interval.map((end) => Math.round(100 * end));
  const sure = `Likely ${least} to ${most}% of misses go ${to}.`;
  const says = {
    'one way': `Misses go one way, ${to}.`,
    'both ways': 'Misses go both ways.',
    'not clear yet': 'One way or both is not clear yet.',
  }[pattern];
  return `${says} ${counted} ${sure}`;
}
