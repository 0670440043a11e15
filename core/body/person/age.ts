/** Of age from this on, years. */
export const ADULT_AGE = 18;

/** When somebody was born: the year, and the day where it is known. */
export interface Born {
  birthYear: number;
  /** YYYY-MM-DD; null where only the year is known. */
  bornOn: string | null;
}

/**
 * The ages somebody can have on a day: one where the day of birth is known, else before and after the birthday.
 * @param born the year, and the day where it is known
 * @param today YYYY-MM-DD
 * @returns whole years, the least and the most
 * @example agesOn({ birthYear: 2008, bornOn: '2008-11-27' }, '2026-11-26') // { least: 17, most: 17 }
 */
export function agesOn({ birthYear, bornOn }: Born, today: string): { least: number; most: number } {
  const reached = Number(today.slice(0, 4)) - birthYear;
  if (bornOn === null) return { least: Math.max(0, reached - 1), most: Math.max(0, reached) };
  const age = Math.max(0, reached - (today.slice(5) < bornOn.slice(5) ? 1 : 0));
  return { least: age, most: age };
}

/**
 * Whether somebody is not of age: until the birthday, and an unknown day counts against being of age.
 * @param born the year, and the day where it is known
 * @param today YYYY-MM-DD
 * @returns true for a minor
 * @example isMinor({ birthYear: 2008, bornOn: null }, '2026-11-26') // true
 */
export const isMinor = (born: Born, today: string): boolean => agesOn(born, today).least < ADULT_AGE;
