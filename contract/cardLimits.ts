/** Limits that a card's page keeps to, apart from the schemas so that the page stays small. */
export const MOST_TICKS_AT_ONCE = 50;
