import type { Person } from '@pedastance/contract';
import {
  JOINTS_WITHOUT_SIDES,
  legsOn,
  WHOLE_BODY_STATES,
  type BodySide,
  type CautionFact,
  type FactKey,
  type FactState,
  type Joint,
} from '@pedastance/core/body/facts';

export const JOINT_WORDS: Record<Joint, string> = {
  hip: 'hip',
  knee: 'knee',
  ankle: 'ankle',
  'lower back': 'lower back',
  shoulder: 'shoulder',
  neck: 'neck',
  wrist: 'wrist',
  other: 'elsewhere',
};

export const STATE_WORDS: Record<FactState, string> = {
  pain: 'hurts',
  stiff: 'stiff',
  operated: 'operated on',
  replaced: 'replaced',
  'recent fall': 'fell lately',
  'dizzy or numb': 'dizzy or numb',
  growing: 'growing',
};

const LEGS: readonly Joint[] = ['hip', 'knee', 'ankle'];

const sideWords = (side: BodySide, joint: Joint): string => {
  if (JOINTS_WITHOUT_SIDES.includes(joint)) return '';
  return side === 'both' ? 'both ' : `${side} `;
};

const capitalised = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** What a fact is about, in a few words: "Left knee (lead): hurts". */
export function factName({ joint, side, state }: FactKey, hand: Person['hand']): string {
  if (WHOLE_BODY_STATES.includes(state)) return capitalised(STATE_WORDS[state]);
  if (joint === 'other') return `Elsewhere${side === 'both' ? '' : ` on the ${side}`}: ${STATE_WORDS[state]}`;
  const plural = side === 'both' && !JOINTS_WITHOUT_SIDES.includes(joint) ? 's' : '';
  const legs = LEGS.includes(joint) && side !== 'both' ? ` (${legsOn(side, hand)[0]})` : '';
  return `${capitalised(`${sideWords(side, joint)}${JOINT_WORDS[joint]}${plural}`)}${legs}: ${STATE_WORDS[state]}`;
}

/** A fact with since when, who cleared it and when it was noted. */
export function factWords(fact: CautionFact, hand: Person['hand'], day: (moment: string) => string): string {
  const { since, clearedBy, notedOn, status } = fact;
  return [
    factName(fact, hand),
    ...(since === '' ? [] : [`since ${since}`]),
    ...(clearedBy === '' ? [] : [`cleared by ${clearedBy}`]),
    `${status === 'over' ? 'over' : 'noted'} ${day(notedOn)}`,
  ].join(', ');
}

/** Facts that stand first, then those that are over; what was waved away is not shown. */
export const shownFacts = (facts: readonly CautionFact[]): CautionFact[] => [
  ...facts.filter(({ status }) => status === 'stands'),
  ...facts.filter(({ status }) => status === 'over'),
];
