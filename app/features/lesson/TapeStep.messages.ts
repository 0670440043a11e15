import type { Said } from '../../domain/said';

/** What this screen says. */
export const messages = {
  heels: 'Heels',
  outsides: 'Outsides',
  gap: 'Gap',
  back: 'Back',
  ahead: 'Ahead',
  insideTheHeel: 'Inside the heel',
  outsideIt: 'Outside it',
  widthBetween: 'Width between',
  whichSide: 'Which side',
  byTheLeadShoe: (setbackMark: Said) => `By the lead shoe: ${setbackMark}`,
  nobodyCanStandLike: (figure: Said, text: Said) => `${figure}: nobody can stand like that, found “${text}”`,
  figuresByTape: 'Figures by tape',
  next: 'Next',
};
