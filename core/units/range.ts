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
 * Refuses a number outside its range.
 * @param field what the number is, as the user calls it
 * @param value the number
 * @param least the least that is allowed
 * @param most the most that is allowed
 * @param unit the unit of all three
 * @returns the number, when it is finite and within the range, both ends allowed
 * @throws InputError naming the field, the range with its unit, and what was found
 * @example withinRange('flare', 20, -45, 90, 'degrees') // 20
 */
export function withinRange(field: string, value: number, least: number, most: number, unit: string): number {
  if (!Number.isFinite(value) || value < least || value > most) {
    throw new InputError(field, `${least} to ${most} ${unit}`, String(value));
  }
  return value;
}
