import type { Said } from '../../domain/said';

/** What this part says. */
export const messages = {
  heading: 'It hurt at home',
  takenBack: (on: Said) => `${on}: ticked, and taken back by the student.`,
  noted: (on: Said, asked: Said) => `${on}. Asked ${asked}, and noted.`,
  nothing: (on: Said, asked: Said) => `${on}. Asked ${asked}: it was nothing.`,
  open: (on: Said) => `${on}. Not asked yet.`,
  before: (on: Said) => `${on}. Asked about with a later day.`,
};
