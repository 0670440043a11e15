import fc from 'fast-check';
import {
  BAG,
  clubById,
  CLUBS_AND_SHOTS,
  flareAboutHeel,
  ITEMS,
  MODEL_VERSION,
  readSetup,
  startingSetup,
  verdictFor,
  withItem,
  withSuggestions,
  type ReadingInput,
  type Setup,
} from '..';
import { build, estimated, method, setup } from '../test/example';

const read = (of: Setup, over: Partial<ReadingInput> = {}) =>
  readSetup({
    setup: of,
    build: build(),
    club: '7-iron',
    clubLengthInches: 37,
    shot: 'full',
    method,
    ...over,
  });

const middled = (over: Partial<ReadingInput> = {}): Setup => {
  const start = startingSetup(over.build ?? build(), over.clubLengthInches ?? 37);
  return withSuggestions(start, read(start, over).findings);
};

describe('a reading', () => {
  test('has every item once, in body order from the ground up, with the model it was made by', () => {
    const reading = read(setup());
    expect(reading.findings.map((finding) => finding.item)).toEqual([...ITEMS]);
    expect(reading.modelVersion).toBe(MODEL_VERSION);
  });

  test('in the middle of every band there are no findings, for any body, club and shot', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...CLUBS_AND_SHOTS),
        fc.integer({ min: 300, max: 600 }),
        fc.integer({ min: 200, max: 350 }),
        fc.integer({ min: 70, max: 130 }),
        ({ club, shot }, shoulders, length, breadth) => {
          const of = build({
            shoulderBreadth: estimated(shoulders, 20),
            shoeLength: estimated(length, 4),
            shoeBreadth: estimated(breadth, 4),
          });
          const input = { build: of, club, clubLengthInches: clubById(club).lengthInches, shot };
          const reading = read(middled(input), input);
          expect(reading.findings.filter((finding) => finding.verdict !== 'in')).toEqual([]);
          expect(reading.findings.some((finding) => finding.putForward)).toBe(false);
        },
      ),
    );
  });

  test('the edge of a band is in it', () => {
    expect(verdictFor(12, 12, 18)).toBe('in');
    expect(verdictFor(18, 12, 18)).toBe('in');
    expect(verdictFor(11.999, 12, 18)).toBe('below');
    expect(verdictFor(18.001, 12, 18)).toBe('above');
  });

  test('a square trail foot is below, says why, what it limits and where the band comes from', () => {
    const finding = read(withItem(middled(), 'trailFlare', 2)).findings.find(
      (each) => each.item === 'trailFlare',
    )!;
    expect(finding).toMatchObject({
      verdict: 'below',
      measured: 2,
      low: 12,
      high: 18,
      uncertainty: 2,
      putForward: true,
    });
    expect(finding.why).not.toBe('');
    expect(finding.limits).toMatch(/trail hip/);
    expect(finding.mark).toBe('common practice, no source');
  });

  test('the same square trail foot on a pitch is in its band, on purpose', () => {
    const input = { club: 'sand-wedge' as const, clubLengthInches: 35.25, shot: 'pitch' as const };
    const pitch = withItem(middled(input), 'trailFlare', 2);
    expect(read(pitch, input).findings.find((each) => each.item === 'trailFlare')!.verdict).toBe('in');
  });

  test('at most two are put forward, the furthest out first', () => {
    const off = [
      ['stanceWidth', 90],
      ['leadFlare', -15],
      ['trailFlare', -8],
      ['leadShare', 6],
    ] as const;
    const start = middled();
    const findings = read(start).findings;
    const moved = off.reduce(
      (sum, [item, by]) => withItem(sum, item, findings.find((each) => each.item === item)!.middle + by),
      start,
    );
    const forward = read(moved)
      .findings.filter((finding) => finding.putForward)
      .map((finding) => finding.item);
    // 65 mm outside is 6.5 just noticeable widths, 12 degrees 2.4 flares, 5 degrees 1, 3 % 0.6.
    expect(forward).toEqual(['stanceWidth', 'leadFlare']);
  });

  test('a close call waits behind what is plainly out', () => {
    const start = middled();
    // 1 mm outside a width band is within the 10 mm it is measured to.
    const close = withItem(withItem(start, 'stanceWidth', read(start).findings[0]!.high + 1), 'leadFlare', 5);
    const both = withItem(close, 'trailFlare', 5);
    const forward = read(both)
      .findings.filter((finding) => finding.putForward)
      .map((finding) => finding.item);
    expect(forward).toEqual(['leadFlare', 'trailFlare']);
    const width = read(both).findings[0]!;
    expect(width).toMatchObject({ verdict: 'above', close: true, putForward: false });
  });

  test('tells when the toe line and the heel line disagree, and when shoes overlap', () => {
    const twisted = { ...setup(), address: flareAboutHeel(setup().address, 'lead', 45) };
    expect(read(twisted).notices).toEqual([expect.objectContaining({ kind: 'lines disagree' })]);
    expect(read(setup({ width: 40 })).notices).toEqual([expect.objectContaining({ kind: 'shoes overlap' })]);
    expect(read(middled()).notices).toEqual([]);
  });

  test('is the same for the same input, whatever happened before', () => {
    const once = JSON.stringify(read(setup({ leadFlare: 7 })));
    BAG.forEach((club) => read(setup(), { club: club.id, clubLengthInches: club.lengthInches }));
    expect(JSON.stringify(read(setup({ leadFlare: 7 })))).toBe(once);
  });
});
