import {
  buysSentences,
  doSentences,
  doubtSentences,
  judge,
  partingSentences,
  pulledSentence,
  seeded,
  stopsSentence,
  waitsSentence,
  type Case,
  type Speech,
} from '..';
import { caseOf, drawnCase } from '../test/adviceCases';
import { WRITTEN_CASES } from '../test/writtenCases';

/** A judgement as it is read aloud, line by line. */
function aloud(given: Case): string[] {
  const judgement = judge(given, 0);
  const speech: Speech = { length: 'cm', feet: 'left and right', hand: given.hand };
  return [
    stopsSentence(judgement, speech),
    ...doSentences(judgement, given.setup.address.shoe.length, speech).map((each) => `> ${each}`),
    ...buysSentences(judgement, speech).map((each) => `+ ${each}`),
    ...[waitsSentence(judgement, speech)].filter((each) => each !== '').map((each) => `… ${each}`),
    ...[...doubtSentences(judgement), ...partingSentences(judgement, speech)].map((each) => `! ${each}`),
    ...(judgement.pulledBothWays ? [`! ${pulledSentence(judgement, speech)}`] : []),
  ];
}

/** What changes here is read aloud before it is kept: `npx jest --selectProjects core -u advice/told`. */
test.each(WRITTEN_CASES)('$name', (written) => {
  expect(aloud(caseOf(written))).toMatchSnapshot();
});

/** Nobody wrote these down: a change of the judgement that was not meant shows here first. */
test('drawn cases are told as they were', () => {
  const random = seeded(20_261_204);
  expect(Array.from({ length: 200 }, () => aloud(drawnCase(random)).join(' '))).toMatchSnapshot();
});
