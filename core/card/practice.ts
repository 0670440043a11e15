import type { Caution } from '../body';

/** How a student practises alone until the next look. */
export interface Practice {
  daysAWeek: number;
  /** Balls a day, the warm-up aside. */
  balls: number;
  warmUp: boolean;
}

export const DAYS_A_WEEK = { least: 1, most: 7 } as const;
export const BALLS = { least: 5, most: 150 } as const;
export const SWINGS_A_ROUND = { least: 1, most: 30 } as const;

/** Who practises: what volume goes by. */
export interface Practising {
  minor: boolean;
  /** Years; the most it can be. */
  age: number;
  cautions: readonly Caution[];
}

const OLDER = 65;

/** Joints that somebody has to be asked about, or growth: less of everything. */
const isSpared = ({ minor, cautions }: Practising): boolean =>
  minor || cautions.some(({ deferTo }) => deferTo !== '');

/**
 * What is proposed (starting values): 40 balls on three days; 30 from 65 years on; 20 on two days for minors and
 * where a joint asks for care.
 * @param who age and cautions
 * @returns the plan
 */
export function usualPractice(who: Practising): Practice {
  if (isSpared(who)) return { daysAWeek: 2, balls: 20, warmUp: true };
  return { daysAWeek: 3, balls: who.age >= OLDER ? 30 : 40, warmUp: true };
}

/** Common practice, no source: five to ten part-swings each with a wedge, the next wedge, and a 9- or 8-iron. */
const WARM_UP_CLUBS = ['a wedge', 'the next wedge', 'a short iron'] as const;

/** Swings of a round: slow ones in the exaggerated stance before each few balls in the playing stance. */
export interface Rounds {
  feel: number;
  play: number;
}

const times = (count: number, one: string): string => `${count} ${one}${count === 1 ? '' : 's'}`;

/**
 * A practice day, said to the student.
 * @param practice days and balls
 * @param rounds swings of each dose in a round; no slow ones where nothing is exaggerated
 * @param who says how many part-swings
 * @returns lines in order
 */
export function practiceLines(practice: Practice, rounds: Rounds, who: Practising): string[] {
  const each = isSpared(who) ? 5 : 8;
  const warmUp = practice.warmUp
    ? [
        `Warm up in this setup: ${each} part swings with ${WARM_UP_CLUBS[0]}.`,
        `Then ${each} with ${WARM_UP_CLUBS[1]}, ${each} with ${WARM_UP_CLUBS[2]}.`,
      ]
    : [];
  const count = Math.max(1, Math.round(practice.balls / rounds.play));
  const round =
    rounds.feel > 0
      ? [
          `${times(rounds.feel, 'slow half swing')} in the big stance, no ball.`,
          `${times(rounds.play, 'ball')} in the playing stance.`,
          `That is one round. Do ${count} of them.`,
        ]
      : [`${times(rounds.play, 'ball')}, then step away. Do that ${count} times.`];
  return [...warmUp, ...round];
}
