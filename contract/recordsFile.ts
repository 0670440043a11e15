/**
 * The file of records: JSON lines (one JSON value a line, UTF-8, RFC 8259), a header, then colleagues and methods,
 * then one student after another with all that belongs to each, and an end that counts the lines.
 */
import { z } from 'zod';
import { NewDrill, TickRecord } from './cards';
import { NewOwnLadder } from './ladders';
import { Id, ModelVersion, Moment, text, whole } from './common';
import { LONGEST_NAME } from './limits';
import { NewEntry, NewLesson, type EntryCheck } from './lessons';
import { Method } from './method';
import { NewPhoto } from './photos';
import { NewPainAnswer } from './pain';
import { NewConsent } from './privacy';
import { NewBuild, NewScreen, NewStudent } from './students';

export const RECORDS_FORMAT = 'pedastance records';
export const RECORDS_VERSION = 1;

export const RecordsHeader = z.strictObject({
  kind: z.literal('records'),
  format: z.literal(RECORDS_FORMAT),
  version: z.literal(RECORDS_VERSION),
  /** The version of the contract that the records were written by. */
  contract: whole(1),
  of: z.enum(['academy', 'student']),
  academy: text(1, LONGEST_NAME),
  exportedAt: Moment,
});
export type RecordsHeader = z.infer<typeof RecordsHeader>;

/** By whom a record was made, and when the server had it. */
const made = { by: Id, receivedAt: Moment };

const CheckShape = z.strictObject({
  verdict: z.enum(['agrees', 'differs', 'as told']),
  differences: z
    .array(
      z.strictObject({
        place: z.string().max(200),
        told: z.string().max(200),
        computed: z.string().max(200),
      }),
    )
    .max(200),
  modelVersion: ModelVersion,
});
export type KeptCheck = EntryCheck & { modelVersion: string };

export const ColleagueLine = z.strictObject({
  kind: z.literal('colleague'),
  id: Id,
  name: text(1, LONGEST_NAME),
});

export const MethodLine = z.strictObject({
  kind: z.literal('method'),
  by: Id.nullable(),
  receivedAt: Moment.nullable(),
  madeAt: Moment,
  record: Method,
});

export const DrillLine = z.strictObject({ kind: z.literal('drill'), ...made, record: NewDrill });

export const OwnLadderLine = z.strictObject({ kind: z.literal('own ladder'), ...made, record: NewOwnLadder });

export const StudentLine = z.strictObject({
  kind: z.literal('student'),
  ...made,
  updatedAt: Moment,
  version: whole(1),
  record: NewStudent,
});

export const BuildLine = z.strictObject({ kind: z.literal('build'), ...made, record: NewBuild });
export const ScreenLine = z.strictObject({ kind: z.literal('screen'), ...made, record: NewScreen });
export const ConsentLine = z.strictObject({ kind: z.literal('consent'), ...made, record: NewConsent });
export const LessonLine = z.strictObject({ kind: z.literal('lesson'), ...made, record: NewLesson });

export const EntryLine = z.strictObject({
  kind: z.literal('entry'),
  ...made,
  /** Who read it in from a file, and when: then `by` is as that file told it. */
  readIn: z.strictObject({ by: Id, at: Moment }).optional(),
  check: CheckShape.nullable(),
  record: NewEntry,
});

export const PhotoLine = z.strictObject({ kind: z.literal('photo'), ...made, record: NewPhoto });

/** What a student ticked: nobody of the academy made it. */
export const TickLine = z.strictObject({ kind: z.literal('tick'), receivedAt: Moment, record: TickRecord });

export const PainAnswerLine = z.strictObject({
  kind: z.literal('pain answer'),
  ...made,
  record: NewPainAnswer,
});

export const EndLine = z.strictObject({ kind: z.literal('end'), lines: whole(1) });

/** Any line after the header. */
export const RecordsLine = z.discriminatedUnion('kind', [
  ColleagueLine,
  MethodLine,
  DrillLine,
  OwnLadderLine,
  StudentLine,
  BuildLine,
  ScreenLine,
  ConsentLine,
  LessonLine,
  EntryLine,
  PhotoLine,
  TickLine,
  PainAnswerLine,
  EndLine,
]);
export type RecordsLine = z.infer<typeof RecordsLine>;
export type LineOf<Kind extends RecordsLine['kind']> = Extract<RecordsLine, { kind: Kind }>;

/** One thing wrong with a file: the line, which field, what was expected, what was found. */
export interface LineFault {
  line: number;
  field: string;
  expected: string;
  found: string;
}

/** What a file would bring, or brought: how many are new, how many were there already, and whom it cannot bring back. */
export interface ImportSummary {
  academy: string;
  exportedAt: string;
  students: { fresh: number; known: number; erased: number };
  entries: number;
  /** Names of students who are new here and have a namesake here already; the first of them. */
  namesakes: string[];
}

export interface ImportAnswer {
  summary: ImportSummary | null;
  faults: LineFault[];
}

/** A file is at most so large, bytes. */
export const LARGEST_RECORDS_FILE = 2 * 1024 ** 3;
/** A line is at most so long, characters; the longest that are written have a photo. */
export const LONGEST_LINE = 1_000_000;
