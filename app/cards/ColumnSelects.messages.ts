/** What choosing a file's columns says. */
export const messages = {
  notThere: 'Not in this file',
};
