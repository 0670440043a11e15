/** How this browser's language writes the decimal sign: what a spreadsheet of the same language expects. */
export const DECIMAL_SIGN: 'comma' | 'point' =
  new Intl.NumberFormat().formatToParts(1.5).find(({ type }) => type === 'decimal')?.value === ','
    ? 'comma'
    : 'point';
