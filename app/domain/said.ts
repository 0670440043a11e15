/** What is put into a message: words, or a number as it is. */
export type Said = string | number;
