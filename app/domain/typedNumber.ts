/** A number as coaches type it, with a point or a comma. */
export const typedNumber = (text: string): number => {
  const trimmed = text.trim().replace(',', '.');
  return trimmed === '' ? NaN : Number(trimmed);
};
