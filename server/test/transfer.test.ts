import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { RecordsHeader, RecordsLine } from '@pedastance/contract/recordsFile';
import Papa from 'papaparse';
import { v7 as uuidv7 } from 'uuid';
import { runErasures } from '../store/erasures';
import { laddersSchema, recordsSchema } from '../transfer/recordsSchema';
import { inExportLane } from '../http/exportLane';
import { addAccount } from '../store/accounts';
import { hashPassword } from '../accounts/passwords';
import {
  landCard,
  landPain,
  landRecord,
  landTrial,
  newConsent,
  newDrill,
  newOwnLadder,
  newMethod,
  newStudent,
} from './bodies';
import { rowsOf } from './catalogue';
import { meanDifference } from './pictures';
import { sessionCookie } from './sessionCookie';
import { asAdmin, openWorld, PASSWORD, type Coach, type World } from './world';
import { OWNER_HEADER, ownerOf } from '@pedastance/contract';
import { Client } from 'pg';

jest.setTimeout(120_000);

let world: World;
let record: Awaited<ReturnType<typeof landRecord>>;

beforeAll(async () => {
  world = await openWorld();
  record = await landRecord(world, world.lantern);
  await landTrial(world.colleague, record);
  const { token } = await landCard(world, world.lantern, record);
  await landPain(world, world.lantern, record.student.id, token);
  await world.colleague.ask('POST', '/api/drills', newDrill());
  await world.colleague.ask('POST', '/api/ladders', newOwnLadder());
  await world.lantern.ask('POST', '/api/consents', newConsent(record.student.id));
  await landRecord(world, world.colleague);
  await world.lantern.ask('POST', '/api/students', newStudent({ name: 'Únë “Quote”, Ltd;\tTab' }));
}, 60_000);
afterAll(() => world.close());

const exported = async (coach: Pick<Coach, 'ask'>, path = 'academy'): Promise<string> => {
  const answer = await coach.ask('GET', `/api/exports/${path}`);
  expect(answer.status).toBe(200);
  return answer.body as string;
};

const imported = (coach: Pick<Coach, 'ask'>, text: string, step: 'preview' | 'take') =>
  coach.ask('POST', `/api/imports?step=${step}`, text, { 'content-type': 'application/x-ndjson' });

/** An academy with nothing in it, and its owner. */
async function emptyAcademy(): Promise<Coach> {
  const id = uuidv7();
  const identity = {
    academyId: uuidv7(),
    academyName: 'Empty Range',
    instructorId: id,
    instructorName: 'Di',
    role: 'owner' as const,
  };
  const email = `${id}@empty.example`;
  const owner = new Client({ connectionString: world.adminUrl });
  await owner.connect();
  await owner.query('set role pedastance_owner');
  const passwordHash = await hashPassword(PASSWORD);
  await addAccount(owner, { ...identity, email, passwordHash, demo: false }, new Date());
  await owner.end();
  const cookie = sessionCookie((await world.signIn(email)).headers).split(';')[0]!;
  const headers = { cookie, [OWNER_HEADER]: ownerOf(identity) };
  return {
    identity,
    email,
    headers,
    ask: (method, path, body, more) => world.ask(method, path, body, { ...headers, ...more }),
  };
}

const linesOf = (text: string): string[] => text.split('\n').filter(Boolean);
/** A file without what differs from export to export: its header. */
const withoutHeader = (text: string): string[] => linesOf(text).slice(1);

/** A file without its header and without who read it in, who is one line of it. */
const withoutReader = (text: string, { identity }: Coach): string[] =>
  withoutHeader(text)
    .filter((line) => !line.includes(`"kind":"colleague","id":"${identity.instructorId}"`))
    .map((line) => line.replace(/"readIn":\{[^}]*\},/, ''))
    .map((line) => line.replace(/(?<=^\{"kind":"end","lines":)\d+/, (lines) => String(Number(lines) - 1)));

/** A file's pictures, which are encoded anew wherever they come in, and its lines without them. */
function picturesApart(lines: readonly string[]): { lines: string[]; pictures: Buffer[] } {
  const pictures: Buffer[] = [];
  const rest = lines.map((line) =>
    line.replace(/"jpeg":"([^"]*)"/, (_whole, jpeg: string) => {
      pictures.push(Buffer.from(jpeg, 'base64'));
      return '"jpeg"';
    }),
  );
  return { lines: rest, pictures };
}

