/** Limits that a form checks while it is typed in, kept apart from the schemas so that it stays small. */

export const LONGEST_NAME = 80;
export const LONGEST_CAUTIONS = 500;
export const LONGEST_PAIN = 120;
export const LONGEST_INTAKE = 300;
export const MOST_FACTS = 40;
export const LONGEST_FACT_TEXT = 60;
export const EARLIEST_BIRTH_YEAR = 1900;
export const LATEST_BIRTH_YEAR = 2100;

/** A shoulder breadth is at most this share of height (starting value; the tallest ratio seen is a third). */
export const MOST_SHOULDERS_OF_HEIGHT = 0.4;

export const LONGEST_METHOD_NAME = 80;
export const LONGEST_METHOD_TEXT = 500;

/** Swings that one entry of pressure keeps: those of a whole trial. */
export const MOST_PRESSURE_SWINGS = 24;
