import { clubById, readSetup, type HouseMethod } from '@pedastance/core';
import { PRESETS, SHOULDERS_AND_NEUTRAL } from '@pedastance/core/method/presets';
import { v7 as uuidv7 } from 'uuid';
import {
  AddressEntry,
  BuildFigures,
  LookEntry,
  Method,
  NewStudent,
  ReadingEntry,
  ShotShape,
  SignIn,
  TrialEntry,
  faultsOf,
} from '.';
import { upgradedEntry } from './earlier';
import { build, setup } from '../core/test/example';

const method = (): HouseMethod => ({ id: uuidv7(), version: 1, ...SHOULDERS_AND_NEUTRAL });

const copied = (): HouseMethod => JSON.parse(JSON.stringify(method()));

function faults(
  schema: { safeParse: (input: unknown) => ReturnType<typeof NewStudent.safeParse> },
  input: unknown,
) {
  const parsed = schema.safeParse(input);
  return parsed.success ? [] : faultsOf(parsed.error, input);
}

const KNEE = {
  joint: 'knee',
  side: 'left',
  state: 'pain',
  since: '',
  clearedBy: '',
  notedOn: '2026-11-01',
  status: 'stands',
};

/** What every entry has. */
const common = () => ({ id: uuidv7(), lessonId: uuidv7(), madeAt: '2026-05-01T10:00:00Z', replaces: null });
const address = () => ({
  ...common(),
  kind: 'address',
  standing: 'today',
  club: '7-iron',
  clubLengthInches: 37,
  shot: 'full',
  setup: setup(),
});

const student = () => ({
  id: uuidv7(),
  madeAt: '2026-05-01T10:00:00Z',
  name: 'Marl Testwick',
  hand: 'left',
  birthYear: 1980,
  bornOn: null,
  cautions: '',
  facts: [],
});

describe('faults name the field, what was expected and what was found', () => {
  test.each([
    [{ name: '' }, 'name', 'at least 1 character', '""'],
    [{ name: 'x'.repeat(81) }, 'name', 'at most 80 characters', `"${'x'.repeat(59)}…`],
    [{ hand: 'both' }, 'hand', 'right or left', '"both"'],
    [{ birthYear: 1850 }, 'birthYear', 'at least 1900', '1850'],
    [{ birthYear: 1980.5 }, 'birthYear', 'a whole number', '1980.5'],
    [{ birthYear: undefined }, 'birthYear', 'a number', 'nothing'],
    [{ bornOn: '1981-02-03' }, 'bornOn', 'a day of the year of birth', '"1981-02-03"'],
    [
      { facts: [{ ...KNEE, joint: 'soul' }] },
      'facts.0.joint',
      'hip or knee or ankle or lower back or shoulder or neck or wrist or other',
      '"soul"',
    ],
    [{ facts: [{ ...KNEE, side: 'lead' }] }, 'facts.0.side', 'left or right or both', '"lead"'],
    [{ facts: Array.from({ length: 41 }, () => KNEE) }, 'facts', 'at most 40 of them', expect.any(String)],
    [{ id: 'seven' }, 'id', 'an identifier (UUID version 7)', '"seven"'],
    [{ madeAt: 'yesterday' }, 'madeAt', 'a date and time with its offset', '"yesterday"'],
    [{ colour: 'blue' }, 'body', 'only known fields', 'colour'],
  ])('%p', (change, field, expected, found) => {
    expect(faults(NewStudent as never, { ...student(), ...change })).toEqual([{ field, expected, found }]);
  });

  test('a student as it should be passes, trimmed', () => {
    expect(NewStudent.parse({ ...student(), name: '  Marl Testwick ' }).name).toBe('Marl Testwick');
  });
});

describe('a build', () => {
  test('shoulders broader than the height allows are refused', () => {
    const figures = build({
      shoulderBreadth: { value: 620, source: 'measured', uncertainty: 8 },
      height: { value: 1400, source: 'measured', uncertainty: 10 },
    });
    expect(faults(BuildFigures as never, figures)).toEqual([
      { field: 'shoulderBreadth.value', expected: 'at most 0.4 of the height', found: '620' },
    ]);
  });

  test('a shoe of 60 cm is refused', () => {
    const figures = build({ shoeLength: { value: 600, source: 'measured', uncertainty: 3 } });
    expect(faults(BuildFigures as never, figures)[0]).toMatchObject({
      field: 'shoeLength.value',
      expected: 'at most 380',
    });
  });
});

