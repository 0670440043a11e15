/** The points do not fix a homography: too few, or all but one on one line. */
export class Degenerate extends Error {
  constructor() {
    super('the points lie on one line, or are too few');
  }
}
