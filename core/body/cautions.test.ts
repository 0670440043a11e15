import { cautionsFor } from '..';

const about = (note: string, age = 40) =>
  cautionsFor(note, age)
    .map((each) => each.caution)
    .join(' ');

test('nothing noted, nothing to be careful of', () => expect(cautionsFor('', 40)).toEqual([]));

test('pain and surgery defer to doctor and physiotherapist', () => {
  for (const note of [
    'Lead knee sore',
    'hip replaced 2019',
    'surgery in spring',
    'numb fingers',
    'back pain',
  ]) {
    expect(about(note)).toMatch(/doctor or physiotherapist/);
  }
});

test('"no pain" is not pain', () => expect(about('Trail hip stiff, no pain.')).not.toMatch(/doctor/));

test('a knee cites the small study for what it found and no more', () => {
  expect(about('bad knee')).toMatch(/Lynn & Noffal 2010.*says nothing of twist/);
});

test('juniors: growth, low volume', () => {
  expect(about('', 12)).toMatch(/growth spurts, low volume/);
  expect(about('', 18)).toBe('');
});
