/** A file's header as one word, under which it is remembered how such files were mapped. */
export const headerKey = (header: readonly string[]): string => header.join('\u001f');
