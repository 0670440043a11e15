const DAY_MS = 24 * 60 * 60 * 1000;

/**
 * A day so many days later.
 * @param day YYYY-MM-DD
 * @param days how many later
 * @returns the day, YYYY-MM-DD
 * @example daysAfter('2026-12-28', 7) // '2027-01-04'
 */
export const daysAfter = (day: string, days: number): string =>
  new Date(Date.parse(`${day}T00:00:00Z`) + days * DAY_MS).toISOString().slice(0, 10);
