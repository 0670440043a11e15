import { everySentence } from '../test/everySentence';

const MOST_WORDS = 16;
const MOST_FIGURES = 2;

const { trials, ...OTHERS } = everySentence();
const SENTENCES = [...Object.values(OTHERS), trials!].flat();
/** A mean of a dozen shots is known to a fraction of a degree, and luck is told to the tenth: trials keep a decimal. */
const WITHOUT_TRIALS = Object.values(OTHERS).flat();

const figuresIn = (sentence: string): string[] => sentence.match(/\d+(?:\.\d+)?/g) ?? [];

test('there is a sentence for everything', () => {
  expect(SENTENCES.length).toBeGreaterThan(150);
});

test.each([
  ['at most sixteen words', (sentence: string) => sentence.split(/\s+/).length <= MOST_WORDS],
  ['at most two figures', (sentence: string) => figuresIn(sentence).length <= MOST_FIGURES],
  ['no brackets', (sentence: string) => !/[()[\]{}]/.test(sentence)],
  [
    'whole degrees and percents, whole and half centimetres and inches',
    (sentence: string) =>
      !/\d\.\d+ ?(?:°|%)/.test(sentence) &&
      figuresIn(sentence).every((figure) => Number.isInteger(2 * Number(figure))),
  ],
  ['every word filled in', (sentence: string) => !/undefined|NaN|null/.test(sentence)],
])('every sentence: %s', (rule, keeps) => {
  const held = rule.startsWith('whole') ? WITHOUT_TRIALS : SENTENCES;
  expect(held.filter((sentence) => !keeps(sentence))).toEqual([]);
});
