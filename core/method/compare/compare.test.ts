import { differenceSentence } from '../../phrases';
import { readSetup } from '../../reading';
import { measureAddress, PLACED_FIGURES, toePoint, withFigure } from '../../setup';
import { PRESETS } from '../presets';
import { laidOnLeadToe, wholeBag } from './bag';
import { compareMethods } from './compare';
import { disputesAmong } from './disputes';
import { asPlayed, bandsFor, questionOf, type HouseMethod } from '..';
import { body, setup } from '../../test/example';

const methods: HouseMethod[] = PRESETS.map(({ key, contents }) => ({ id: key, version: 1, ...contents }));
const named = (key: string): HouseMethod => methods.find((method) => method.id === key)!;
const iron = asPlayed({ club: '7-iron', shot: 'full' });
const driver = asPlayed({ club: 'driver', shot: 'full' });

const pair = (a: string, b: string) => compareMethods(setup(), body(), iron, [named(a), named(b)]);
const row = (rows: ReturnType<typeof pair>, question: string) =>
  rows.find((each) => each.question === question)!;
const sentence = (
  a: string,
  b: string,
  question: 'stanceWidth' | 'stanceLine' | 'ballAlong' | 'shoulderTilt' | 'pressureRoute',
) => {
  const [first, second] = row(pair(a, b), question).cells;
  return differenceSentence(
    question,
    { name: named(a).name, cell: first! },
    { name: named(b).name, cell: second! },
    'cm',
  );
};

test('a row a question, a cell a method, measured against each band', () => {
  const rows = compareMethods(setup(), body(), iron, methods);
  const width = row(rows, 'stanceWidth');
  expect(width.measured?.value).toBe(500);
  expect(width.cells).toHaveLength(methods.length);
  width.cells.forEach(({ band, verdict }, at) => {
    expect(band).toEqual(bandsFor(methods[at]!, body(), iron).figures.stanceWidth);
    expect(verdict).toBe(band!.high < 500 ? 'above' : band!.low > 500 ? 'below' : 'in');
  });
});

test('says of every figure what the reading says, however coarsely it was measured', () => {
  const exact = setup();
  const coarse = {
    ...exact,
    measured: Object.fromEntries(
      PLACED_FIGURES.map((figure) => [figure, { way: 'by eye' as const, uncertainty: 30 }]),
    ) as typeof exact.measured,
  };
  let widened = 0;
  for (const stood of [exact, coarse]) {
    const rows = compareMethods(stood, body(), iron, methods);
    methods.forEach((method, at) => {
      const { findings } = readSetup({ setup: stood, ...body(), ...iron, method });
      for (const { item, low, high, verdict } of findings) {
        const cell = rows.find((each) => each.item === item)!.cells[at]!;
        expect([item, cell.verdict, cell.band?.low, cell.band?.high]).toEqual([item, verdict, low, high]);
        const own = bandsFor(method, body(), iron).figures[questionOf(item)]!;
        if (low < own.low) widened += 1;
      }
    });
  }
  expect(widened).toBeGreaterThan(10);
});

test('split where no one figure pleases both, agreed where one does', () => {
  expect(row(pair('shoulders-and-neutral', 'forward-posted'), 'stanceWidth').agreement).toBe('split');
  const rows = pair('shoulders-and-neutral', 'free-the-hips');
  expect(row(rows, 'stanceWidth').agreement).toBe('agree');
  expect(row(rows, 'ballAlong').agreement).toBe('agree');
  expect(row(rows, 'shoulderTilt').agreement).toBe('at most one view');
});

test('what is not looked at has bands and no verdict', () => {
  const rows = pair('shoulders-and-neutral', 'lead-foot-first');
  expect(row(rows, 'hipBump')).toMatchObject({ measured: null, agreement: 'split' });
  expect(row(rows, 'hipBump').cells.map(({ verdict }) => verdict)).toEqual([null, null]);
  const seen = withFigure(setup(), 'hipBump', 25);
  const bump = compareMethods(seen, body(), iron, [named('shoulders-and-neutral'), named('lead-foot-first')]);
  expect(row(bump, 'hipBump').cells.map(({ verdict }) => verdict)).toEqual(['above', 'in']);
});

