import type { Said } from '../../domain/said';

/** What this screen says. */
export const messages = {
  keepAsAFact: (factName: Said) => `Keep as a fact: ${factName}`,
  whatBringsYouToday: 'What brings you today?',
  whereIsItSore: 'Where is it sore, and when?',
  keptAsAFactAdvice: 'Kept as a fact, advice minds it. A doctor or physiotherapist first.',
  inTheirOwnWords: 'In their own words, or yours',
  theSportTheyKnowBest: 'The sport they know best',
  who: 'Who',
  build: 'Build',
  takeTheBuildAgain: 'Take the build again',
  onToTheLegs: 'On to the legs',
};
