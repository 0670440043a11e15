/** What this screen says. */
export const messages = {
  stanceLineThroughTheToes: 'Stance line, through the toes',
  heelLine: 'Heel line',
};
