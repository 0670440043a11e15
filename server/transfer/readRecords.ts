import { faultsOf } from '@pedastance/contract';
import { upgradedBody } from '@pedastance/contract/earlier';
import { isRecord } from '@pedastance/contract/isRecord';
import {
  RECORDS_FORMAT,
  RECORDS_VERSION,
  RecordsHeader,
  RecordsLine,
  type LineFault,
  type LineOf,
} from '@pedastance/contract/recordsFile';
import { CONTRACT_VERSION } from '@pedastance/contract/wire';
import { NotAJpeg } from '../store/encodedJpeg';
import { withEncodedPicture } from '../store/photos';
import { fileLines, Unreadable } from './fileLines';
import { referenceFaults } from './references';
import type { StudentGroup } from './studentGroup';

/** What of a file comes before its students. */
export interface FileStart {
  header: RecordsHeader;
  colleagues: LineOf<'colleague'>[];
  methods: LineOf<'method'>[];
  drills: LineOf<'drill'>[];
  ladders: LineOf<'own ladder'>[];
}

export interface Reader {
  /** Each line that is in order by itself, in today's shape. */
  line?(line: RecordsHeader | RecordsLine): void | Promise<void>;
  /** Once, before the first student. */
  start?(start: FileStart): void | Promise<void>;
  /** Each student whose lines are all in order. */
  student?(group: StudentGroup, start: FileStart): void | Promise<void>;
}

/** So many faults are told; a file with more is not worth reading on. */
export const MOST_LINE_FAULTS = 20;

const unreadable = ({ line, expected, found }: Unreadable): LineFault => ({
  line,
  field: 'line',
  expected,
  found,
});

/** How the kinds are called where bodies of earlier versions are brought up to date. */
const ROUTES: Partial<Record<string, string>> = {
  student: 'student',
  build: 'build',
  screen: 'screen',
  entry: 'entry',
  lesson: 'lesson',
};

function parsedJson(text: string, line: number): unknown {
  try {
    return JSON.parse(text);
  } catch {
    throw new Unreadable(line, 'one JSON object a line', text.slice(0, 40) || 'nothing');
  }
}

function headerOf(value: unknown): RecordsHeader {
  const { format, version, contract } = isRecord(value) ? value : {};
  if (format !== RECORDS_FORMAT) throw new Unreadable(1, `"format": "${RECORDS_FORMAT}"`, String(format));
  if (version !== RECORDS_VERSION) throw new Unreadable(1, `version ${RECORDS_VERSION}`, `${version}`);
  if (typeof contract === 'number' && contract > CONTRACT_VERSION)
    throw new Unreadable(1, 'records that this server knows', 'records of a newer app');
  const parsed = RecordsHeader.safeParse(value);
  if (parsed.success) return parsed.data;
  const [fault] = faultsOf(parsed.error, value);
  throw new Unreadable(1, `${fault!.field}: ${fault!.expected}`, fault!.found);
}

/** A line in today's shape: its record may be of an earlier version of the contract. */
function upgraded(value: unknown, contract: number): unknown {
  if (!isRecord(value) || contract === CONTRACT_VERSION) return value;
  const route = ROUTES[String(value.kind)];
  return route ? { ...value, record: upgradedBody(route, contract, value.record) } : value;
}

const DAY_MS = 24 * 60 * 60 * 1000;

/** A moment of a line that is more than a day ahead: it would stay the newest for good. */
function datedAhead(line: RecordsLine, now: number): { field: string; found: string } | null {
  const record = 'record' in line ? (line.record as { madeAt?: string; startedAt?: string }) : {};
  const moments: [string, string | null | undefined][] = [
    ['receivedAt', 'receivedAt' in line ? line.receivedAt : undefined],
    ['madeAt', 'madeAt' in line ? line.madeAt : undefined],
    ['record.madeAt', record.madeAt],
    ['record.startedAt', record.startedAt],
  ];
  const found = moments.find(([, at]) => at != null && Date.parse(at) > now + DAY_MS);
  return found ? { field: found[0], found: found[1]! } : null;
}

/** Reads a file of records line by line, and hands on what is in order. */
class RecordsFile {
  readonly faults: LineFault[] = [];
  private readonly begun: FileStart;
  private readonly colleagues = new Set<string>();
  private readonly methods = new Set<string>();
  private readonly seen = new Set<string>();
  private group: StudentGroup | null = null;
  private started = false;
  private broken = false;
  ended = false;

  constructor(
    header: RecordsHeader,
    private readonly reader: Reader,
    private readonly checked: boolean,
  ) {
    this.begun = { header, colleagues: [], methods: [], drills: [], ladders: [] };
  }

  private fault(line: number, field: string, expected: string, found: string): void {
    this.faults.push({ line, field, expected, found });
    this.broken = true;
  }

