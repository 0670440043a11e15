import type { Person } from '@pedastance/contract';
import {
  EMPTY_FIELDS,
  personFrom,
  studentFrom,
  type StudentFields,
  type StudentFromFields,
} from './studentForm';

/** What a column of a list of students can be. */
export const STUDENT_COLUMNS = [
  'name',
  'firstName',
  'lastName',
  'hand',
  'birthYear',
  'bornOn',
  'height',
  'shoulderBreadth',
  'hipBreadth',
  'shoe',
  'cautions',
] as const;
export type StudentColumn = (typeof STUDENT_COLUMNS)[number];

/** Where each column of ours stands in the file, from 0; what is not there is missing. */
export type StudentMapping = Partial<Record<StudentColumn, number>>;

/** Words that name a column in a header (common practice, no source). */
const NAMES: Record<StudentColumn, RegExp> = {
  firstName: /^(first|given) ?name|^forename/,
  lastName: /^(last|family) ?name|^surname/,
  name: /^(full ?)?name|^student|^player|^member/,
  hand: /hand|^plays/,
  bornOn: /born on|date of birth|birth ?(day|date)|^dob/,
  birthYear: /year|^born/,
  height: /^height/,
  shoulderBreadth: /shoulder/,
  hipBreadth: /^hip/,
  shoe: /^shoe|^eu\b/,
  cautions: /caution|injur|note|remark|health/,
};

const plain = (header: string): string =>
  header
    .toLowerCase()
    .replace(/[_.:]+/g, ' ')
    .trim();

/** What each header is likely to be, each column of ours at most once. */
export function guessStudentColumns(headers: readonly string[]): StudentMapping {
  const mapping: StudentMapping = {};
  const taken = new Set<number>();
  // The telling names first: "first name" is not the whole name, a day of birth is not only a year.
  for (const column of Object.keys(NAMES) as StudentColumn[]) {
    const at = headers.findIndex((header, index) => !taken.has(index) && NAMES[column].test(plain(header)));
    if (at < 0) continue;
    mapping[column] = at;
    taken.add(at);
  }
  return mapping;
}

/** Columns without which there is no student: the name, whole or in two, the hand, and when they were born. */
export function missingColumns(mapping: StudentMapping): ('name' | 'hand' | 'born')[] {
  const named = mapping.name !== undefined || mapping.lastName !== undefined;
  const born = mapping.birthYear !== undefined || mapping.bornOn !== undefined;
  return [
    ...(named ? [] : (['name'] as const)),
    ...(mapping.hand === undefined ? (['hand'] as const) : []),
    ...(born ? [] : (['born'] as const)),
  ];
}

const RIGHT = /^(r|rh|right|right[- ]?hand(ed)?)$/i;
const LEFT = /^(l|lh|left|left[- ]?hand(ed)?)$/i;

const handIn = (text: string): StudentFields['hand'] | null =>
  RIGHT.test(text) ? 'right' : LEFT.test(text) ? 'left' : text === '' ? '' : null;

/** A day as YYYY-MM-DD, from that or from day, month and year with points; any other stays as it is, to be refused. */
function dayIn(text: string): string {
  const [, day, month, year] = /^(\d{1,2})\.(\d{1,2})\.(\d{4})$/.exec(text) ?? [];
  return year ? `${year}-${month!.padStart(2, '0')}-${day!.padStart(2, '0')}` : text;
}

export interface StudentRow {
  /** The line in the file, the header being line 1. */
  line: number;
  person: Person;
  /** Null where the file has no height: it is asked for before the first lesson. */
  build: Extract<StudentFromFields, { person: Person }>['build'] | null;
}

export interface StudentRowFault {
  line: number;
  words: string;
}

export interface ReadStudents {
  rows: StudentRow[];
  faults: StudentRowFault[];
  /** Lines of students who are there already, by name and year of birth, or who stand in the file twice. */
  known: { line: number; name: string }[];
}

/** At most so many lines: an academy's list is shorter, and a file with more is another file. */
export const MOST_STUDENT_ROWS = 2_000;

function fieldsIn(row: readonly string[], mapping: StudentMapping): StudentFields | string {
  const cell = (column: StudentColumn): string => (row[mapping[column] ?? -1] ?? '').trim();
  const hand = handIn(cell('hand'));
  if (hand === null) return `Hand: expected right or left, found “${cell('hand')}”`;
  const bornOn = dayIn(cell('bornOn'));
  return {
    ...EMPTY_FIELDS,
    name: cell('name') || [cell('firstName'), cell('lastName')].filter(Boolean).join(' '),
    hand,
    bornOn,
    birthYear: cell('birthYear') || bornOn.slice(0, 4),
    cautions: cell('cautions'),
    height: cell('height'),
    shoulderBreadth: cell('shoulderBreadth'),
    hipBreadth: cell('hipBreadth'),
    shoe: cell('shoe'),
  };
}

function studentIn(
  fields: StudentFields,
  length: 'cm' | 'inches',
  today: string,
): StudentFromFields | Person {
  if (fields.height !== '') return studentFrom(fields, length, today);
  const { person, faults } = personFrom(fields);
  return Object.keys(faults).length > 0 ? { faults } : person;
}

const keyOf = ({ name, birthYear }: Pick<Person, 'name' | 'birthYear'>): string =>
  `${name.toLocaleLowerCase()} ${birthYear}`;

/**
 * Reads a list of students: those that can be taken, what is wrong with the others by line, and who is there already.
 * @param rows of the file, without its header
 * @param here the students of the academy
 * @param today YYYY-MM-DD
 */
export function readStudents(
  rows: readonly (readonly string[])[],
  mapping: StudentMapping,
  here: readonly Pick<Person, 'name' | 'birthYear'>[],
  length: 'cm' | 'inches',
  today: string,
): ReadStudents {
  const read: ReadStudents = { rows: [], faults: [], known: [] };
  const seen = new Set(here.map(keyOf));
  rows.forEach((row, at) => {
    const line = at + 2;
    if (row.every((cell) => cell.trim() === '')) return;
    const fields = fieldsIn(row, mapping);
    if (typeof fields === 'string') return read.faults.push({ line, words: fields });
    const student = studentIn(fields, length, today);
    if ('faults' in student) {
      return read.faults.push(...Object.values(student.faults).map((words) => ({ line, words })));
    }
    const [person, build] = 'person' in student ? [student.person, student.build] : [student, null];
    if (seen.has(keyOf(person))) return read.known.push({ line, name: person.name });
    seen.add(keyOf(person));
    return read.rows.push({ line, person, build });
  });
  return read;
}
