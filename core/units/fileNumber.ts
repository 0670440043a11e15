/** A number as files write it. */
const NUMBER = /^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d+)?$/i;

/**
 * A number as files write it: a decimal point or comma, a sign, a degree or percent behind it, no thousands.
 * @param text of a cell
 * @returns the number; not a number where the cell has none
 * @example numberIn(' −2,5° ') // -2.5
 */
export function numberIn(text: string | undefined): number {
  if (text === undefined) return NaN;
  // Most cells are plain, and a recording has millions of them.
  if (NUMBER.test(text)) return Number(text);
  const trimmed = text.trim().replace(/[°%]/g, '').replace(',', '.').replace('\u2212', '-').trim();
  return NUMBER.test(trimmed) ? Number(trimmed) : NaN;
}
