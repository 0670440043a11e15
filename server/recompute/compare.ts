import type { EntryCheck } from '@pedastance/contract';

export type Difference = EntryCheck['differences'][number];

/** Figures agree within this; both sides compute in doubles. */
const TOLERANCE = 1e-6;
const MOST_DIFFERENCES = 20;
const LONGEST = 80;

const cut = (value: unknown): string => {
  const words = typeof value === 'string' ? value : (JSON.stringify(value) ?? 'nothing');
  return words.length > LONGEST ? `${words.slice(0, LONGEST)}…` : words;
};

export const nearly = (a: number, b: number): boolean =>
  Math.abs(a - b) <= TOLERANCE * Math.max(1, Math.abs(a), Math.abs(b));

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null;

function differencesAt(told: unknown, computed: unknown, place: string): Difference[] {
  if (typeof told === 'number' && typeof computed === 'number') {
    return nearly(told, computed) ? [] : [{ place, told: cut(told), computed: cut(computed) }];
  }
  if (isObject(told) && isObject(computed) && Array.isArray(told) === Array.isArray(computed)) {
    return [...new Set([...Object.keys(told), ...Object.keys(computed)])].flatMap((key) =>
      differencesAt(told[key], computed[key], place ? `${place}.${key}` : key),
    );
  }
  const same = told === computed || ((told ?? null) === null && (computed ?? null) === null);
  return same ? [] : [{ place, told: cut(told), computed: cut(computed) }];
}

/** Where two values differ, by the path to each place; figures within the tolerance agree. The first twenty. */
export const differencesOf = (told: unknown, computed: unknown): Difference[] =>
  differencesAt(told, computed, '').slice(0, MOST_DIFFERENCES);

/** The check that differences amount to. */
export const checkOf = (differences: Difference[]): EntryCheck => ({
  verdict: differences.length > 0 ? 'differs' : 'agrees',
  differences,
});

export const AS_TOLD: EntryCheck = { verdict: 'as told', differences: [] };
