import { SHOULDERS_AND_NEUTRAL, readSetup, clubById, type HouseMethod } from '@pedastance/core';
import { v7 as uuidv7 } from 'uuid';
import { AddressEntry, BuildFigures, Method, NewStudent, ReadingEntry, SignIn, faultsOf } from '.';
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

const student = () => ({
  id: uuidv7(),
  madeAt: '2026-05-01T10:00:00Z',
  name: 'Marl Testwick',
  hand: 'left',
  birthYear: 1980,
  cautions: '',
});

describe('faults name the field, what was expected and what was found', () => {
  test.each([
    [{ name: '' }, 'name', 'at least 1 character', '""'],
    [{ name: 'x'.repeat(81) }, 'name', 'at most 80 characters', `"${'x'.repeat(59)}…`],
    [{ hand: 'both' }, 'hand', 'right or left', '"both"'],
    [{ birthYear: 1850 }, 'birthYear', 'at least 1900', '1850'],
    [{ birthYear: 1980.5 }, 'birthYear', 'a whole number', '1980.5'],
    [{ birthYear: undefined }, 'birthYear', 'a number', 'nothing'],
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
  test('the one the product starts with passes', () => expect(Method.safeParse(method()).success).toBe(true));

  test('with an answer missing, named by question, club and shot', () => {
    const broken = copied();
    broken.questions.trailFlare.answers[0]!.clubs.pop();
    expect(faults(Method as never, broken)[0]?.expected).toBe(
      'trailFlare, Lob wedge, full shot: expected an answer, found none',
    );
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

describe('entries', () => {
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
      method: method(),
    });
    const entry = {
      ...common(),
      kind: 'reading',
      addressId: uuidv7(),
      buildId: uuidv7(),
      methodId: uuidv7(),
      methodVersion: 1,
      ...reading,
    };
    expect(faults(ReadingEntry as never, entry)).toEqual([]);
    const swapped = { ...entry, findings: [...entry.findings].reverse() };
    expect(faults(ReadingEntry as never, swapped)[0]?.expected).toMatch(/in body order/);
    const all = { ...entry, findings: entry.findings.map((finding) => ({ ...finding, putForward: true })) };
    expect(faults(ReadingEntry as never, all)[0]?.expected).toMatch(/at most two/);
  });
});

test('an e-mail address is read without case or blanks', () => {
  expect(SignIn.parse({ email: ' Coach@Place.Example ', password: 'x' }).email).toBe('coach@place.example');
});
