import { figureOf, measureSetup, TELL_TALES, uncertaintyOf, type TellTale } from '../setup';
import { caseOf, drawnCase, judgedOf } from '../test/adviceCases';
import type { WrittenCase } from '../test/writtenCases';
import { seeded } from '../statistics';
import { measuredAgain } from './again';
import { costsTurn, forbiddenIn, mayMove } from './allowed';
import { caseOf as judgedCase, restsOf } from './case';
import { toldPath } from './pathTold';
import { againstSigns, askedAbout } from './signs';
import { standingOf } from './standing';
import { asksTurn, normsDecide } from './turns';
import type { Case } from './types';

const written = (over: Partial<WrittenCase> = {}): Case =>
  caseOf({ name: 'one of these', first: [], ...over });

test('a case measured again by nothing is the same, and by one ± has each figure one ± further', () => {
  const random = seeded(4);
  for (let drawn = 0; drawn < 40; drawn += 1) {
    const given = drawnCase(random);
    const [same, other] = [measuredAgain(given, () => 0), measuredAgain(given, () => 1)];
    const taken = measureSetup(given.setup);
    for (const figure of ['leadFlare', 'trailFlare', 'stanceWidth', 'leadShare', 'leadHeelToe'] as const) {
      const was = figureOf(given.setup, figure)!;
      expect([figure, figureOf(same.setup, figure)]).toEqual([figure, expect.closeTo(was, 6)]);
      const by = uncertaintyOf(taken, figure) ?? 0;
      expect([figure, figureOf(other.setup, figure)]).toEqual([figure, expect.closeTo(was + by, 4)]);
    }
    const trail = given.body?.legs.turnIn.trail;
    if (trail) expect(other.body!.legs.turnIn.trail!.value).toBeCloseTo(trail.value + trail.uncertainty, 9);
    for (const [name, sighting] of Object.entries(given.setup.posture?.figures ?? {}))
      expect([name, other.setup.posture!.figures[name as 'hipBump']!.value]).toEqual([
        name,
        expect.closeTo(sighting!.value + sighting!.uncertainty, 9),
      ]);
  }
});

describe('what was agreed', () => {
  const lift = (to: number, today = false) =>
    ({ item: 'leadHeelLift', by: to > 0 ? 'more' : 'less', to, today }) as const;

  test('a lift is the newest that was agreed, and no other figure’s', () => {
    const judged = judgedOf({ name: 'lifted', first: [] });
    expect(judgedCase(judged).leadHeelLift).toBe(0);
    const flare = { item: 'trailFlare', by: 'more', to: 18, today: false } as const;
    const agreed = [lift(12), lift(25), flare];
    expect(judgedCase({ ...judged, agreed }).leadHeelLift).toBe(25);
    expect(judgedCase({ ...judged, agreed: [flare] }).leadHeelLift).toBe(0);
  });

  test('a lift stands whatever else was agreed after it', () => {
    const flare = { item: 'trailFlare', by: 'more', to: 18, today: false } as const;
    const given = { ...written(), agreed: [lift(15), flare], leadHeelLift: 15 };
    const standing = standingOf(given);
    const lower = { figure: 'leadHeelLift', from: 15, to: 5, reason: 'turn' } as const;
    expect(mayMove(standing, forbiddenIn(standing), lower)).toBe(false);
  });

  test('a lift is not taken back, nor raised further the same day', () => {
    const may = (to: number, today: boolean) => {
      const given = { ...written(), agreed: [lift(15, today)], leadHeelLift: 15 };
      const standing = standingOf(given);
      return mayMove(standing, forbiddenIn(standing), {
        ...{ figure: 'leadHeelLift', from: 15, to, reason: 'turn' },
      });
    };
    expect([may(5, false), may(25, false), may(25, true)]).toEqual([false, true, false]);
  });
});