/** The rows of a table for a spreadsheet. */
function parsedTable(text: string): Record<string, string>[] {
  const { data, errors } = Papa.parse<Record<string, string>>(text.replace(/^\ufeff/, ''), {
    header: true,
    skipEmptyLines: true,
  });
  expect(errors).toEqual([]);
  return data;
}

// A line is changed by its fields' names, whatever its kind.
type AnyLine = any; // eslint-disable-line @typescript-eslint/no-explicit-any

/** The file with one of its lines changed. */
function altered(text: string, find: (line: AnyLine) => boolean, change: (line: AnyLine) => unknown): string {
  const lines = linesOf(text).map((line) => JSON.parse(line) as unknown);
  const at = lines.findIndex(find);
  expect(at).toBeGreaterThanOrEqual(0);
  lines[at] = change(structuredClone(lines[at]));
  return `${lines.map((line) => JSON.stringify(line)).join('\n')}\n`;
}

describe('a file of records', () => {
  test('has a line for everything, each as the format says', async () => {
    const [header, ...lines] = linesOf(await exported(world.lantern)).map(
      (line) => JSON.parse(line) as unknown,
    );
    expect(RecordsHeader.safeParse(header).error).toBeUndefined();
    for (const line of lines) expect(RecordsLine.safeParse(line).error).toBeUndefined();
    const kinds = new Set(
      (lines as { kind: string; record?: { kind?: string } }[]).map(({ kind, record: r }) => r?.kind ?? kind),
    );
    expect([...kinds].sort()).toEqual(
      [
        'address',
        'build',
        'card',
        'change',
        'colleague',
        'consent',
        'drill',
        'end',
        'exception',
        'intake',
        'ladder',
        'lesson',
        'look',
        'method',
        'own ladder',
        'pain answer',
        'photo',
        'pressure',
        'reading',
        'screen',
        'shots',
        'student',
        'test',
        'tick',
        'trial',
      ].sort(),
    );
  });

  test('read into an empty academy, and exported again, is the same to the letter, its pictures the same to the eye', async () => {
    const text = await exported(world.lantern);
    const empty = await emptyAcademy();
    const preview = await imported(empty, text, 'preview');
    expect(preview.body).toMatchObject({
      faults: [],
      summary: { students: { fresh: 3, known: 0, erased: 0 } },
    });
    expect(withoutHeader(await exported(empty))).toHaveLength(1);
    expect((await imported(empty, text, 'take')).body).toEqual(preview.body);
    const back = await exported(empty);
    const [sent, kept] = [withoutHeader(text), withoutReader(back, empty)].map(picturesApart);
    expect(kept!.lines).toEqual(sent!.lines);
    expect(kept!.pictures.length).toBeGreaterThan(0);
    for (const [at, picture] of kept!.pictures.entries())
      expect(await meanDifference(picture, sent!.pictures[at]!)).toBeLessThan(3);
  });

  test('says of each entry that it came from a file, who read it in and when, whoever it names as its writer', async () => {
    const text = await exported(world.lantern);
    expect(text).not.toContain('readIn');
    const empty = await emptyAcademy();
    await imported(empty, text, 'take');
    const lines = withoutHeader(await exported(empty)).map((line) => JSON.parse(line) as AnyLine);
    const entries = lines.filter(({ kind }) => kind === 'entry');
    const today = new Date().toISOString().slice(0, 10);
    expect(entries.length).toBeGreaterThan(0);
    for (const { by, readIn } of entries) {
      expect(by).not.toBe(empty.identity.instructorId);
      expect(readIn).toEqual({
        by: empty.identity.instructorId,
        at: expect.stringMatching(`^${today}`) as unknown,
      });
    }
    expect(lines).toContainEqual({ kind: 'colleague', id: empty.identity.instructorId, name: 'Di' });
    for (const table of ['figures', 'changes', 'shots']) {
      const rows = parsedTable(await exported(empty, `tables/${table}`));
      expect(rows.length).toBeGreaterThan(0);
      for (const row of rows)
        expect([row.coach, row['from a file']]).toEqual([
          expect.stringMatching(/^(Ada|Bo)$/) as unknown,
          `read in by Di, ${today}`,
        ]);
    }
    for (const row of parsedTable(await exported(world.lantern, 'tables/figures')))
      expect(row['from a file']).toBe('');
    // Taken on to a third academy, it is told of the reader there.
    const third = await emptyAcademy();
    await imported(third, await exported(empty), 'take');
    const readers = withoutHeader(await exported(third)).flatMap(
      (line) => /"readIn":\{"by":"([^"]*)"/.exec(line)?.[1] ?? [],
    );
    expect(new Set(readers)).toEqual(new Set([third.identity.instructorId]));
  });

  test('misses no table that has anything of a student', async () => {
    const empty = await emptyAcademy();
    await imported(empty, await exported(world.lantern), 'take');
    const rows = (coach: Coach) => rowsOf(world.adminUrl, record.student.id, coach.identity.academyId);
    const [before, after] = [await rows(world.lantern), await rows(empty)];
    // What landed and the stand-in's shots are the server's own, kept for devices that send again; a link is to this
    // server, and is made anew.
    const { landed_write, stand_in_shot, mat_session, card_link, ...kept } = before;
    expect(landed_write! * stand_in_shot! * mat_session! * card_link!).toBeGreaterThan(0);
    expect(Object.entries(kept).filter(([, count]) => count === 0)).toEqual([]);
    expect(after).toEqual({
      ...kept,
      landed_write: 0,
      stand_in_shot: 0,
      mat_session: 0,
      card_link: 0,
    });
  });

  test('read in twice brings nothing twice', async () => {
    const text = await exported(world.lantern);
    const empty = await emptyAcademy();
    await imported(empty, text, 'take');
    const once = await exported(empty);
    const again = await imported(empty, text, 'take');
    expect(again.body.summary.students).toEqual({ fresh: 0, known: 3, erased: 0 });
    expect(withoutHeader(await exported(empty))).toEqual(withoutHeader(once));
  });

  test('of one student has that student alone, and whoever taught', async () => {
    const text = await exported(world.lantern, `students/${record.student.id}`);
    const students = linesOf(text).filter((line) => line.includes('"kind":"student"'));
    expect(students).toHaveLength(1);
    expect(text).toContain('"name":"Bo"');
    const empty = await emptyAcademy();
    expect((await imported(empty, text, 'take')).body).toMatchObject({
      faults: [],
      summary: { students: { fresh: 1 } },
    });
    const there = await empty.ask('GET', `/api/students/${record.student.id}`);
    const here = await world.lantern.ask('GET', `/api/students/${record.student.id}`);
    const entriesOf = (answer: typeof there) =>
      [...answer.body.entries].sort((a, b) => a.id.localeCompare(b.id));
    expect(entriesOf(there)).toEqual(entriesOf(here));
    expect(there.body.student).toEqual(here.body.student);
    // Found by name, as any student is.
    expect((await empty.ask('GET', '/api/students?search=testwick')).body.students).toHaveLength(1);
    // Who taught is named, and does not sign in here.
    const people = await empty.ask('GET', '/api/colleagues');
    expect(people.body.colleagues.find(({ name }: { name: string }) => name === 'Bo').endedAt).not.toBeNull();
  });

  test('does not bring an erased student back, and says so', async () => {
    const text = await exported(world.lantern);
    const academy = await emptyAcademy();
    await imported(academy, text, 'take');
    const { id, name } = record.student;
    await academy.ask('POST', '/api/erasures', { studentId: id, name });
    await asAdmin(
      world.adminUrl,
      `update erasure set asked_at = asked_at - interval '25 hours' where student = $1`,
      [id],
    );
    await runErasures(world.pool);
    const again = await imported(academy, text, 'take');
    expect(again.body.summary.students).toEqual({ fresh: 0, known: 2, erased: 1 });
    expect((await academy.ask('GET', `/api/students/${id}`)).status).toBe(404);
  });

  test('with a namesake names it, and both are there', async () => {
    const empty = await emptyAcademy();
    const name = record.student.name;
    await empty.ask('POST', '/api/students', newStudent({ name }));
    const preview = await imported(empty, await exported(world.lantern), 'preview');
    expect(preview.body.summary.namesakes).toEqual([name]);
  });

  test('is for owners', async () => {
    await asAdmin(
      world.adminUrl,
      `update instructor set role = 'instructor' where email = 'bo@test.example'`,
    );
    expect((await world.colleague.ask('GET', '/api/exports/academy')).status).toBe(403);
    expect((await imported(world.colleague, '', 'preview')).status).toBe(403);
    expect((await world.colleague.ask('GET', `/api/exports/students/${record.student.id}`)).status).toBe(200);
    await asAdmin(world.adminUrl, `update instructor set role = 'owner' where email = 'bo@test.example'`);
  });

  test('is begun in the app: a link elsewhere begins none, and nothing is noted', async () => {
    const acts = async () => (await world.lantern.ask('GET', '/api/privacy')).body.audit.length;
    const before = await acts();
    const { cookie } = world.lantern.headers;
    const from = (site: string | null, path: string) =>
      fetch(`${world.origin}/api/exports/${path}`, {
        headers: { cookie: cookie!, ...(site !== null && { 'sec-fetch-site': site }) },
      });
    for (const path of ['academy', `students/${record.student.id}`, 'tables/students'])
      for (const site of ['cross-site', 'same-site', 'none', null])
        expect((await from(site, path)).status).toBe(403);
    expect(await acts()).toBe(before);
    const own = await from('same-origin', 'academy');
    expect([own.status, (await own.text()).length > 0]).toEqual([200, true]);
  });

  test('that finds no place is refused in words, is no file, and is not noted as handed out', async () => {
    const acts = async () => (await world.lantern.ask('GET', '/api/privacy')).body.audit.length;
    const before = await acts();
    let finish = () => undefined as void;
    const held = new Promise<void>((resolve) => (finish = resolve));
    const open = [1, 2].map(() => inExportLane(world.lantern.identity.instructorId, () => held));
    try {
      for (const path of ['academy', `students/${record.student.id}`, 'tables/students']) {
        const refused = await world.lantern.ask('GET', `/api/exports/${path}`);
        expect([refused.status, refused.headers.get('content-disposition')]).toEqual([429, null]);
        expect(refused.headers.get('content-type')).toContain('application/problem+json');
      }
      expect(await acts()).toBe(before);
    } finally {
      finish();
    }
    await Promise.all(open);
    await exported(world.lantern);
    expect(await acts()).toBe(before + 1);
  });

  test('carries methods of one’s own with all their versions', async () => {
    const method = newMethod();
    await world.lantern.ask('POST', '/api/methods', method);
    await world.lantern.ask(
      'POST',
      '/api/methods',
      newMethod({ methodId: method.methodId, version: 2, name: 'Second' }),
    );
    const empty = await emptyAcademy();
    await imported(empty, await exported(world.lantern), 'take');
    const versions = await empty.ask('GET', `/api/methods/${method.methodId}`);
    expect(versions.body.map(({ version }: { version: number }) => version)).toEqual([2, 1]);
  });
});

