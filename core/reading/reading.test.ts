import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { evenLegs } from '../method/check';
import { PRESETS } from '../method/presets';
import {
  asPlayed,
  BAG,
  cautionsOf,
  factsSuggestedBy,
  clubById,
  CLUBS_AND_SHOTS,
  flareAboutHeel,
  ITEMS,
  MODEL_VERSION,
  PLACED_FIGURES,
  POSTURE_FIGURES,
  readSetup,
  setupAsTaught,
  MEASURED_BEFORE,
  startingSetup,
  verdictFor,
  withFigure,
  withMeasured,
  type Item,
  type ReadingInput,
  type Setup,
} from '..';
import { build, estimated, method, setup } from '../test/example';
import { withSuggestions } from '../test/suggestions';
import { bodyOf } from '../test/turning';

const read = (of: Setup, over: Partial<ReadingInput> = {}) =>
  readSetup({
    setup: of,
    build: build(),
    legs: null,
    club: '7-iron',
    clubLengthInches: 37,
    shot: 'full',
    method,
    ...over,
  });

const presetNamed = (key: string) => ({
  id: key,
  version: 1,
  ...PRESETS.find((preset) => preset.key === key)!.contents,
});

/** Every figure of the posture looked at, so that all of them are read. */
const everythingSeen = (of: Setup): Setup =>
  POSTURE_FIGURES.reduce((seen, figure) => withFigure(seen, figure, 0), of);

const middled = (over: Partial<ReadingInput> = {}): Setup => {
  const drawn = startingSetup(over.build ?? build(), over.clubLengthInches ?? 37);
  const start = everythingSeen({ ...drawn, measured: MEASURED_BEFORE });
  return withSuggestions(start, read(start, over).findings);
};

describe('a reading', () => {
  test('has every item once, in body order from the ground up, with the model it was made by', () => {
    const reading = read(setup());
    expect(reading.findings.map((finding) => finding.item)).toEqual(ITEMS.slice(0, 9));
    const whole = read(everythingSeen(setup()));
    const order = whole.findings.map((finding) => ITEMS.indexOf(finding.item));
    expect(order).toEqual([...order].sort((a, b) => a - b));
    expect(whole.findings.map((finding) => finding.item)).toContain('shoulderTurn');
    expect(reading.modelVersion).toBe(MODEL_VERSION);
    const models = readFileSync(join(__dirname, '../../docs/models.md'), 'utf8');
    expect(models).toContain(`Model version: \`${MODEL_VERSION}\``);
  });

  test('in the middle of every band there are no findings, for any method, body, club and shot', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...PRESETS.map(({ key }) => key)),
        fc.constantFrom(...CLUBS_AND_SHOTS),
        fc.integer({ min: 300, max: 600 }),
        fc.integer({ min: 200, max: 350 }),
        fc.integer({ min: 70, max: 130 }),
        (key, { club, shot }, shoulders, length, breadth) => {
          const of = build({
            shoulderBreadth: estimated(shoulders, 20),
            shoeLength: estimated(length, 4),
            shoeBreadth: estimated(breadth, 4),
          });
          const input = {
            build: of,
            club,
            clubLengthInches: clubById(club).lengthInches,
            shot,
            method: presetNamed(key),
          };
          const reading = read(middled(input), input);
          expect(reading.findings.length).toBeGreaterThanOrEqual(12);
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
    const finding = read(withFigure(middled(), 'trailFlare', 2)).findings.find(
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
    const pitch = withFigure(middled(input), 'trailFlare', 2);
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
      (sum, [item, by]) => withFigure(sum, item, findings.find((each) => each.item === item)!.middle + by),
      start,
    );
    const forward = read(moved)
      .findings.filter((finding) => finding.putForward)
      .map((finding) => finding.item);
    // 65 mm outside is 6.5 just noticeable widths, 12 degrees 2.4 flares, 5 degrees 1, 3% 0.6.
    expect(forward).toEqual(['stanceWidth', 'leadFlare']);
  });

  test('a close call waits behind what is plainly out', () => {
    const start = middled();
    // 1 mm outside a width band is within the 10 mm it is measured to.
    const close = withFigure(
      withFigure(start, 'stanceWidth', read(start).findings[0]!.high + 1),
      'leadFlare',
      5,
    );
    const both = withFigure(close, 'trailFlare', 5);
    const forward = read(both)
      .findings.filter((finding) => finding.putForward)
      .map((finding) => finding.item);
    expect(forward).toEqual(['leadFlare', 'trailFlare']);
    const width = read(both).findings[0]!;
    expect(width).toMatchObject({ verdict: 'above', close: true, putForward: false });
  });

  test('tells when the toe line and the heel line disagree, and when shoes overlap', () => {
    const twisted = { ...setup(), address: flareAboutHeel(setup().address, 'lead', 45) };
    // The heels are level and the flare alone turned the toes: said of the foot that did it.
    expect(read(twisted).notices).toContainEqual(
      expect.objectContaining({ kind: 'flare moved the toe line', foot: 'lead' }),
    );
    const kept = withFigure(setup(), 'leadFlare', 45);
    expect(read(kept).notices).toContainEqual(expect.objectContaining({ kind: 'lines disagree' }));
    expect(read(setup({ width: 40 })).notices).toContainEqual(
      expect.objectContaining({ kind: 'shoes overlap' }),
    );
    expect(read(middled()).notices).toEqual([]);
  });

  test('is the same for the same input, whatever happened before', () => {
    const once = JSON.stringify(read(setup({ leadFlare: 7 })));
    BAG.forEach((club) => read(setup(), { club: club.id, clubLengthInches: club.lengthInches }));
    expect(JSON.stringify(read(setup({ leadFlare: 7 })))).toBe(once);
  });
});

