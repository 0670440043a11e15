import { EMPTY_FIELDS, estimatesFor, fieldsOf, studentFrom, type StudentFields } from './studentForm';
import { typedNumber } from './typedNumber';

const TODAY = '2026-11-26';
const typed = (over: Partial<StudentFields> = {}): StudentFields => ({
  ...EMPTY_FIELDS,
  name: 'Marl Testwick',
  hand: 'left',
  birthYear: '1980',
  height: '178',
  ...over,
});

const made = (over: Partial<StudentFields> = {}, unit: 'cm' | 'inches' = 'cm') => {
  const result = studentFrom(typed(over), unit, TODAY);
  if ('faults' in result) throw new Error(JSON.stringify(result.faults));
  return result;
};
const faults = (over: Partial<StudentFields>, unit: 'cm' | 'inches' = 'cm') => {
  const result = studentFrom(typed(over), unit, TODAY);
  return 'faults' in result ? result.faults : {};
};

test('a name, a hand, a year and a height are enough; the rest is estimated and says so', () => {
  const { build, person } = made();
  expect(person).toEqual({
    name: 'Marl Testwick',
    hand: 'left',
    birthYear: 1980,
    bornOn: null,
    cautions: '',
    facts: [],
  });
  expect(build.figures.height).toEqual({ value: 1780, source: 'measured', uncertainty: 10 });
  for (const name of ['shoulderBreadth', 'hipBreadth', 'shoeLength', 'shoeBreadth'] as const) {
    expect(build.figures[name].source).toBe('estimated');
  }
});

test('what is typed is measured, with a comma as well as a point, in cm or inches', () => {
  expect(made({ shoulderBreadth: '48,2' }).build.figures.shoulderBreadth).toMatchObject({
    value: 482,
    source: 'measured',
  });
  const inches = made({ height: '70', shoulderBreadth: '19' }, 'inches').build.figures;
  expect(inches.shoulderBreadth.value).toBeCloseTo(482.6, 5);
  expect(typedNumber('41,3')).toBe(41.3);
  expect(typedNumber(' ')).toBeNaN();
});

test('a shoe by its size stays an estimate and keeps the size as it was given', () => {
  const { build } = made({ shoeBy: 'EU', shoe: '43' });
  expect(build.shoeSize).toEqual({ system: 'EU', size: 43 });
  expect(build.figures.shoeLength).toMatchObject({ source: 'estimated', uncertainty: 5 });
  expect(made({ shoeBy: 'sole length', shoe: '29.4' }).build.figures.shoeLength).toMatchObject({
    value: 294,
    source: 'measured',
  });
});

test.each([
  [{ name: ' ' }, 'name', 'Name: expected 1 to 80 characters, found nothing'],
  [{ hand: '' as const }, 'hand', 'Hand: expected right or left, found neither'],
  [{ birthYear: '80' }, 'birthYear', 'Year of birth: expected a year such as 1968, found “80”'],
  [{ height: '17.8' }, 'height', 'Height: expected 90 to 230 cm, found “17.8”'],
  [{ height: 'tall' }, 'height', 'Height: expected 90 to 230 cm, found “tall”'],
  [{ shoulderBreadth: '480' }, 'shoulderBreadth', 'Shoulder breadth: expected 20 to 65 cm, found “480”'],
  [{ shoeBy: 'sole length' as const, shoe: '60' }, 'shoe', 'Sole length: expected 15 to 38 cm, found “60”'],
  [{ shoeBy: 'EU' as const, shoe: '90' }, 'shoe', 'shoe size: expected EU 23 to 54.5, found EU 90'],
  [
    { height: '120', shoulderBreadth: '60' },
    'shoulderBreadth',
    'Shoulder breadth: expected at most 48.0, which is 0.4 of the height, found 60.0',
  ],
])('%p is refused by field, expected and found', (over, field, sentence) => {
  expect(faults(over)[field as keyof StudentFields]).toBe(sentence);
});

test('a range is told in the coach’s own unit', () => {
  expect(faults({ height: '10' }, 'inches').height).toBe('Height: expected 35.4 to 90.6 in, found “10”');
});

test('every fault at once, not one at a time', () => {
  expect(Object.keys(faults({ name: '', birthYear: '', shoulderBreadth: '9' })).sort()).toEqual([
    'birthYear',
    'name',
    'shoulderBreadth',
  ]);
});

test('a known student comes back into the form as typed: measured figures filled, estimates empty', () => {
  const { person, build } = made({ shoulderBreadth: '48.2', shoeBy: 'UK', shoe: '9' });
  const student = {
    ...person,
    id: 's',
    version: 1,
    madeAt: '',
    updatedAt: '',
    lastEntryAt: null,
    consent: null,
    build: { id: 'b', studentId: 's', madeAt: '', ...build },
  };
  const fields = fieldsOf(student, 'cm');
  expect(fields).toMatchObject({
    shoulderBreadth: '48.2',
    hipBreadth: '',
    shoeBy: 'UK',
    shoe: '9',
    height: '178.0',
  });
  expect(studentFrom(fields, 'cm', TODAY)).toEqual({ person, build });
});

test('estimates follow the height as it is typed', () => {
  expect(estimatesFor(typed({ height: '' }), 'cm', TODAY)).toBeNull();
  const short = estimatesFor(typed({ height: '155' }), 'cm', TODAY)!;
  const tall = estimatesFor(typed({ height: '195' }), 'cm', TODAY)!;
  expect(tall.shoulderBreadth.value).toBeGreaterThan(short.shoulderBreadth.value);
});

test('a day of birth is a day of that year, and decides who is a minor', () => {
  expect(faults({ birthYear: '2008', bornOn: '2009-01-05' }).bornOn).toMatch(/a day of 2008, as 2008-11-27/);
  expect(faults({ birthYear: '2008', bornOn: '2008-13-40' }).bornOn).toMatch(/found “2008-13-40”/);
  expect(made({ birthYear: '2008', bornOn: '2008-11-27' }).person.bornOn).toBe('2008-11-27');
});
