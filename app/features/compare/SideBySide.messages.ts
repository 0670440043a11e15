import type { Said } from '../../domain/said';

/** What this screen says. */
export const messages = {
  asTaught: (figure: Said) => `${figure} as taught`,
  methodsAColumnEach: 'Methods, a column each',
  questionsByMethods: 'Questions by methods',
  whereSchoolsContradictEachOther: 'Where schools contradict each other',
  school: (name: Said) => `${name} (school)`,
  oneMethod: 'One method',
  setAgainst: 'Set against',
  questions: 'Questions',
  whereTheySplit: (splits: Said) => `Where they split (${splits})`,
  all: (pairRows: Said) => `All (${pairRows})`,
  nothingOneStanceWouldPlease: 'Nothing: one stance would please both.',
  allOfThem: 'All of them',
};