describe('the path', () => {
  const line = (path: number, by: 'more' | 'less') => {
    const standing = standingOf(written({ path }));
    return forbiddenIn(standing).never.some((each) => each.item === 'stanceLine' && each.by === by);
  };

  test('is never bent further than it goes; a straight one bars no line', () => {
    expect([line(-5, 'less'), line(-5, 'more')]).toEqual([true, false]);
    expect([line(5, 'more'), line(5, 'less')]).toEqual([true, false]);
    expect([line(0, 'more'), line(0, 'less')]).toEqual([false, false]);
  });

  test('goes across by the flight of either hand, by the eye, or by what is seen coming down', () => {
    const sign = (over: Partial<WrittenCase>) => Math.sign(toldPath(written(over))?.value ?? 0);
    expect(sign({ cameFor: ['starts left', 'curves away'] })).toBe(-1);
    expect(sign({ hand: 'left', cameFor: ['starts right', 'curves away'] })).toBe(-1);
    expect(sign({ hand: 'left', cameFor: ['starts left', 'curves away'] })).toBe(0);
    expect(sign({ cameFor: ['starts right', 'curves toward'] })).toBe(1);
    expect(sign({ hand: 'left', cameFor: ['starts left', 'curves toward'] })).toBe(1);
    expect(sign({ seen: ['over the top'] })).toBe(-1);
    expect(sign({ seen: ['sways'] })).toBe(0);
    // Both at once say nothing.
    expect(sign({ cameFor: ['starts right', 'curves toward'], seen: ['over the top'] })).toBe(0);
  });
});

describe('norms', () => {
  test('decide a full swing whose legs were not tested, and no pitch', () => {
    expect(normsDecide(written({ legs: null }))).toBe(true);
    expect(normsDecide(written({ legs: null, club: 'sand-wedge', pitch: true }))).toBe(false);
    expect(normsDecide(written())).toBe(false);
  });

  test('decide where one leg that stops a turn was not tested, but for one that hurt, or that ends none', () => {
    const without = (leg: 'lead' | 'trail', test: 'turnIn' | 'turnOut', hurts: string[] = []) => {
      const given = written();
      const legs = { ...given.body!.legs, [test]: { ...given.body!.legs[test], [leg]: null } };
      return normsDecide({ ...given, body: { ...given.body!, legs, hurts: hurts as never } });
    };
    expect(without('trail', 'turnIn')).toBe(true);
    expect(without('lead', 'turnIn')).toBe(true);
    expect(without('lead', 'turnOut')).toBe(true);
    expect(without('trail', 'turnOut')).toBe(false);
    expect(without('trail', 'turnIn', ['trail back'])).toBe(false);
  });
});

describe('what is seen in the swing', () => {
  const seeing = (tale: TellTale) => written({ seen: [tale] });

  const barred = (tale: TellTale) =>
    againstSigns(seeing(tale), () => false).map(({ item, by }) => `${item} ${by}`);

  test('brings each to its concern, and bars the other way of its remedy', () => {
    const tales = Object.keys(TELL_TALES) as TellTale[];
    expect(tales.map((tale) => [tale, [...askedAbout(seeing(tale), true)], barred(tale)])).toMatchSnapshot();
  });

  test('who falls back is not stood wider, and who sways not set back', () => {
    expect(barred('falls back')).toEqual(['stanceWidth more']);
    expect(barred('over the top')).toEqual([]);
    expect(barred('sways').length).toBeGreaterThan(0);
  });
});

describe('who turns too far', () => {
  const barred = (over: Partial<WrittenCase>) =>
    forbiddenIn(standingOf(written(over)))
      .never.filter(({ by }) => by === 'more')
      .map(({ item }) => item);

  test('by what they say or by what is seen is asked for no more turn', () => {
    for (const over of [{ cameFor: ['turns too far'] }, { seen: ['loses the club at the top'] }] as const)
      expect(barred(over)).toEqual(expect.arrayContaining(['trailFlare', 'leadFlare', 'stanceLine']));
    expect(barred({})).toEqual([]);
    expect(barred({ seen: ['over the top'], cameFor: ['curves away'] })).not.toContain('trailFlare');
  });
});