describe('a method is refused whole', () => {
  test.each(PRESETS.map(({ key, contents }) => [key, contents] as const))('%s passes', (_key, contents) =>
    expect(faults(Method as never, { ...method(), ...contents })).toEqual([]),
  );

  test('with an answer missing, named by question, club and shot', () => {
    const broken = copied();
    broken.questions.trailFlare.answers[0]!.clubs.pop();
    expect(faults(Method as never, broken)[0]).toMatchObject({
      field: 'questions.trailFlare.answers',
      expected: 'one answer for the Lob wedge, full shot, not none',
    });
  });

  test('with an unknown club', () => {
    const broken = copied();
    broken.questions.leadShare.answers[0]!.clubs.push('putter' as never);
    expect(faults(Method as never, broken)[0]).toMatchObject({
      field: 'questions.leadShare.answers.0.clubs.15',
      found: '"putter"',
    });
  });

  test('with a club longer than the rules allow', () => {
    const broken = copied();
    const rule = broken.questions.stanceWidth.answers[0]!.rule;
    if (rule.kind !== 'shoulders by club length') throw new Error('expected a rule by the shoulders');
    rule.marks[2]!.lengthInches = 50;
    expect(faults(Method as never, broken)[0]?.expected).toMatch(/Equipment Rules/);
  });
});

describe('a rule', () => {
  const withRule = (question: 'leadFlare' | 'stanceWidth' | 'hipBump' | 'seat', rule: object) => {
    const changed = copied();
    changed.questions[question].answers[0]!.rule = rule as never;
    return faults(Method as never, changed)[0];
  };

  test.each([
    ['leadFlare', { kind: 'fixed', value: 90 }, 'rule.value', 'at most 60'],
    ['leadFlare', { kind: 'no view' }, 'rule.kind', ''],
    [
      'leadFlare',
      { kind: 'by club', values: { driver: 20 } },
      'rule.values.3-wood',
      'a figure for the 3-wood',
    ],
    ['hipBump', { kind: 'fixed', value: 700 }, 'rule.value', 'at most 150'],
    [
      'seat',
      { kind: 'choice', choices: ['on a chair'] },
      'rule.choices.0',
      'over the heels or behind the heels',
    ],
    ['seat', { kind: 'choice', choices: [] }, 'rule.choices', 'at least 1 of them'],
    ['stanceWidth', { kind: 'leg test', neededTurn: 45, give: 10, untested: 20 }, 'rule.kind', ''],
    [
      'stanceWidth',
      {
        kind: 'by club length',
        marks: [
          { lengthInches: 40, value: 400 },
          { lengthInches: 38, value: 500 },
        ],
      },
      'rule.marks',
      'marks in rising order of club length',
    ],
  ] as const)('%s by %j is refused at its place', (question, rule, field, expected) => {
    const fault = withRule(question, rule)!;
    expect(fault.field).toContain(`questions.${question}.answers.0.${field}`);
    expect(fault.expected).toContain(expected);
  });

  test('a band upside down is refused', () => {
    const changed = copied();
    changed.questions.leadFlare.answers[0]!.tolerance.above = -4;
    expect(faults(Method as never, changed)[0]).toMatchObject({
      field: 'questions.leadFlare.answers.0.tolerance.above',
      expected: 'at least 0',
    });
  });
});

describe('entries', () => {
  test('an address with the trail foot ahead of the lead is refused', () => {
    const crossed = address();
    crossed.setup.address.trail.heel.x = 900;
    expect(faults(AddressEntry as never, crossed)[0]).toMatchObject({
      field: 'setup.address.trail.heel.x',
      found: '900',
    });
  });

  test('a pitch with a driver is refused', () => {
    expect(faults(AddressEntry as never, { ...address(), club: 'driver', shot: 'pitch' })[0]?.field).toBe(
      'shot',
    );
  });

  test('a reading has every finding once, in body order, at most two put forward', () => {
    const reading = readSetup({
      setup: setup(),
      build: build(),
      club: '7-iron',
      clubLengthInches: clubById('7-iron').lengthInches,
      shot: 'full',
      legs: null,
      method: method(),
    });
    const entry = {
      ...common(),
      kind: 'reading',
      addressId: uuidv7(),
      buildId: uuidv7(),
      screenId: null,
      methodId: uuidv7(),
      methodVersion: 1,
      facts: { cautions: '', age: 40, rests: { hand: 'left', facts: [], shoulderGoal: 90 } },
      judgement: null,
      note: '',
      ...reading,
    };
    expect(faults(ReadingEntry as never, entry)).toEqual([]);
    const reversed = { ...entry, findings: [...entry.findings].reverse() };
    expect(faults(ReadingEntry as never, reversed)[0]?.expected).toMatch(/body order/);
    const forward = (over: object) => ({
      ...entry,
      findings: entry.findings.map((finding) => ({ ...finding, putForward: true, ...over })),
    });
    const out = { verdict: 'below', because: null, withheld: null };
    expect(faults(ReadingEntry as never, forward(out))[0]?.expected).toMatch(/at most two/);
    for (const over of [
      { ...out, verdict: 'in' },
      { ...out, withheld: 'It hurts.' },
    ]) {
      expect(faults(ReadingEntry as never, forward(over))[0]?.expected).toMatch(/put forward only/);
    }
  });
});