  async take(value: unknown, at: number): Promise<void> {
    if (this.ended) return this.fault(at, 'line', 'nothing after the end', 'another line');
    const line = await this.withPicture(this.lineOf(value, at), at);
    if (!line) return;
    const ahead = this.checked ? null : datedAhead(line, Date.now());
    if (ahead) this.fault(at, ahead.field, 'a moment before tomorrow', ahead.found);
    await this.reader.line?.(line);
    if ('by' in line && line.by !== null && !this.colleagues.has(line.by))
      this.fault(at, 'by', 'a colleague of this file', line.by);
    await this.sort(line, at);
  }

  private lineOf(value: unknown, at: number): RecordsLine | null {
    if (this.checked) return value as RecordsLine;
    const parsed = RecordsLine.safeParse(upgraded(value, this.begun.header.contract));
    if (parsed.success) return parsed.data;
    const [fault] = faultsOf(parsed.error, value);
    this.fault(at, fault!.field, fault!.expected, fault!.found);
    return null;
  }

  /** A photo with its picture encoded anew, as it is kept. */
  private async withPicture(line: RecordsLine | null, at: number): Promise<RecordsLine | null> {
    if (this.checked || line?.kind !== 'photo') return line;
    try {
      return { ...line, record: await withEncodedPicture(line.record) };
    } catch (error) {
      if (!(error instanceof NotAJpeg)) throw error;
      this.fault(at, 'record.jpeg', error.expected, error.found);
      return null;
    }
  }

  private async sort(line: RecordsLine, at: number): Promise<void> {
    switch (line.kind) {
      case 'colleague':
        this.colleagues.add(line.id);
        if (this.started) return this.fault(at, 'kind', 'colleagues before students', 'one after');
        return void this.begun.colleagues.push(line);
      case 'method':
        this.methods.add(`${line.record.id}:${line.record.version}`);
        if (this.started) return this.fault(at, 'kind', 'methods before students', 'one after');
        return void this.begun.methods.push(line);
      case 'drill':
        if (this.started) return this.fault(at, 'kind', 'drills before students', 'one after');
        return void this.begun.drills.push(line);
      case 'own ladder':
        if (this.started) return this.fault(at, 'kind', 'own ladders before students', 'one after');
        return void this.begun.ladders.push(line);
      case 'student':
        await this.handOn();
        this.group = { student: line, parts: [] };
        if (this.seen.has(line.record.id)) this.fault(at, 'record.id', 'each student once', line.record.id);
        return void this.seen.add(line.record.id);
      case 'end':
        await this.handOn();
        this.ended = true;
        if (line.lines !== at) this.fault(at, 'lines', `${line.lines} lines`, `${at}`);
        return;
      default:
        if (!this.group) return this.fault(at, 'kind', 'a student before what belongs to one', line.kind);
        this.group.parts.push({ at, line });
    }
  }

  /** Hands the student on whose lines have all been read. */
  private async handOn(): Promise<void> {
    if (!this.started) {
      this.started = true;
      if (!this.broken) await this.reader.start?.(this.begun);
    }
    const { group } = this;
    this.group = null;
    if (!group) return;
    const faults = this.checked ? [] : referenceFaults(group, this.methods);
    if (faults.length > 0) this.broken = true;
    this.faults.push(...faults);
    if (!this.broken) await this.reader.student?.(group, this.begun);
  }

  endedEarly(at: number): void {
    this.fault(at, 'line', 'the end of the file, which counts its lines', 'nothing: it was cut off');
  }
}

/**
 * Reads a file of records to its end, or until it is clear that it is none, and tells what is wrong with it by line.
 * @param chunks - the file's bytes
 * @param checked - it has been read before, and its lines are as `reader.line` was handed them
 */
export async function readRecords(
  chunks: AsyncIterable<Buffer>,
  reader: Reader,
  checked = false,
): Promise<LineFault[]> {
  let file: RecordsFile | null = null;
  let at = 0;
  try {
    for await (const text of fileLines(chunks)) {
      at += 1;
      const value = parsedJson(text, at);
      if (file) await file.take(value, at);
      else {
        const header = headerOf(value);
        await reader.line?.({ ...header, contract: CONTRACT_VERSION });
        file = new RecordsFile(header, reader, checked);
      }
      if (file.faults.length >= MOST_LINE_FAULTS) return file.faults.slice(0, MOST_LINE_FAULTS);
    }
  } catch (error) {
    // What is nested so deeply that nothing can walk it is no record.
    const nested = error instanceof RangeError;
    if (!nested && !(error instanceof Unreadable)) throw error;
    const fault = nested ? new Unreadable(at, 'a record', 'something nested too deeply') : error;
    return [...(file?.faults ?? []), unreadable(fault as Unreadable)];
  }
  if (!file) return [{ line: 1, field: 'line', expected: 'a file of records', found: 'nothing' }];
  if (!file.ended) file.endedEarly(at + 1);
  return file.faults;
}
