import type { Said } from '../../domain/said';

/** What this screen says. */
export const messages = {
  clubChooseAnother: (name: Said) => `Club: ${name}. Choose another`,
  clubNoneYetChooseOne: 'Club: none yet. Choose one',
  thePlanOpensWhen: 'The plan opens when a club is chosen.',
  thisLesson: 'This lesson is not on this device. It may have been finished, or belong to another coach.',
  whatThisLessonNeeds: 'What this lesson needs is not on this device yet; it comes with the connection.',
  hasNoBuildYet: (name: Said) => `${name} has no build yet. A height is enough to begin.`,
  enterTheBuild: 'Enter the build',
};
