import { stripesTell, type StripeMark, type Stripes } from '.';

const all = (over: Partial<Record<StripeMark, Partial<Stripes['top']>>> = {}): Stripes => {
  const of = (mark: StripeMark) => ({ lead: true, trail: true, ...over[mark] });
  return { address: of('address'), top: of('top'), 'early down': of('early down'), impact: of('impact') };
};

test('a stripe that goes tells of the toes, and one that was never looked at of nothing', () => {
  const swings = [
    all({ top: { trail: false } }),
    all({ top: { trail: false } }),
    all({ top: { trail: null } }),
    all(),
  ];
  expect(stripesTell(swings, 'centred')).toEqual([
    expect.objectContaining({ pattern: 'toe-ward going back', seen: 2, of: 3, sure: false }),
  ]);
  expect(stripesTell([all()], 'centred')).toEqual([]);
  // On the toes at address already: nothing went.
  expect(stripesTell([all({ address: { trail: false }, top: { trail: false } })], 'centred')).toEqual([]);
});

// Exact limits of 6 of 6 from handbook tables: 54.1% (Clopper and Pearson 1934).
test('six of six are sure, five of five are not', () => {
  const early = all({ 'early down': { lead: false } });
  const [six] = stripesTell(Array(6).fill(early), 'centred');
  expect(six).toMatchObject({ pattern: 'toes early coming down', sure: true });
  expect(six!.low).toBeCloseTo(0.541, 3);
  expect(stripesTell(Array(5).fill(early), 'centred')[0]!.sure).toBe(false);
  expect(stripesTell(Array(6).fill(early), 'long drive')).toEqual([]);
});
