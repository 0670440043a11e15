import { PRESETS } from '../presets';
import { schoolFor, SCHOOL_QUESTIONS, type SchoolAnswers } from '.';

const answers = (
  width: SchoolAnswers['width'],
  flare: SchoolAnswers['flare'],
  line: SchoolAnswers['line'],
): SchoolAnswers => ({ width, flare, line });

test.each([
  ['shoulders-and-neutral', answers('by the shoulders', 'both a little', 'square')],
  ['free-the-hips', answers('heels under the hips', 'both well out', 'square')],
  ['lead-foot-first', answers('heels under the hips', 'lead foot more', 'square')],
  ['forward-posted', answers('close together', 'both a little', 'trail foot back')],
  ['by-the-arc', answers('heels under the hips', 'lead foot more', 'further back with long clubs')],
  ['along-the-feet', answers('by the shoulders', 'both a little', 'trail foot back')],
  ['short-coil', answers('by the shoulders', 'lead foot more', 'square')],
  ['easy-turn', answers('heels under the hips', 'both well out', 'trail foot back')],
])('%s is what somebody who teaches so is given', (key, given) => expect(schoolFor(given)).toBe(key));

test('whatever is answered there is a school', () => {
  const keys = PRESETS.map(({ key }) => key);
  for (const width of SCHOOL_QUESTIONS.width)
    for (const flare of SCHOOL_QUESTIONS.flare)
      for (const line of SCHOOL_QUESTIONS.line) expect(keys).toContain(schoolFor({ width, flare, line }));
});
