/**
 * Facts that advice has to mind: where a body hurts, is stiff or was mended. They belong to a side of the body,
 * left or right, and stay with it; which leg is lead and which is trail follows from the student's hand.
 */
import type { FootName, Item } from '../../setup';
import type { Hand } from '../build';

export const JOINTS = ['hip', 'knee', 'ankle', 'lower back', 'shoulder', 'neck', 'wrist', 'other'] as const;
export type Joint = (typeof JOINTS)[number];

export const BODY_SIDES = ['left', 'right', 'both'] as const;
/** A side of the body; both where it has none or is on either. */
export type BodySide = (typeof BODY_SIDES)[number];

export const FACT_STATES = [
  'pain',
  'stiff',
  'operated',
  'replaced',
  'recent fall',
  'dizzy or numb',
  'growing',
] as const;
export type FactState = (typeof FACT_STATES)[number];

/** States of the whole body, where a joint would only be in the way. */
export const WHOLE_BODY_STATES: readonly FactState[] = ['recent fall', 'dizzy or numb', 'growing'];
/** Joints that are neither of the left nor of the right. */
export const JOINTS_WITHOUT_SIDES: readonly Joint[] = ['lower back', 'neck'];

/** It holds; it is over; or a note seemed to say it and the coach said no. */
export const FACT_STATUSES = ['stands', 'over', 'waved away'] as const;
export type FactStatus = (typeof FACT_STATUSES)[number];

export interface CautionFact {
  joint: Joint;
  side: BodySide;
  state: FactState;
  /** Since when, in the coach's words; empty where nobody said. */
  since: string;
  /** Who cleared it for golf; empty where nobody did. */
  clearedBy: string;
  /** The day it was noted, or its status last changed, as YYYY-MM-DD. */
  notedOn: string;
  status: FactStatus;
}

/** What a fact is about, besides when and who. */
export type FactKey = Pick<CautionFact, 'joint' | 'side' | 'state'>;

/**
 * Whether two facts are about the same thing.
 * @param a one fact
 * @param b another
 * @returns true where joint, side and state agree
 */
export const sameFact = (a: FactKey, b: FactKey): boolean =>
  a.joint === b.joint && a.side === b.side && a.state === b.state;

/**
 * The legs a side of the body is for this hand.
 * @param side of the body
 * @param hand the student’s
 * @returns lead, trail, or both
 * @example legsOn('left', 'right') // ['lead']
 */
export const legsOn = (side: BodySide, hand: Hand): FootName[] => {
  if (side === 'both') return ['lead', 'trail'];
  return [(side === 'left') === (hand === 'right') ? 'lead' : 'trail'];
};

/** A way of changing an item of the setup. */
export interface Remedy {
  item: Item;
  by: 'more' | 'less';
}

/**
 * Whether changing an item one way is among some remedies.
 * @param remedies looked through
 * @param asked the item and which way
 * @returns true where one of them agrees in both
 */
export const hasRemedy = (remedies: readonly Remedy[], asked: Remedy): boolean =>
  remedies.some(({ item, by }) => item === asked.item && by === asked.by);

export const NOT_MEDICAL_ADVICE =
  'Coaching support, not medical advice. Pain ends a test or a drill at once.';
export const DOCTOR = 'A doctor or physiotherapist first; their limits overrule what is read here.';