describe('a quick try', () => {
  const trial = {
    kind: 'trial',
    addressAId: uuidv7(),
    addressBId: uuidv7(),
    cueA: '',
    cueB: '',
    primary: 'straight path',
    margin: 1,
    scatter: 2,
    mishits: 'left out',
    warmUps: 0,
    length: 'quick',
    blockSize: 1,
    seed: 7,
    source: 'typed',
    apart: null,
  };
  const look = {
    kind: 'look',
    trialId: uuidv7(),
    shotIds: [],
    modelVersion: '1.0.0',
    length: 'quick',
    look: 1,
    painUp: false,
    verdict: 'not shown',
    because: 'never shown',
    evidence: null,
    effects: null,
    decision: 'drop',
    note: '',
  };

  test('is dealt shot by shot, and takes nothing apart', () => {
    expect(faults(TrialEntry as never, { ...common(), ...trial })).toEqual([]);
    expect(faults(TrialEntry as never, { ...common(), ...trial, blockSize: 2 })[0]?.field).toBe('length');
  });

  test('has one look, which is the last', () => {
    expect(faults(LookEntry as never, { ...common(), ...look })).toEqual([]);
    expect(faults(LookEntry as never, { ...common(), ...look, look: 2 })[0]?.expected).toMatch(
      /of a quick try/,
    );
    const open = { verdict: 'not yet', decision: 'go on' };
    expect(faults(LookEntry as never, { ...common(), ...look, ...open })[0]?.expected).toMatch(/last look/);
    const full = { ...look, length: 'full' };
    expect(faults(LookEntry as never, { ...common(), ...full })[0]?.expected).toMatch(/before the last look/);
  });
});

test('a divot ends no nearer the target than it starts', () => {
  expect(faults(ShotShape as never, { divotStart: 20, divotEnd: 120, mishit: false })).toEqual([]);
  expect(faults(ShotShape as never, { divotStart: 20, divotEnd: 10, mishit: false })[0]?.field).toBe(
    'divotEnd',
  );
});

test('entries from before quick tries and notes are read as whole trials without a note', () => {
  const before = (kind: string, over: object = {}) =>
    upgradedEntry({ ...common(), kind, apart: null, ...over } as never) as unknown as Record<string, unknown>;
  expect(before('trial').length).toBe('full');
  expect(before('look').length).toBe('full');
  expect(before('reading', { findings: [] }).note).toBe('');
});

test('a judgement from before it went by causes is told of the causes that its goals were about', () => {
  const judgement = {
    before: ['test the legs'],
    things: [
      { thing: 'lead foot', moves: [{ figure: 'leadFlare', from: 40, to: 15 }], serves: ['turn back'] },
      { thing: 'face', moves: [], serves: ['path'] },
    ],
    goals: [
      { goal: 'turn back', today: 2, after: 1 },
      { goal: 'ball', today: 3, after: 3 },
      { goal: 'path', today: 1, after: 0 },
    ],
    back: { stoppedBy: 'lead' },
    path: null,
    partings: [{ item: 'leadFlare', low: 12, high: 18, needs: 9 }],
  };
  const kept = { ...common(), kind: 'reading', findings: [], judgement };
  const before = upgradedEntry(kept as never) as unknown as ReadingEntry;
  expect(before.judgement).toMatchObject({
    pressure: null,
    legsUntested: true,
    rests: null,
    things: [
      { thing: 'lead foot', cause: 'lead leg back', figure: 'leadFlare', off: 'more', reason: null },
      { thing: 'face', cause: 'face first', figure: null, off: null },
    ],
    waits: [{ cause: 'lead leg back' }, { cause: 'out of band' }],
    partings: [{ item: 'leadFlare', needs: 9, reason: null, own: false }],
  });
  expect(before.judgement).not.toHaveProperty('goals');
  // What has it already stays as it is.
  expect(upgradedEntry(before)).toEqual(before);
});

test('a swing from before it had a path and a shot has neither', () => {
  const swings = { ...common(), kind: 'pressure', swings: [{ path: 2 }, {}] };
  expect(upgradedEntry(swings as never)).toMatchObject({
    shot: 'full',
    swings: [
      { path: 2, shot: null },
      { path: null, shot: null },
    ],
  });
});

test('an e-mail address is read without case or blanks', () => {
  expect(SignIn.parse({ email: ' Coach@Place.Example ', password: 'x' }).email).toBe('coach@place.example');
});