test('the difference is told in a sentence, with its size, its side and its reason', () => {
  // By the shoulders 354 with a 7-iron, with 150 between soles of 105 it is 255.
  expect(sentence('shoulders-and-neutral', 'forward-posted', 'stanceWidth')).toBe(
    '“Forward-posted” asks for 25.5 cm, 9.9 cm narrower than “By the shoulders, neutral”: A hand or so of ground between the shoes is enough: the weight is on the post already and has nowhere to travel.',
  );
  expect(sentence('shoulders-and-neutral', 'forward-posted', 'stanceLine')).toMatch(
    /closed, \d+° more closed than “By the shoulders, neutral”: Leaning on the lead foot turns the chest open/,
  );
  expect(sentence('shoulders-and-neutral', 'free-the-hips', 'ballAlong')).toBe('Both take 3.5 to 6.5 cm.');
  expect(sentence('shoulders-and-neutral', 'by-the-arc', 'shoulderTilt')).toBe(
    '“By the arc” asks for 10°; “By the shoulders, neutral” leaves it free.',
  );
  expect(sentence('shoulders-and-neutral', 'forward-posted', 'pressureRoute')).toMatch(
    /asks for forward-posted and “By the shoulders, neutral” for centred: Under the lead foot/,
  );
});

test('every pair of neighbours among the presets is told apart on something', () => {
  for (const [at, method] of methods.entries()) {
    const next = methods[(at + 1) % methods.length]!;
    const rows = compareMethods(setup(), body(), iron, [method, next]);
    expect(rows.some(({ agreement }) => agreement === 'split')).toBe(true);
  }
});

test('the disputes of the trade are shown with who stands where', () => {
  const questions = disputesAmong(methods, body(), driver).map(({ question }) => question);
  expect(questions).toEqual(expect.arrayContaining(['hipBump', 'trailFlare', 'heelToe', 'stanceLine']));
  const flare = disputesAmong(methods, body(), iron).find(({ question }) => question === 'trailFlare')!;
  expect(flare.sides[0]!.methods).toEqual([named('short-coil').name]);
  expect(disputesAmong([named('short-coil')], body(), iron)).toEqual([]);
  expect(disputesAmong(methods, body(), iron).some(({ question }) => question === 'hipBump')).toBe(false);
});

test('feet for another club are laid on the lead toe, and nothing else about them changes', () => {
  const [longest, ...rest] = wholeBag(named('by-the-arc'), body());
  for (const { setup: of } of rest) {
    const laid = laidOnLeadToe(of, longest!.setup);
    expect(toePoint(laid.address, 'lead').y).toBeCloseTo(toePoint(longest!.setup.address, 'lead').y, 9);
    const { ballOut: _out, ...before } = measureAddress(of.address);
    const after = measureAddress(laid.address);
    for (const [figure, value] of Object.entries(before)) {
      expect(after[figure as keyof typeof after]).toBeCloseTo(value, 6);
    }
  }
});

test('the whole bag: every club and shot once, the lead foot and the ball where they were', () => {
  const bag = wholeBag(named('shoulders-and-neutral'), body());
  expect(bag).toHaveLength(26);
  const full = bag.filter(({ played }) => played.shot === 'full');
  const leads = full.map(({ setup: of }) => of.address.lead.heel.x);
  expect(new Set(leads.map((x) => x.toFixed(6)))).toEqual(new Set(['50.000000']));
  for (const { bands, setup: of } of bag) {
    const measures = measureAddress(of.address);
    expect(measures.stanceWidth).toBeCloseTo(bands.figures.stanceWidth!.middle, 6);
    expect(measures.toeLine).toBeCloseTo(bands.figures.stanceLine!.middle, 6);
    expect(of.balance.leadShare).toBe(bands.figures.leadShare!.middle);
  }
});
