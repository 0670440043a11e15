import type { Said } from '../../domain/said';

/** What this screen says. */
export const messages = {
  seenByCoach: 'Seen by coach',
  seenByStudent: 'Seen by student',
  thePlanIsSeen: (viewpoint: Said, other: Said) =>
    `The plan is seen by the ${viewpoint}; show it as the ${other} sees it`,
  figuresOfFeetAndLoad: 'Figures of feet and load',
  onToTheRead: 'On to the read',
};
