/** What this screen says. */
export const messages = {
  point: 'Point',
  deleteTheLastDigit: 'Delete the last digit',
  notMeasured: 'Not measured',
  back: 'Back',
};
