import type { Said } from '../../domain/said';

/** What this screen says. */
export const messages = {
  dayByDay: (name: Said, figure: Said, simulatedWords: Said) =>
    `${name}: ${figure}, day by day${simulatedWords}`,
  theShotsDayByDay: 'The shots, day by day',
  straight: 'Straight',
};
