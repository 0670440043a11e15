const HALF_A_PAIR = /\p{Surrogate}/u;

/**
 * Whether text can be kept and sent: without NUL, which PostgreSQL does not store, and without half of a
 * surrogate pair, which UTF-8 cannot express (Unicode 16, section 3.9).
 */
export const isWellFormed = (text: string): boolean => !text.includes('\0') && !HALF_A_PAIR.test(text);

/** The text without what `isWellFormed` refuses. */
export const wellFormed = (text: string): string =>
  isWellFormed(text) ? text : text.replace(/\0|\p{Surrogate}/gu, '');
