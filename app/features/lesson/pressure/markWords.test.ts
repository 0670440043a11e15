import { besideEachOther } from './markWords';

const mark = (words: string, x: number, y: number) => ({ words, x, y });

test('a word stands above its point where nothing is there, and elsewhere where another one is', () => {
  const [address, top] = besideEachOther([mark('Address', 0, 0), mark('Top', 200, 0)]);
  expect(address).toEqual({ words: 'Address', x: 0, y: -9, anchor: 'middle' });
  expect(top).toMatchObject({ y: -9, anchor: 'middle' });
  const [strike, finish] = besideEachOther([mark('Strike', 0, 0), mark('Finish', 10, 4)]);
  expect(strike).toMatchObject({ y: -9, anchor: 'middle' });
  expect(finish).toMatchObject({ y: 28, anchor: 'middle' });
});

test('a word does not lie on another’s point', () => {
  const [low] = besideEachOther([mark('Low', 0, 0), mark('High', 0, -15)]);
  expect(low).toMatchObject({ y: 24, anchor: 'middle' });
});
