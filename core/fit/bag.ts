import { setupAsTaught, asPlayed, bandsFor, CLUBS_AND_SHOTS, type HouseMethod, type Played } from '../method';
import type { Body, Goal, TurningBody } from '../turn';
import { leastChange } from './fit';
import type { FitAnswer, FitProblem } from './types';

/** One club's own setup: as the method teaches it, with the least change that frees this body's turn. */
export interface FittedClub {
  played: Played;
  /** Null where nothing meets all of it with this club. */
  answer: FitAnswer | null;
}

/**
 * One fit through the bag, for the full shots: each club begins as the method teaches it, and what a
 * body needs to turn it needs with every club, so that flares and lifts agree from wedge to driver
 * and only what the method itself moves with the club moves.
 * @param method the house method
 * @param student the build, and the legs and trunk that turn
 * @param goal degrees
 * @param spared what this student is never asked for, and what only by one noticeable step
 * @returns one fit for each club
 */
export function fitBag(
  method: HouseMethod,
  student: Body & { legs: TurningBody },
  goal: Goal,
  { barred = [], limited = [] }: Partial<Pick<FitProblem, 'barred' | 'limited'>> = {},
): FittedClub[] {
  return CLUBS_AND_SHOTS.filter(({ shot }) => shot === 'full').map((each) => {
    const played = asPlayed(each);
    const setup = setupAsTaught(method, student, played);
    const bands = bandsFor(method, student, played);
    const problem = {
      setup,
      build: student.build,
      bands,
      body: student.legs,
      goal,
      pinned: [],
      barred,
      limited,
    };
    return { played, answer: leastChange(problem) };
  });
}
