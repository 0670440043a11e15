import { guessStudentColumns, missingColumns, readStudents } from './studentFile';

const TODAY = '2026-11-26';
const read = (
  text: string,
  here: { name: string; birthYear: number }[] = [],
  length: 'cm' | 'inches' = 'cm',
) => {
  const [header, ...rows] = text.split('\n').map((line) => line.split(';'));
  return readStudents(rows, guessStudentColumns(header!), here, length, TODAY);
};

test('columns are found in any order, by what clubs call them', () => {
  expect(
    guessStudentColumns(['Remarks', 'Date of birth', 'Surname', 'First name', 'Handed', 'Height (cm)']),
  ).toEqual({
    cautions: 0,
    bornOn: 1,
    lastName: 2,
    firstName: 3,
    hand: 4,
    height: 5,
  });
  expect(guessStudentColumns(['name', 'hand', 'year of birth', 'born on'])).toEqual({
    name: 0,
    hand: 1,
    birthYear: 2,
    bornOn: 3,
  });
  expect(missingColumns(guessStudentColumns(['Shoe']))).toEqual(['name', 'hand', 'born']);
});

test('a student needs no height; with one the build is estimated from it', () => {
  const { rows, faults } = read(
    'name;hand;born on;height\nWyn Sample;L;3.4.2012;\nTam Sample;right;1970-05-06;181',
  );
  expect(faults).toEqual([]);
  expect(rows).toMatchObject([
    {
      line: 2,
      person: { name: 'Wyn Sample', hand: 'left', birthYear: 2012, bornOn: '2012-04-03' },
      build: null,
    },
    {
      line: 3,
      person: { birthYear: 1970 },
      build: { figures: { height: { value: 1810, source: 'measured' } } },
    },
  ]);
});

test('bad rows are named by line, the others are read, empty ones are passed over', () => {
  const { rows, faults } = read(
    'name;hand;year\nOne;both;1990\n;right;1990\n;;\nThree;left;soon\nFour;right;1990',
  );
  expect(rows.map(({ line }) => line)).toEqual([6]);
  expect(faults).toEqual([
    { line: 2, words: 'Hand: expected right or left, found “both”' },
    { line: 3, words: 'Name: expected 1 to 80 characters, found nothing' },
    { line: 5, words: 'Year of birth: expected a year such as 1968, found “soon”' },
  ]);
});

test('who is there already, or twice in the file, is told and not doubled; a namesake of another year is somebody else', () => {
  const text =
    'name;hand;year\nOlive Twice;right;1980\nolive twice;right;1980\nOlive Twice;right;1981\nPip Here;left;2000';
  const { rows, known } = read(text, [{ name: 'Pip Here', birthYear: 2000 }]);
  expect(rows.map(({ line }) => line)).toEqual([2, 4]);
  expect(known.map(({ line }) => line)).toEqual([3, 5]);
});

test('heights are read in the coach’s unit', () => {
  const { rows } = read('name;hand;year;height\nSix Feet;right;1980;72', [], 'inches');
  expect(rows[0]!.build!.figures.height.value).toBeCloseTo(1828.8, 1);
});
