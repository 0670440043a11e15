import type { CameFor, Hand } from '../body';
import { isByMat, type TellTale } from '../setup';
import { GOALS, type Case, type GoalName, type Thing } from './types';

/** A ball that starts to the lead side was pulled, to the trail side pushed. */
type Flight = 'starts lead' | 'starts trail';

/**
 * The goals that a complaint moves to the front (common practice, no source). No room to turn is behind most paths
 * across the ball, so that the turn stays before the path.
 */
const MOVED_BY_COMPLAINT: Record<
  Exclude<CameFor, 'starts right' | 'starts left'> | Flight,
  readonly GoalName[]
> = {
  'curves away': ['turn back', 'pressure', 'path'],
  'curves toward': ['too much turn', 'pressure', 'path'],
  'starts lead': ['turn back', 'pressure', 'path'],
  'starts trail': ['turn through', 'pressure', 'path'],
  'misses both ways': ['turn through', 'posting'],
  fat: ['posting', 'load', 'pressure', 'ball'],
  thin: ['posting', 'load', 'pressure', 'ball'],
  'swing too short': ['turn back'],
  'more distance': ['turn back', 'turn through'],
  'cannot turn back': ['turn back'],
  'cannot turn through': ['turn through'],
  'turns too far': ['too much turn'],
  'falls off balance': ['posting', 'load', 'pressure'],
  sore: ['sparing'],
  'just a check': [],
};

/** The things that serve each goal: a plan is made of those that serve one that is short (common practice, no source). */
export const SERVED_BY: Record<GoalName, readonly Thing[]> = {
  'turn back': ['trail foot', 'lead foot', 'line', 'lead heel up'],
  'turn through': ['lead foot', 'line', 'trail foot', 'trail foot release'],
  sparing: ['lead foot', 'trail foot'],
  posting: ['width', 'hips'],
  'too much turn': ['trail foot', 'line', 'shorter swing'],
  load: ['load', 'width'],
  pressure: ['pressure'],
  path: ['trail foot', 'line', 'shoulders', 'ball', 'load', 'face'],
  ball: ['ball'],
  feet: ['width', 'lead foot', 'trail foot', 'line'],
  knees: ['trail knee', 'hips'],
  hips: ['hips'],
  shoulders: ['shoulders', 'tilt'],
  hands: ['face'],
  swing: ['trail knee'],
  loft: ['less loft'],
};

interface TellTaleMeans {
  goal: GoalName;
  /** What a coach does about it: any of them takes it away. */
  by: readonly Thing[];
}

/** What each tell-tale says is short, and what is done about it (common practice, no source). */
export const TELL_TALE_MEANS: Partial<Record<TellTale, TellTaleMeans>> = {
  'shoulders tip down, arms lift': { goal: 'turn back', by: ['trail foot', 'line'] },
  'trail heel stuck down': { goal: 'turn through', by: ['trail foot release'] },
  'lead foot spins out': { goal: 'turn through', by: ['lead foot'] },
  'slides without turning': { goal: 'posting', by: ['width', 'hips'] },
  'falls back': { goal: 'posting', by: ['width'] },
  sways: { goal: 'knees', by: ['trail knee', 'hips'] },
  'trail foot rolls outside': { goal: 'load', by: ['load', 'trail knee'] },
  'flat, then steep': { goal: 'load', by: ['load'] },
  'stands up': { goal: 'load', by: ['load'] },
  'flips the hands': { goal: 'load', by: ['load', 'width'] },
};

/** Goals a tell-tale moves to the front besides the one it says is short. */
const MOVED_BY_TELL_TALE: Partial<Record<TellTale, readonly GoalName[]>> = {
  'loses the club at the top': ['too much turn'],
  'over the top': ['turn back', 'path'],
};

/** Which way the ball starts for this hand: a right-hander's lead side is the left. */
const startsLead = (side: 'starts right' | 'starts left', hand: Hand): boolean =>
  (side === 'starts left') === (hand === 'right');

const complaintKey = (complaint: CameFor, hand: Hand): keyof typeof MOVED_BY_COMPLAINT => {
  if (complaint !== 'starts right' && complaint !== 'starts left') return complaint;
  return startsLead(complaint, hand) ? 'starts lead' : 'starts trail';
};

/**
 * The goals in the order of one case: what the student came for and what is seen in the swing come first, each in
 * their usual order, then the rest. The path stands at its usual place where nothing tells it, the pressure where no mat
 * does.
 * @param given the complaints, the tell-tales, the hand and what was seen of the pressure
 * @param pathTold whether shots or the ball's flight tell the path
 * @returns every goal once
 */
export function goalsInOrder(
  { cameFor, hand, setup, pressure }: Pick<Case, 'cameFor' | 'hand' | 'setup' | 'pressure'>,
  pathTold: boolean,
): GoalName[] {
  const seen = setup.posture?.tellTales ?? [];
  const moved = new Set<GoalName>([
    ...cameFor.flatMap((complaint) => MOVED_BY_COMPLAINT[complaintKey(complaint, hand)]),
    ...seen.flatMap((tale) => MOVED_BY_TELL_TALE[tale] ?? TELL_TALE_MEANS[tale]?.goal ?? []),
  ]);
  if (!pathTold) moved.delete('path');
  // What an eye saw without a mat is not sure enough to come before the rest.
  if (!pressure || !isByMat(pressure)) moved.delete('pressure');
  return [...GOALS.filter((goal) => moved.has(goal)), ...GOALS.filter((goal) => !moved.has(goal))];
}
