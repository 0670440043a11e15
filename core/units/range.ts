/**
 * Refusing bad input in one voice: which field, what was expected, what was found.
 */
export class InputError extends Error {
  constructor(
    readonly field: string,
    readonly expected: string,
    readonly found: string,
  ) {
    super(`${field}: expected ${expected}, found ${found}`);
    this.name = 'InputError';
  }
}

/**
 * Returns `value` when it is a finite number within `least`..`most` (both allowed).
 * @throws InputError naming the field, the range with its unit, and what was found.
 */
export function withinRange(field: string, value: number, least: number, most: number, unit: string): number {
  if (!Number.isFinite(value) || value < least || value > most) {
    throw new InputError(field, `${least} to ${most} ${unit}`, String(value));
  }
  return value;
}
