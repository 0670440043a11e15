import { neededTurn } from './budget';
import { stopOf } from './stops';
import type { Goal, StopName, TurningBody, TurningFeet } from './types';

/**
 * What a leg's test would have to show for its stop to lie just where the turn is needed, on given feet: what this
 * swing wants of this leg, and no pass mark.
 * @param name which stop
 * @param body the legs, trunk, gives and reaches of one student
 * @param feet the flares and the lift the swing is made with, degrees and mm
 * @param goal what the coach asks for, degrees
 * @returns degrees; null where the leg was not tested, or hurt
 */
export function testWanted(name: StopName, body: TurningBody, feet: TurningFeet, goal: Goal): number | null {
  const { turn, at, made } = stopOf(name, body, feet);
  if (!at || !made.test || made.usual) return null;
  return made.test.value + neededTurn(turn, body, goal).value - at.value;
}
