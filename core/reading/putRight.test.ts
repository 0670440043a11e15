import { putRightSince, readSetup, withFigure, type Setup } from '..';
import { asPlayed } from '../method';
import { build, method } from '../test/example';
import { taught } from '../test/taught';
import { withMeasured } from '../setup';

const stood = (trailFlare: number): Setup =>
  withFigure(
    withMeasured(taught(), ['stanceWidth', 'leadFlare', 'setback'], 'tape'),
    'trailFlare',
    trailFlare,
  );
const read = (setup: Setup) =>
  readSetup({ ...asPlayed({ club: '7-iron', shot: 'full' }), setup, method, build: build(), legs: null })
    .findings;

test('a figure that was out and is in was put right; what was agreed on is told as held, and what was in is nothing', () => {
  const mended = putRightSince(read(stood(2)), read(stood(16)), []);
  expect(mended.map(({ item, was, is }) => [item, Math.round(was), Math.round(is)])).toEqual([
    ['trailFlare', 2, 16],
  ]);
  expect(putRightSince(read(stood(2)), read(stood(16)), ['trailFlare'])).toEqual([]);
  expect(putRightSince(read(stood(2)), read(stood(4)), [])).toEqual([]);
  expect(putRightSince(read(stood(15)), read(stood(16)), [])).toEqual([]);
});