describe('the pressure', () => {
  const asked = (way: 'file' | 'simulated mat' | 'finish' | null, cameFor: WrittenCase['cameFor']) => {
    const pressure = way && ({ pattern: 'falls back', way } as Case['pressure']);
    return askedAbout({ ...written({ cameFor }), pressure }, false).has('pressure');
  };

  test('is asked about first by a mat alone, and by those complaints that go with it', () => {
    expect([asked('file', ['fat']), asked('simulated mat', ['curves away'])]).toEqual([true, true]);
    expect([asked('finish', ['fat']), asked(null, ['fat'])]).toEqual([false, false]);
    expect(asked('file', ['just a check'])).toBe(false);
  });
});

describe('more turn', () => {
  const asks = (state: 'pain' | 'operated' | 'replaced' | 'dizzy or numb' | 'stiff', clearedBy = '') =>
    asksTurn(written({ facts: [['hip', 'left', state]], clearedBy }));

  test('is asked of nobody who hurts, was operated, has a new joint or is dizzy, until somebody cleared it', () => {
    const states = ['pain', 'operated', 'replaced', 'dizzy or numb', 'stiff'] as const;
    expect(states.map((state) => asks(state))).toEqual([false, false, false, false, true]);
    expect(states.map((state) => asks(state, 'Dr Example'))).toEqual([false, true, true, true, true]);
  });

  test('is asked of nobody who came because they are sore, nor on a pitch', () => {
    expect(asksTurn(written({ cameFor: ['sore'] }))).toBe(false);
    expect(asksTurn(written({ club: 'sand-wedge', pitch: true }))).toBe(false);
  });
});

describe('shots against the eye', () => {
  const told = (over: Partial<WrittenCase>) => toldPath(written(over))!;

  test('are believed, and it is told where they say another way', () => {
    expect(told({ path: 4, seen: ['over the top'] })).toMatchObject({ byEye: false, against: true });
    expect(told({ path: -4, seen: ['over the top'] })).toMatchObject({ byEye: false, against: false });
    expect(told({ path: 0.2, seen: ['over the top'] }).against).toBe(false);
    expect(told({ path: 4 }).against).toBe(false);
  });

  test('that were simulated say nothing of feet that nobody measured', () => {
    const given = written({ path: 4, seen: ['over the top'] });
    expect(toldPath({ ...given, pathSimulated: true })).toMatchObject({ byEye: false });
    const unmeasured = { ...given, pathSimulated: true, setup: { ...given.setup, measured: {} } };
    expect(toldPath(unmeasured)).toMatchObject({ byEye: true, value: -3 });
  });
});

test('what a judgement rests on is kept as plain lists of what is known of each, and no more', () => {
  const rests = {
    agreed: [{ item: 'leadFlare', by: 'more', to: 25, today: true, note: 'not kept' }],
    exceptions: [{ item: 'stanceWidth', low: 300, high: 340, why: 'not kept' }],
    cued: ['load'],
    dropped: [{ item: 'stanceLine', by: 'less', why: 'not kept' }],
    feltUnder: 'toes',
  } as unknown as Parameters<typeof restsOf>[0];
  expect(restsOf({ ...written(), ...rests })).toEqual({
    agreed: [{ item: 'leadFlare', by: 'more', to: 25, today: true }],
    exceptions: [{ item: 'stanceWidth', low: 300, high: 340 }],
    cued: ['load'],
    dropped: [{ item: 'stanceLine', by: 'less' }],
    feltUnder: 'toes',
  });
});

describe('a turn that a move costs', () => {
  const stands = (trailFlare: number) =>
    standingOf(written({ legs: { inTrail: 24 }, today: { trailFlare } }));

  test('is one that falls short by a step that it was not short by before', () => {
    expect(costsTurn(stands(25), stands(0))).toBe(true);
    expect(costsTurn(stands(0), stands(25))).toBe(false);
    expect(costsTurn(stands(25), stands(25))).toBe(false);
  });

  test('is not counted where nobody is asked for more turn', () => {
    const sore = (trailFlare: number) =>
      standingOf(written({ legs: { inTrail: 24 }, cameFor: ['sore'], today: { trailFlare } }));
    expect(costsTurn(sore(25), sore(0))).toBe(false);
  });
});
