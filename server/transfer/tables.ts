import type { AddressEntry, NewEntry, NewStudent } from '@pedastance/contract';
import type { RecordsLine } from '@pedastance/contract/recordsFile';
import { OUR_HEADERS, shotRows } from '@pedastance/core/formats';
import {
  CHANGES,
  differences,
  FIGURES,
  FIGURE_WORDS,
  measureSetup,
  measuredFigure,
  type SetupFigure,
} from '@pedastance/core/setup';
import { MM_PER_CM } from '@pedastance/core/units';
import Papa from 'papaparse';

/** What a spreadsheet takes of an academy or a student. */
export const TABLES = ['students', 'builds', 'figures', 'changes', 'shots'] as const;
export type TableName = (typeof TABLES)[number];

/** How numbers are written where the file is opened: with a comma, columns are parted by semicolons. */
export type DecimalSign = 'point' | 'comma';

type Cell = string | number | null;

/** What is known while the records go by: whose they are, who made them, and the addresses they refer to. */
interface Passing {
  colleagues: Map<string, string>;
  student: NewStudent | null;
  addresses: Map<string, AddressEntry>;
}

/** A table: its columns, and the rows that a line of a file of records makes. */
interface Table {
  columns: readonly string[];
  rows(line: RecordsLine, passing: Passing): Cell[][];
}

const cm = (mm: number): number => Math.round(mm) / MM_PER_CM;
const rounded = (value: number): number => Math.round(value * 10) / 10;

const entryOf = (line: RecordsLine): NewEntry | null => (line.kind === 'entry' ? line.record : null);
const day = (moment: string): string => moment.slice(0, 10);
/** By whom an entry was made; where that is as a file told it, who read the file in and when. */
function writer(line: RecordsLine, { colleagues }: Passing): [coach: string, fromFile: string] {
  if (line.kind !== 'entry') return ['', ''];
  const { by, readIn } = line;
  const coach = colleagues.get(by) ?? '';
  return [coach, readIn ? `read in by ${colleagues.get(readIn.by) ?? ''}, ${day(readIn.at)}` : ''];
}
const withClub = (address: AddressEntry | undefined): [string, string] => [
  address?.club ?? '',
  address?.shot ?? '',
];

const STUDENT_COLUMNS = ['name', 'hand', 'year of birth', 'born on', 'cautions', 'added on', 'identifier'];

const WRITER_COLUMNS = ['coach', 'from a file'];

const BUILD_COLUMNS = [
  'student',
  'hand',
  'year of birth',
  'measured on',
  'height, cm',
  'shoulder breadth, cm',
  'hip breadth, cm',
  'shoe length, cm',
  'shoe breadth, cm',
];

const figureName = (figure: SetupFigure): string => FIGURE_WORDS[figure].name;

function figureRows(entry: AddressEntry, before: Cell[]): Cell[][] {
  const measured = measureSetup(entry.setup);
  return CHANGES.flatMap((figure): Cell[][] => {
    const found = measuredFigure(measured, figure);
    if (!found) return [];
    return [
      [...before, figureName(figure), rounded(found.value), FIGURES[figure].unit, rounded(found.uncertainty)],
    ];
  });
}

