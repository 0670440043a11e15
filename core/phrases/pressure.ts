import type { GoalName, ToldJudgement } from '../advice';
import { PRESSURE_REMEDIES } from '../balance/remedies';
import type { PatternSeen, PatternWay, PressurePattern } from '../setup';

const CLAUSES: Record<PressurePattern, string> = {
  'toe-ward going back': 'the weight goes to the toes going back',
  'toes early coming down': 'the weight is on the toes early coming down',
  'heel, then toes': 'the weight goes to the heels, then to the toes',
  reverse: 'the weight goes to the lead foot going back',
  'trail foot rolls outside': 'the trail foot rolls to its outside',
  'falls back': 'the weight falls back after the strike',
};

/**
 * A pattern as a sentence.
 * @param pattern which
 * @returns words in lead and trail
 * @example patternSentence('falls back') // 'The weight falls back after the strike.'
 */
export const patternSentence = (pattern: PressurePattern): string =>
  `${CLAUSES[pattern][0]!.toUpperCase()}${CLAUSES[pattern].slice(1)}.`;

/** How each way of seeing a pattern begins its sentence; an eye is not as sure as a mat. */
const SEEN: Record<PatternWay, (clause: string) => string> = {
  'simulated mat': (clause) => `On a simulated mat, ${clause}.`,
  file: (clause) => `On the mat, ${clause}.`,
  stripe: (clause) => `As far as the stripes show, ${clause}.`,
  finish: (clause) => `By the finish, ${clause}, it seems.`,
};

/**
 * A pattern with how it was seen.
 * @param seen the pattern, and whether a mat or an eye told it
 * @returns one sentence in lead and trail
 */
export const seenSentence = ({ pattern, way }: PatternSeen): string => SEEN[way](CLAUSES[pattern]);

/** What is thought of where a pattern is worked at. */
export const pressureCue = ({ pattern }: PatternSeen): string => PRESSURE_REMEDIES[pattern].cue;

/** What it brings to be rid of a pattern. */
export const pressureBuys = ({ pattern }: PatternSeen): string => PRESSURE_REMEDIES[pattern].buys;

/**
 * A path that is off and a pressure that is off, told as the pair they are.
 * @param judgement the judgement
 * @returns one sentence; empty where they are not both short
 */
export function pairSentence({ goals }: ToldJudgement): string {
  const isShort = (name: GoalName) => goals.some(({ goal, today }) => goal === name && today > 0);
  return isShort('path') && isShort('pressure')
    ? 'Path and pressure drag each other. Work at one at a time, the pressure first.'
    : '';
}