describe('a file that is not right', () => {
  const kindIs = (kind: string) => (line: { kind?: unknown }) => line.kind === kind;
  const entryIs = (kind: string) => (line: { record?: { kind?: string } }) => line.record?.kind === kind;

  test.each<[string, (text: string) => string, { line?: number; field: string; expected: string }]>([
    ['nothing', () => '', { field: 'line', expected: 'a file of records' }],
    ['no JSON', () => 'name;hand\nA;left\n', { line: 1, field: 'line', expected: 'one JSON object a line' }],
    [
      'another format',
      () => '{"format":"diary","version":1}\n',
      { line: 1, field: 'line', expected: '"format": "pedastance records"' },
    ],
    [
      'a later version',
      (text) =>
        altered(
          text,
          () => true,
          (line) => ({ ...line, version: 2 }),
        ),
      { line: 1, field: 'line', expected: 'version 1' },
    ],
    [
      'records of a newer app',
      (text) =>
        altered(
          text,
          () => true,
          (line) => ({ ...line, contract: 99 }),
        ),
      { line: 1, field: 'line', expected: 'records that this server knows' },
    ],
    [
      'cut off',
      (text) => `${linesOf(text).slice(0, -3).join('\n')}\n`,
      { field: 'line', expected: 'the end of the file, which counts its lines' },
    ],
    [
      'cut off within a line',
      (text) => text.slice(0, -400),
      { field: 'line', expected: 'one JSON object a line' },
    ],
    [
      'a line lost',
      (text) =>
        linesOf(text)
          .filter((_line, at) => at !== 3)
          .join('\n'),
      { field: 'by', expected: 'a colleague of this file' },
    ],
    [
      'a line too long',
      (text) => `${linesOf(text)[0]}\n{"a":"${'x'.repeat(1_100_000)}"}\n`,
      { line: 2, field: 'line', expected: 'at most 1000000 characters' },
    ],
    ['a zipped file', () => 'PK\u0003\u0004zip', { line: 1, field: 'line', expected: 'lines of JSON' }],
    [
      'a figure out of range',
      (text) =>
        altered(text, kindIs('build'), (line) => {
          line.record.figures.height.value = 9;
          return line;
        }),
      { field: 'record.figures.height.value', expected: 'at least 900' },
    ],
    [
      'a stray field',
      (text) => altered(text, kindIs('lesson'), (line) => ({ ...line, more: 1 })),
      { field: 'body', expected: 'only known fields' },
    ],
    [
      'a build of another student',
      (text) =>
        altered(text, kindIs('build'), (line) => {
          line.record.studentId = uuidv7();
          return line;
        }),
      { field: 'record.studentId', expected: 'the student above' },
    ],
    [
      'a reading of no address',
      (text) =>
        altered(text, entryIs('reading'), (line) => {
          line.record.addressId = uuidv7();
          return line;
        }),
      { field: 'record.addressId', expected: 'an address of this student in this file' },
    ],
    [
      'a reading of no method',
      (text) =>
        altered(text, entryIs('reading'), (line) => {
          line.record.methodVersion = 7;
          return line;
        }),
      { field: 'record.methodId', expected: 'a method of this file' },
    ],
    [
      'an entry of no lesson',
      (text) =>
        altered(text, kindIs('entry'), (line) => {
          line.record.lessonId = uuidv7();
          return line;
        }),
      { field: 'record.lessonId', expected: 'a lesson of this student in this file' },
    ],
    [
      'a student before whom something stands',
      (text) => {
        const lines = linesOf(text);
        const at = lines.findIndex((line) => line.startsWith('{"kind":"student"'));
        lines.splice(at, 0, lines[at + 1]!);
        return lines.join('\n');
      },
      { field: 'kind', expected: 'a student before what belongs to one' },
    ],
    [
      'half a character',
      (text) => text.replace('Marl', 'Marl\\ud800'),
      { field: 'record.name', expected: 'text without NUL or half characters' },
    ],
    [
      'a photo whose picture is none',
      (text) => text.replace(/"jpeg":"\/9j\/[^"]{40}/, `"jpeg":"${'A'.repeat(44)}`),
      { field: 'record.jpeg', expected: 'a JPEG picture' },
    ],
  ])('%s: named by line, and nothing is taken', async (_what, spoil, fault) => {
    const text = spoil(await exported(world.lantern));
    const empty = await emptyAcademy();
    for (const step of ['preview', 'take'] as const) {
      const answer = await imported(empty, text, step);
      expect(answer.status).toBe(200);
      expect(answer.body.faults[0]).toMatchObject(fault);
      expect(answer.body.faults[0].line).toBeGreaterThanOrEqual(1);
    }
    expect((await empty.ask('GET', '/api/changes')).body).toMatchObject({ students: [], methods: [] });
  });
});

