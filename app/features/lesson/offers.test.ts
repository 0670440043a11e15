import { startingSetup } from '@pedastance/core/method';
import { flareToeKept, setStanceWidth, type Setup } from '@pedastance/core/setup';
import { build } from '../../../core/test/example';
import { offeredGhosts } from './offers';

const today = startingSetup(build(), 37);
const answer = (change: (address: Setup['address']) => Setup['address']) => ({
  setup: { ...today, address: change(today.address) },
});

test('only the feet that an answer moves are drawn, each marked with its answer', () => {
  const ghosts = offeredGhosts(today, [
    answer((address) => flareToeKept(address, 'trail', 30)),
    answer((address) => flareToeKept(flareToeKept(address, 'trail', 30), 'lead', 35)),
    answer((address) => setStanceWidth(address, 300)),
  ]);
  expect(ghosts.map(({ feet, mark }) => [feet, mark])).toEqual([
    [['trail'], '1·2'],
    [['lead'], '2'],
    [['trail'], '3'],
  ]);
});

test('an answer that leaves the feet alone draws nothing', () => {
  expect(offeredGhosts(today, [answer((address) => address)])).toEqual([]);
});
