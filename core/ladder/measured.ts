import type { EarlierTurn, StoodOn } from '../body';
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