const finding = (of: Setup, item: Item, over: Partial<ReadingInput> = {}) =>
  read(of, over).findings.find((each) => each.item === item)!;
const forwardOf = (of: Setup, over: Partial<ReadingInput> = {}) =>
  read(of, over)
    .findings.filter((each) => each.putForward)
    .map((each) => each.item);
const put = (of: Setup, items: Partial<Record<Item, number>>) =>
  Object.entries(items).reduce((sum, [item, value]) => withFigure(sum, item as Item, value), of);
const kinds = (of: Setup, over: Partial<ReadingInput> = {}) =>
  read(of, over).notices.map((notice) => notice.kind);

describe('the whole read', () => {
  test('what was not looked at is not found', () => {
    expect(read(setup()).findings.some((each) => each.item === 'hipBump')).toBe(false);
    expect(finding(put(setup(), { hipBump: 60 }), 'hipBump')).toMatchObject({ verdict: 'above' });
  });

  test('what a method leaves free is not found', () => {
    const seen = put(setup(), { shoulderTilt: 40 });
    expect(read(seen).findings.some((each) => each.item === 'shoulderTilt')).toBe(false);
    const arc = { method: presetNamed('by-the-arc') };
    expect(finding(seen, 'shoulderTilt', arc).verdict).toBe('above');
  });

  test('by eye is less sure than measured', () => {
    const byEye: Setup = {
      ...setup(),
      posture: { figures: { hipBump: { value: 30, way: 'by eye', uncertainty: 12 } }, choices: {} },
    };
    expect(finding(byEye, 'hipBump').uncertainty).toBeGreaterThan(
      finding(put(setup(), { hipBump: 30 }), 'hipBump').uncertainty,
    );
  });

  test('weight forward because the hips were pushed because the stance is wide, told as one', () => {
    const wide = put(middled(), { stanceWidth: 520, hipBump: 60, leadShare: 62 });
    expect(finding(wide, 'leadShare').because?.item).toBe('hipBump');
    expect(finding(wide, 'hipBump').because?.item).toBe('stanceWidth');
    expect(finding(wide, 'stanceWidth').because).toBeNull();
    expect(forwardOf(wide)).toEqual(['stanceWidth']);
    // Without its cause the effect stands by itself.
    expect(forwardOf(put(middled(), { leadShare: 62 }))).toEqual(['leadShare']);
  });

  test('the weighing adds up: out, turn and path, less the further from the ground', () => {
    const { weight } = finding(put(middled(), { stanceLine: -8 }), 'stanceLine');
    // 6 degrees outside a band of 2: three lines just noticed, 6 at 0.4 of turn over 5, 3 of path.
    expect(weight.out).toBeCloseTo(3, 6);
    expect(weight.turn).toBeCloseTo((6 * 0.4) / 5, 6);
    expect(weight.path).toBeCloseTo(3, 6);
    expect(weight.total).toBeCloseTo(6.48, 6);
    const shoulders = finding(put(middled(), { shoulderLine: -12 }), 'shoulderLine').weight;
    expect(shoulders.total).toBeCloseTo((shoulders.out + shoulders.turn + shoulders.path) * 0.7, 9);
  });

  test('closed feet with a closed face is a conflict; with the face on the target it is none', () => {
    const closed = put(middled(), { stanceLine: 8 });
    expect(kinds(put(closed, { clubFace: 6 }))).toContain('face follows the feet');
    expect(kinds(put(closed, { clubFace: 0 }))).not.toContain('face follows the feet');
  });

  test('closed feet under open shoulders: a conflict, but not where the method means them', () => {
    const input = { method: presetNamed('along-the-feet') };
    const meant = put(middled(input), { shoulderLine: -8 });
    expect(finding(meant, 'stanceLine', input).measured).toBeGreaterThan(3);
    expect(kinds(meant, input)).not.toContain('shoulders against the feet');
    expect(kinds(meant)).toContain('shoulders against the feet');
  });

  test('a ball in its place in a stance too wide only looks moved', () => {
    expect(kinds(put(middled(), { stanceWidth: 520 }))).toContain('ball only looks moved');
    expect(kinds(put(middled(), { stanceWidth: 520, ballAlong: 120 }))).not.toContain(
      'ball only looks moved',
    );
  });

  test('who turns too far is not told to flare or close more', () => {
    const square = put(middled(), { trailFlare: 2 });
    expect(forwardOf(square)).toEqual(['trailFlare']);
    const mobile = put(square, { shoulderTurn: 118 });
    expect(kinds(mobile)).toContain('turns too far');
    expect(finding(mobile, 'trailFlare').withheld).toMatch(/too far/);
    expect(forwardOf(mobile)).toEqual(['shoulderTurn']);
  });

  test('who swings from the inside is not told to close', () => {
    const open = put(middled(), { stanceLine: -8 });
    const inside: Setup = { ...open, posture: { ...open.posture!, swingPath: 'from the inside' } };
    expect(forwardOf(open)).toEqual(['stanceLine']);
    expect(finding(inside, 'stanceLine').withheld).toMatch(/from the inside/);
    expect(forwardOf(inside)).toEqual([]);
  });

  test('a pitch reverses the trail foot, and says so', () => {
    const played = { club: 'sand-wedge', clubLengthInches: 35.25, shot: 'pitch' } as const;
    const flared = put(middled(played), { trailFlare: 15 });
    expect(finding(flared, 'trailFlare', played).verdict).toBe('above');
    expect(kinds(flared, played)).toContain('pitch reverses the trail foot');
    expect(finding(put(middled(), { trailFlare: 15 }), 'trailFlare').verdict).toBe('in');
  });

  test.each([
    ['Lead knee sore', 'leadFlare', 40],
    ['Lower back sore', 'stanceWidth', 300],
    ['Fell last winter', 'stanceWidth', 540],
  ] as const)('%s: the remedy for %s at %s is left out, and why is said', (note, item, value) => {
    const of = put(middled(), { [item]: value });
    expect(forwardOf(of)).toContain(item);
    const [suggested] = factsSuggestedBy(note, 'right');
    const fact = {
      ...suggested!,
      since: '',
      clearedBy: '',
      notedOn: '2026-11-01',
      status: 'stands' as const,
    };
    // The words alone leave nothing out: the confirmed fact does.
    expect(cautionsOf([], 'right', false)).toEqual([]);
    const cautions = cautionsOf([fact], 'right', false);
    expect(finding(of, item, { cautions }).withheld).not.toBeNull();
    expect(forwardOf(of, { cautions })).not.toContain(item);
  });

  test('a word is as taught or otherwise', () => {
    const seen: Setup = {
      ...setup(),
      posture: { figures: {}, choices: { seat: 'behind the heels', pressureRoute: 'centred' } },
    };
    expect(read(seen).choices).toEqual([
      expect.objectContaining({ question: 'seat', asTaught: false, wanted: ['over the heels'] }),
      expect.objectContaining({ question: 'pressureRoute', asTaught: true }),
    ]);
  });

  test('legs that were not tested are named where they decide', () => {
    const input = { method: presetNamed('lead-foot-first') };
    expect(finding(setup(), 'trailFlare', input)).toMatchObject({ untested: true, middle: 20 });
    const legs = evenLegs(15, 40, 8);
    // 45 needed, 15 turned in, 10 given: 20 of flare, between 8 and the lead's 25.
    expect(finding(setup(), 'trailFlare', { ...input, legs })).toMatchObject({ untested: false, middle: 20 });
    const stiff = evenLegs(0, 40, 8);
    expect(finding(setup(), 'trailFlare', { ...input, legs: stiff }).middle).toBe(25);
    const mobile = evenLegs(45, 40, 8);
    expect(finding(setup(), 'trailFlare', { ...input, legs: mobile }).middle).toBe(8);
  });

  test('a stance too wide for this body to post is said, with how far the hips have to go', () => {
    const posting = (width: number, over: Partial<ReadingInput> = {}, bump?: number) => {
      const wide = withFigure(setup(), 'stanceWidth', width);
      return read(bump === undefined ? wide : withFigure(wide, 'hipBump', bump), over).notices.find(
        ({ kind }) => kind === 'too wide to post',
      );
    };
    // Heels 600, sole 105: 705 from edge to edge, less 330 of hips, halved: 187.5 of 330.
    expect(posting(600)).toEqual({ kind: 'too wide to post', travel: 187.5 / 330, most: 0.5 });
    // A driver's width as it is taught is not called too wide, whoever stands in it.
    const played = asPlayed({ club: 'driver', shot: 'full' });
    const narrow = { ...build(), hipBreadth: { ...build().hipBreadth, value: 250 } };
    const taughtDriver = setupAsTaught(method, { build: narrow, legs: null }, played);
    const measuredDriver = withMeasured(taughtDriver, PLACED_FIGURES, 'tape');
    const told = read(measuredDriver, { ...played, build: narrow });
    expect(told.notices.map(({ kind }) => kind)).not.toContain('too wide to post');
    expect(posting(500)).toBeUndefined();
    expect(posting(600, {}, 25)).toBeUndefined();
    expect(posting(600, { club: 'driver', clubLengthInches: 45.5 })).toBeUndefined();
    expect(posting(600, { club: 'sand-wedge', shot: 'pitch' })).toBeUndefined();
  });

  test('a flare outside its band is not charged with turn where the turn is enough', () => {
    const far = put(middled(), { trailFlare: 5 });
    const stiff = finding(far, 'trailFlare', { legs: bodyOf({ inTrail: 10 }) });
    const mobile = finding(far, 'trailFlare', { legs: bodyOf({ inTrail: 50, outLead: 60, inLead: 40 }) });
    // 10 turned in, 10 given and 5 of flare are 25 of 45; the band begins at 12 of flare.
    expect(stiff.weight.turn).toBeCloseTo((stiff.low - 5) / 5, 6);
    expect(mobile.weight.turn).toBe(0);
    expect(mobile.weight.out).toBeCloseTo(stiff.weight.out, 9);
  });
});
