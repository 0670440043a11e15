const FIRST_DAYS = 7;
const LONGEST_DAYS = 56;

/**
 * In how many days to look at a change again: a week after it, twice as long after every look at which all of it
 * held, and a week again after it drifted (starting values).
 * @param looks how each look at it ended, oldest first
 * @returns days
 * @example daysToNextLook(['held', 'held']) // 28
 */
export const daysToNextLook = (looks: readonly ('held' | 'drifted')[]): number =>
  looks.reduce((days, look) => (look === 'held' ? Math.min(2 * days, LONGEST_DAYS) : FIRST_DAYS), FIRST_DAYS);
