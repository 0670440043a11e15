import type { ToldJudgement } from '../advice';
import { PRESSURE_REMEDIES } from '../balance/remedies';
import type { PatternTold, RouteMark } from '../balance/route';
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

/** When in the swing, as it begins a sentence. */
const WHEN: Record<RouteMark, string> = {
  address: 'At address',
  'half back': 'Halfway back',
  top: 'At the top',
  'early down': 'Early down',
  impact: 'At the strike',
  finish: 'At the finish',
};

/** Where the load is and where it should be, for each pattern. */
const LEAVES: Record<PressurePattern, (found: string, usual: string) => string> = {
  'toe-ward going back': (found, usual) =>
    `the trail foot bears at ${found} from its heel; the route has ${usual}.`,
  'toes early coming down': (found, usual) =>
    `both feet bear at ${found} from the heel; the route has ${usual}.`,
  'heel, then toes': (found, usual) => `both feet bear at ${found} from the heel; the route has ${usual}.`,
  reverse: (found, usual) => `the lead foot carries ${found}; the route has ${usual}.`,
  'trail foot rolls outside': (found, usual) =>
    `the trail foot bears at ${found} from its inside; it stood at ${usual}.`,
  'falls back': (found, usual) => `the lead foot carries ${found}; at the strike it had ${usual}.`,
};

/**
 * Where and when a pattern leaves the route, against where the route has the load.
 * @param told the pattern with where it leaves, percent
 * @returns one sentence in lead and trail
 */
export const leavesSentence = ({ pattern, leaves: { at, found, usual } }: PatternTold): string =>
  `${WHEN[at]}, ${LEAVES[pattern](`${Math.round(found)}%`, `${Math.round(usual)}%`)}`;

/** What is thought of where a pattern is worked at. */
export const pressureCue = ({ pattern }: PatternSeen): string => PRESSURE_REMEDIES[pattern].cue;

/** How sure a sentence is that rests on what was seen: a mat that is one says no more. */
const AS_SEEN: Record<PatternWay, string> = {
  'simulated mat': ', by a simulated mat',
  file: '',
  stripe: ', as far as an eye saw',
  finish: ', as far as an eye saw',
};

/** What it brings to be rid of a pattern, and by what that is told. */
export const pressureBuys = ({ pattern, way }: PatternSeen): string =>
  `${PRESSURE_REMEDIES[pattern].buys.slice(0, -1)}${AS_SEEN[way]}.`;

/**
 * A path that is off and a pressure that is off, told as the pair they are.
 * @param judgement the judgement
 * @returns one sentence; empty where they are not both off
 */
export function pairSentence({ things, waits, path }: ToldJudgement): string {
  const worked = [...things, ...waits].some(({ cause }) => cause === 'pressure');
  return worked && path && Math.abs(path.from) >= 1
    ? 'Path and pressure drag each other. Work at one at a time, the pressure first.'
    : '';
}