describe('the documents', () => {
  const kept = (name: string) => readFileSync(join(__dirname, '../../docs/formats', name), 'utf8');

  test('have the JSON Schema of the format as it is (npm run formats)', () => {
    expect(JSON.parse(kept('records.schema.json'))).toEqual(JSON.parse(JSON.stringify(recordsSchema())));
    expect(JSON.parse(kept('ladders.schema.json'))).toEqual(JSON.parse(JSON.stringify(laddersSchema())));
  });

  test('have an example that can be read', async () => {
    const empty = await emptyAcademy();
    const answer = await imported(empty, kept('records.example.jsonl'), 'take');
    expect(answer.body).toMatchObject({ faults: [], summary: { students: { fresh: 1 }, entries: 6 } });
  });
});

describe('tables for a spreadsheet', () => {
  const table = (name: string, query = '') => exported(world.lantern, `tables/${name}${query}`);
  test('have the mark of UTF-8, a header, and names as they are', async () => {
    const text = await table('students');
    // The test's fetch takes the mark away, as a browser's does; a spreadsheet reads the bytes.
    expect(parsedTable(text).map(({ name }) => name)).toContain('Únë “Quote”, Ltd;\tTab');
    const bytes = Buffer.from(
      await (
        await fetch(`${world.origin}/api/exports/tables/students`, { headers: world.lantern.headers })
      ).arrayBuffer(),
    );
    expect(bytes.subarray(0, 3)).toEqual(Buffer.from([0xef, 0xbb, 0xbf]));
  });

  test('run no formula: what begins like one is text, and numbers stay numbers', async () => {
    const name = '=cmd|"/c calc"!A1';
    const student = newStudent({ name, cautions: '@SUM(A1)' });
    await world.harbour.ask('POST', '/api/students', student);
    const text = await exported(world.harbour, `tables/students?student=${student.id}`);
    expect(parsedTable(text)).toMatchObject([{ name: `'${name}`, cautions: `'@SUM(A1)` }]);
    const shots = parsedTable(await table('shots', `?student=${record.student.id}`));
    // A left-hander's path is told from the right, as everywhere in files.
    expect(JSON.stringify(shots)).toContain('"2.3"');
    expect(JSON.stringify(shots)).toContain('"-3.1"');
  });

  test('write numbers with a comma where that is asked for, and part columns by semicolons', async () => {
    const text = await table('builds', `?student=${record.student.id}&decimal=comma`);
    const [header, row] = text.replace(/^\ufeff/, '').split('\r\n');
    const point = parsedTable(await table('builds', `?student=${record.student.id}`))[0]!;
    expect(header!.split(';')).toEqual(Object.keys(point));
    expect(row!.split(';').at(-1)).toBe(point['shoe breadth, cm']!.replace('.', ','));
  });

  test('have each figure with its unit and how sure it is, and each change from what to what', async () => {
    const figures = parsedTable(await table('figures', `?student=${record.student.id}`));
    expect(figures[0]).toMatchObject({ student: 'Marl Testwick', club: '7-iron', coach: 'Ada' });
    expect(figures.map(({ figure }) => figure)).toContain('Width, heel to heel');
    for (const { value, unit, uncertainty } of figures) {
      expect([Number.isFinite(Number(value)), Number(uncertainty) > 0, unit]).toEqual([true, true, unit]);
    }
    const changes = parsedTable(await table('changes', `?student=${record.student.id}`));
    expect(changes.length).toBeGreaterThan(0);
    expect(changes[0]).toMatchObject({ reason: 'Lead foot square.', feel: 'Toe to the target.' });
    expect(changes.every(({ from, to }) => from !== to)).toBe(true);
  });

  test('that there are none of, or of a student of another academy, are refused', async () => {
    expect((await world.lantern.ask('GET', '/api/exports/tables/secrets')).status).toBe(404);
    expect(
      (await world.lantern.ask('GET', '/api/exports/tables/students?decimal=dot')).body.faults[0].field,
    ).toBe('decimal');
    expect(
      (await world.harbour.ask('GET', `/api/exports/tables/students?student=${record.student.id}`)).status,
    ).toBe(404);
  });
});
