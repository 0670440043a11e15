import type { Hand } from '../body';
import {
  LEVELS,
  LOOKS,
  OUTCOME_DEFINITIONS,
  type FactorialVerdict,
  type Comparison,
  type Effect,
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

const intervalWords = ({ outcome, interval }: Comparison, length: LengthUnit): string =>
  interval.map((end) => shotFigure(end, OUTCOME_DEFINITIONS[outcome].unit, length)).join(' and ');

/** So many times in a thousand, or fewer than one. */
const inThousand = (share: number): string => {
  const times = Math.round(1000 * share);
  if (times < 1) return 'less than once in 1000 times';
  return times === 1 ? 'once in 1000 times' : `${times} times in 1000`;
};

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
  const { count, p, exact, arrangements, chance, outcome } = comparison;
  const { unit } = OUTCOME_DEFINITIONS[outcome];
  const order = exact
    ? `Of all ${arrangements.toLocaleString('en')} orders these shots could have been dealt in`
    : `Of ${arrangements.toLocaleString('en')} orders drawn as these shots were`;
  return [
    `B was ${byHowMuch(comparison, length)} on average, ${byHowMuch({ outcome, difference: comparison.shift }, length)} by the median of all pairs: ${count.B} shots against ${count.A} of A.`,
    `The true difference is likely between ${intervalWords(comparison, length)} (95%, this look by itself; above 0 B is better).`,
    `${order}, B would look this good ${inThousand(p)} if the setup made no difference; at most ${inThousand(level)} was said to be enough beforehand.`,
    ...(chance === null
      ? []
      : [
          `That B is better by ${shotFigure(margin, unit, length)} or more: ${Math.round(100 * chance)} in 100, knowing nothing but these shots.`,
        ]),
  ];
}

const VERDICT_WORDS: Record<LookResult['because'], string> = {
  pain: 'Drop. It hurts more than before, and nothing that hurts is kept. Who hurts sees a doctor or physiotherapist.',
  better: 'Keep. Your own shots show that B is better.',
  worse: 'Drop. Your own shots show that B is worse.',
  unclear: 'Not yet. These shots do not tell B from A.',
  'never shown': 'Drop. So many shots did not show that B is better.',
  'not seen': 'Nothing to go by: what was declared to decide was not seen in these shots.',
};

/**
 * The verdict in a sentence or two.
 * @param look what the look came to
 * @returns words
 */
export function verdictSentence({ because, more, verdict }: LookResult): string {
  const words = VERDICT_WORDS[because];
  if (verdict !== 'not yet' || !more) return words;
  const next = `${more.toNextLook} more a side until the next look.`;
  const most = LOOKS[LOOKS.length - 1]!;
  if (more.inAll === null) return `${words} ${next}`;
  if (more.inAll > most) {
    return `${words} ${next} If the difference is what it looks like, about ${more.inAll} a side would show it; this trial ends at ${most}.`;
  }
  return `${words} ${next} If the difference is what it looks like, about ${more.inAll} a side would show it.`;
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
    `The true difference is likely between ${interval.map((end) => shotFigure(end, unit, length)).join(' and ')} (95%).`,
    `Of all ${(2 ** pairs).toLocaleString('en')} ways of swapping within the pairs, it would look this good ${inThousand(p)} if it did nothing; at most ${inThousand(level)} was said to be enough beforehand.`,
  ];
}

/**
 * What a trial that took changes apart came to.
 * @param verdict what it came to
 * @returns words
 */
export function factorialSentence({ because, effects }: FactorialVerdict): string {
  const helped = effects.filter((effect) => effect?.verdict === 'helps').length;
  switch (because) {
    case 'pain':
      return `▼ ${VERDICT_WORDS.pain}`;
    case 'better':
      return `● Keep what helped: ${helped === effects.length ? 'all of it' : `${helped} of ${effects.length}`}. Your own shots show it.`;
    case 'never shown':
      return '▼ Drop. These shots did not show that any of it helps.';
    case 'not seen':
      return `▼ ${VERDICT_WORDS['not seen']}`;
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
