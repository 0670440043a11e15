import type { Shot } from '@pedastance/core/trial';
import { batchesOf } from './shots';

const small: Shot = { carry: 120, mishit: false };
const large: Shot = {
  path: -12.345678,
  startLine: -12.345678,
  clubSpeed: 45.678901,
  ballSpeed: 67.890123,
  carry: 187.654321,
  side: -45.678901,
  strike: 'clean',
  mishit: false,
};

test('as few writes as the server takes: 500 shots, and never a body beyond its 64 kB', () => {
  expect(batchesOf([])).toEqual([]);
  expect(batchesOf(Array<Shot>(1201).fill(small)).map(({ length }) => length)).toEqual([500, 500, 201]);
  const batches = batchesOf(Array<Shot>(1000).fill(large));
  expect(batches.flat()).toHaveLength(1000);
  for (const batch of batches) expect(JSON.stringify(batch).length).toBeLessThan(60_000);
  expect(batches.length).toBeLessThan(4);
});
