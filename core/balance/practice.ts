import { max, median } from 'simple-statistics';
import type { SwingTrace } from './trace';

/**
 * A practice swing presses softer than the swings that strike a ball, or comes down slower: by so much of theirs (starting
 * values). A mat alone cannot know: it asks.
 */
const SOFTER = 0.6;
const SLOWER = 1.25;
/** Two swings tell of each other. */
const LEAST = 2;

interface Effort {
  /** Above the body's own weight, per mille. */
  press: number;
  /** From the top to the strike, ms. */
  down: number;
}

function effortOf({ rate, load, times }: SwingTrace): Effort {
  const [from, to] = [times.top, times.impact].map((at) => Math.round((at * rate) / 1000)) as [
    number,
    number,
  ];
  const coming = load.slice(Math.max(0, from), Math.max(from + 1, to + 1));
  return { press: coming.length > 0 ? max(coming) - 1000 : 0, down: times.impact - times.top };
}

/**
 * Which swings look like practice swings beside the harder half of them.
 * @param swings of one student with one club
 * @returns their places, in order; none where there is but one swing
 */
export function practiceAmong(swings: readonly SwingTrace[]): number[] {
  if (swings.length < LEAST) return [];
  const efforts = swings.map(effortOf);
  const hard = [...efforts].sort((a, b) => b.press - a.press).slice(0, Math.ceil(efforts.length / 2));
  const press = median(hard.map((each) => each.press));
  const down = median(hard.map((each) => each.down));
  return efforts.flatMap((each, at) =>
    each.press < SOFTER * press || each.down > SLOWER * down ? [at] : [],
  );
}
