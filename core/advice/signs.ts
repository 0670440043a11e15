import type { CameFor, Hand, Remedy } from '../body';
import { hasRemedy } from '../body/facts';
import { isByMat, type TellTale } from '../setup';
import { CONCERNS, type Case, type Concern } from './types';

/** A ball that starts to the lead side was pulled, to the trail side pushed. */
type Flight = 'starts lead' | 'starts trail';
type Complaint = Exclude<CameFor, 'starts right' | 'starts left'> | Flight;

/** What is seen or complained of: which concerns it brings to the front, and which way its remedies go. */
interface Sign {
  concerns: readonly Concern[];
  remedies: readonly Remedy[];
}

const more = (item: Remedy['item']): Remedy => ({ item, by: 'more' });
const less = (item: Remedy['item']): Remedy => ({ item, by: 'less' });

const ROOM_BACK = [more('trailFlare'), more('stanceLine')];
const LESS_ROOM = [less('trailFlare'), less('stanceLine'), less('leadFlare')];
const OFF_THE_TOES = [less('leadHeelToe'), less('trailHeelToe')];
const SET_FORWARD = [less('stanceWidth'), more('hipBump'), more('trailKneeInside')];

/**
 * Complaints (common practice, no source). No room to turn is behind most paths across the ball, so that the turn stays
 * before the path.
 */
const COMPLAINTS: Record<Complaint, Sign> = {
  'curves away': { concerns: ['turn back', 'pressure', 'path'], remedies: [] },
  'curves toward': { concerns: ['too much turn', 'pressure', 'path'], remedies: [] },
  'starts lead': { concerns: ['turn back', 'pressure', 'path'], remedies: [] },
  'starts trail': { concerns: ['turn through', 'pressure', 'path'], remedies: [] },
  'misses both ways': { concerns: ['turn through', 'posting'], remedies: [] },
  fat: { concerns: ['posting', 'load', 'pressure', 'ball'], remedies: [] },
  thin: { concerns: ['posting', 'load', 'pressure', 'ball'], remedies: [] },
  'swing too short': { concerns: ['turn back'], remedies: ROOM_BACK },
  'more distance': { concerns: ['turn back', 'turn through'], remedies: [] },
  'cannot turn back': { concerns: ['turn back'], remedies: ROOM_BACK },
  'cannot turn through': { concerns: ['turn through'], remedies: [more('leadFlare')] },
  'turns too far': { concerns: ['too much turn'], remedies: LESS_ROOM },
  'falls off balance': { concerns: ['posting', 'load', 'pressure'], remedies: [] },
  sore: { concerns: ['sparing'], remedies: [] },
  'just a check': { concerns: [], remedies: [] },
};

/** Tell-tales, each with the way of its remedies (common practice, no source). */
const TELL_TALES: Record<TellTale, Sign> = {
  'shoulders tip down, arms lift': { concerns: ['turn back'], remedies: ROOM_BACK },
  sways: { concerns: ['posting'], remedies: SET_FORWARD },
  'trail foot rolls outside': { concerns: ['knees', 'load'], remedies: [more('trailKneeInside')] },
  'flat, then steep': { concerns: ['load'], remedies: [more('leadHeelToe'), more('trailHeelToe')] },
  'loses the club at the top': { concerns: ['too much turn'], remedies: LESS_ROOM },
  'over the top': { concerns: ['turn back', 'path'], remedies: [] },
  'stands up': { concerns: ['load'], remedies: OFF_THE_TOES },
  'slides without turning': { concerns: ['posting'], remedies: SET_FORWARD },
  'flips the hands': { concerns: ['load', 'posting'], remedies: OFF_THE_TOES },
  'trail heel stuck down': { concerns: ['turn through'], remedies: [] },
  'lead foot spins out': { concerns: ['turn through'], remedies: [more('leadFlare')] },
  'falls back': { concerns: ['posting'], remedies: [less('stanceWidth')] },
};

/** Which way the ball starts for this hand: a right-hander's lead side is the left. */
const startsLead = (side: 'starts right' | 'starts left', hand: Hand): boolean =>
  (side === 'starts left') === (hand === 'right');

const complaintKey = (complaint: CameFor, hand: Hand): Complaint => {
  if (complaint !== 'starts right' && complaint !== 'starts left') return complaint;
  return startsLead(complaint, hand) ? 'starts lead' : 'starts trail';
};

const signsOf = ({ cameFor, hand, setup }: Pick<Case, 'cameFor' | 'hand' | 'setup'>): Sign[] => [
  ...cameFor.map((complaint) => COMPLAINTS[complaintKey(complaint, hand)]),
  ...(setup.posture?.tellTales ?? []).map((tale) => TELL_TALES[tale]),
];

/**
 * The concerns that complaints and tell-tales bring to the front. The path stays at its place where nothing tells it, the
 * pressure where no mat does.
 * @param given the complaints, the tell-tales, the hand and what was seen of the pressure
 * @param pathTold whether shots or the ball's flight tell the path
 * @returns the concerns asked about
 */
export function askedAbout(
  given: Pick<Case, 'cameFor' | 'hand' | 'setup' | 'pressure'>,
  pathTold: boolean,
): Set<Concern> {
  const asked = new Set(signsOf(given).flatMap(({ concerns }) => concerns));
  if (!pathTold) asked.delete('path');
  // What an eye saw without a mat is not sure enough to come before the rest.
  if (!given.pressure || !isByMat(given.pressure)) asked.delete('pressure');
  return asked;
}

/**
 * Every concern once, those that are asked about first.
 * @param asked what complaints and tell-tales bring to the front
 * @returns the concerns in order
 */
export const inOrder = (asked: ReadonlySet<Concern>): Concern[] => [
  ...CONCERNS.filter((concern) => asked.has(concern)),
  ...CONCERNS.filter((concern) => !asked.has(concern)),
];

/** Remedies that may have been overdone: a figure beyond its band on their far side is brought back. */
const MAY_BE_OVERDONE: readonly Remedy[] = SET_FORWARD;

const opposite = ({ item, by }: Remedy): Remedy => ({ item, by: by === 'more' ? 'less' : 'more' });

/**
 * The ways that figures must not go because a complaint or a tell-tale asks for the other way.
 * @param given the complaints, the tell-tales and the hand
 * @param isOverdone whether an item is out of its band on the far side of a remedy
 * @returns what is left out
 */
export const againstSigns = (
  given: Pick<Case, 'cameFor' | 'hand' | 'setup'>,
  isOverdone: (remedy: Remedy) => boolean,
): Remedy[] =>
  signsOf(given)
    .flatMap(({ remedies }) => remedies)
    .filter((remedy) => !(hasRemedy(MAY_BE_OVERDONE, remedy) && isOverdone(remedy)))
    .map(opposite);
