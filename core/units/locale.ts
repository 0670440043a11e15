/** The language that numbers, dates and plurals are written in; the words themselves are English. */
export const LOCALE = 'en-GB';
