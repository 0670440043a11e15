import { EMPTY_SCREEN, withTurns, type EarlierTurn, type Hand, type Screen, type StoodOn } from '../body';
import type { FootName } from '../setup';
import { stoodOn, stopOf, turningBody } from '../turn';
import type { Angle } from '../units';
import type { Ladder, Try } from './ladders';

/** The feet of a rung: as they stood, with the one foot that the ladder turns on its rung. */
function feetOn({ figure }: Ladder, rung: number, stood: StoodOn): StoodOn {
  return figure === 'trailFlare' || figure === 'leadFlare' ? { ...stood, [figure]: rung } : stood;
}

/**
 * The turns of the hips that were measured on a ladder and tell of a leg: those that a leg was felt to stop. A turn that
 * nothing stopped only reached so far, and says nothing of how far it could have gone.
 * @param ladder the ladder
 * @param tries in any order
 * @param stood the feet as they stood beside the ladder's own, degrees
 * @returns the turns as a test of the legs keeps them, oldest first; none where the ladder measures no turn
 */
export function turnsThatTell(ladder: Ladder, tries: readonly Try[], stood: StoodOn): EarlierTurn[] {
  const { measures } = ladder;
  if (!measures) return [];
  return tries
    .flatMap(({ rung, result, measured }): EarlierTurn[] => {
      if (!measured?.stoppedBy || result === 'pain') return [];
      const { hips, uncertainty, stoppedBy, at } = measured;
      const back = measures === 'back';
      const reached = { value: hips, uncertainty };
      return [
        {
          takenAt: at,
          ...feetOn(ladder, rung, stood),
          back: back ? reached : null,
          through: back ? null : reached,
          stoppedBack: back ? stoppedBy : null,
          stoppedThrough: back ? null : stoppedBy,
        },
      ];
    })
    .sort((a, b) => a.takenAt.localeCompare(b.takenAt));
}

/** Where the leg that a ladder is about stops the hips on one of its rungs: as it was known before, and with what was measured. */
export interface StopTold {
  leg: FootName;
  before: Angle;
  after: Angle;
}

/**
 * What turns measured on a ladder change in where its leg stops the hips.
 * @param ladder the ladder
 * @param turns that tell of a leg
 * @param legs the newest test of them, with when it was made, or null; and the student's hand
 * @param feet to be stood on, degrees
 * @returns null where none of the turns is new, or the leg is one that hurts
 */
export function stopTold(
  { measures }: Pick<Ladder, 'measures'>,
  turns: readonly EarlierTurn[],
  { screen, hand }: { screen: (Screen & { madeAt: string }) | null; hand: Hand },
  feet: StoodOn,
): StopTold | null {
  const known = withTurns(screen, turns, hand);
  if (!known || !measures) return null;
  const name = measures === 'back' ? 'trail back' : 'lead through';
  const stop = (of: Screen) => stopOf(name, turningBody(of, hand), stoodOn(feet));
  const [before, after] = [stop(screen ?? EMPTY_SCREEN), stop(known)];
  return before.at && after.at && { leg: after.leg, before: before.at, after: after.at };
}
