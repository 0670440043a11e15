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

const DAY_MS = 24 * 60 * 60 * 1000;

/**
 * @param day YYYY-MM-DD
 * @param days how many later
 * @returns the day, YYYY-MM-DD
 * @example daysAfter('2026-12-28', 7) // '2027-01-04'
 */
export const daysAfter = (day: string, days: number): string =>
  new Date(Date.parse(`${day}T00:00:00Z`) + days * DAY_MS).toISOString().slice(0, 10);