const WHOLE: Record<TableName, Table> = {
  students: {
    columns: STUDENT_COLUMNS,
    rows: (line) => {
      if (line.kind !== 'student') return [];
      const { name, hand, birthYear, bornOn, cautions, madeAt, id } = line.record;
      return [[name, hand, birthYear, bornOn ?? '', cautions, day(madeAt), id]];
    },
  },
  builds: {
    columns: BUILD_COLUMNS,
    rows: (line, { student }) => {
      if (line.kind !== 'build') return [];
      const { madeAt, figures } = line.record;
      const { height, shoulderBreadth, hipBreadth, shoeLength, shoeBreadth } = figures;
      const lengths = [height, shoulderBreadth, hipBreadth, shoeLength, shoeBreadth];
      return [
        [
          student!.name,
          student!.hand,
          student!.birthYear,
          day(madeAt),
          ...lengths.map(({ value }) => cm(value)),
        ],
      ];
    },
  },
  figures: {
    columns: [
      'student',
      'day',
      ...WRITER_COLUMNS,
      'standing',
      'club',
      'shot',
      'figure',
      'value',
      'unit',
      'uncertainty',
    ],
    rows: (line, passing) => {
      const entry = entryOf(line);
      if (entry?.kind !== 'address') return [];
      const before = [
        passing.student!.name,
        day(entry.madeAt),
        ...writer(line, passing),
        entry.standing,
        ...withClub(entry),
      ];
      return figureRows(entry, before);
    },
  },
  changes: {
    columns: [
      'student',
      'day',
      ...WRITER_COLUMNS,
      'club',
      'shot',
      'figure',
      'from',
      'to',
      'unit',
      'reason',
      'feel',
      'note',
    ],
    rows: (line, passing) => {
      const entry = entryOf(line);
      if (entry?.kind !== 'change') return [];
      const [from, to] = [entry.fromAddressId, entry.toAddressId].map((id) => passing.addresses.get(id));
      const before = [passing.student!.name, day(entry.madeAt), ...writer(line, passing), ...withClub(to)];
      const words = [entry.reason, entry.feel, entry.note];
      if (!from || !to) return [[...before, '', null, null, '', ...words]];
      return differences(from.setup, to.setup).map((each) => [
        ...before,
        figureName(each.change),
        each.from === null ? null : rounded(each.from),
        rounded(each.to),
        each.unit,
        ...words,
      ]);
    },
  },
  shots: {
    columns: ['student', 'when', ...WRITER_COLUMNS, 'club', 'shot', 'setup', ...OUR_HEADERS],
    rows: (line, passing) => {
      const entry = entryOf(line);
      if (entry?.kind !== 'shots') return [];
      const { place } = entry;
      const setup = !place ? '' : place.warmUp ? 'warm-up' : (place.arm ?? '');
      const before = [
        passing.student!.name,
        entry.madeAt,
        ...writer(line, passing),
        ...withClub(passing.addresses.get(entry.addressId)),
        setup,
      ];
      return shotRows(entry.shots, passing.student!.hand).map((row) => [...before, ...row]);
    },
  },
};

/** A text that a spreadsheet would take for a formula; a number with a sign is none (OWASP, CSV injection). */
const FORMULA = /^(?![+-]?\d[\d.,]*$)[=+\-@\t\r\uFF1D\uFF0B\uFF0D\uFF20].*$/s;
const NUMBER = /^-?\d+(\.\d+)?$/;

function written(cell: Cell, decimal: DecimalSign): string {
  const text = cell === null ? '' : String(cell);
  return decimal === 'comma' && (typeof cell === 'number' || NUMBER.test(text))
    ? text.replace('.', ',')
    : text;
}

const BYTE_ORDER_MARK = '\ufeff';

/**
 * A table as CSV (RFC 4180, UTF-8 with the mark by which spreadsheets know it), row by row, from the lines of a file of
 * records.
 */
export async function* tableLines(
  lines: AsyncIterable<string>,
  name: TableName,
  decimal: DecimalSign,
): AsyncGenerator<string> {
  const { columns, rows } = WHOLE[name];
  const delimiter = decimal === 'comma' ? ';' : ',';
  const csv = (row: readonly string[]): string =>
    `${Papa.unparse([[...row]], { delimiter, escapeFormulae: FORMULA })}\r\n`;
  const passing: Passing = { colleagues: new Map(), student: null, addresses: new Map() };
  yield BYTE_ORDER_MARK + csv(columns);
  for await (const text of lines) {
    const line = JSON.parse(text) as RecordsLine;
    if (line.kind === 'colleague') passing.colleagues.set(line.id, line.name);
    if (line.kind === 'student') {
      passing.student = line.record;
      passing.addresses.clear();
    }
    const entry = entryOf(line);
    if (entry?.kind === 'address') passing.addresses.set(entry.id, entry);
    for (const row of rows(line, passing)) yield csv(row.map((cell) => written(cell, decimal)));
  }
}
