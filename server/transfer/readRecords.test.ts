import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import fc from 'fast-check';
import { v7 as newId } from 'uuid';
import { MOST_LINE_FAULTS, readRecords } from './readRecords';
import type { StudentGroup } from './studentGroup';

jest.setTimeout(180_000);

const EXAMPLE = readFileSync(join(__dirname, '../../docs/formats/records.example.jsonl'), 'utf8');
const LINES = EXAMPLE.trim().split('\n');

async function* inChunks(bytes: Buffer, size: number): AsyncGenerator<Buffer> {
  for (let from = 0; from < bytes.length; from += size) yield bytes.subarray(from, from + size);
}

async function read(bytes: Buffer, size = 65_536) {
  const students: StudentGroup[] = [];
  const faults = await readRecords(inChunks(bytes, size), { student: (group) => void students.push(group) });
  return { students, faults };
}

const UUID = /[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}/g;

/** The example with identifiers of its own, each in the place of one of the example's. */
function renamed(): string {
  const fresh = new Map<string, string>();
  return EXAMPLE.replace(UUID, (id) => {
    const known = fresh.get(id) ?? newId();
    fresh.set(id, known);
    return known;
  });
}

test('a file is read alike in whatever pieces it comes', async () => {
  await fc.assert(
    fc.asyncProperty(fc.integer({ min: 1, max: 5_000 }), async (size) => {
      const { students, faults } = await read(Buffer.from(EXAMPLE), size);
      expect(faults).toEqual([]);
      expect(students.map(({ parts }) => parts.length)).toEqual([LINES.length - 5]);
    }),
    { numRuns: 40 },
  );
});

test('other identifiers make it another student, as right as the first', async () => {
  const { students, faults } = await read(Buffer.from(renamed()));
  expect(faults).toEqual([]);
  expect(students).toHaveLength(1);
});

/** Somewhere in a value of JSON another value. */
function spoiltValue(value: unknown, path: readonly number[], other: unknown): unknown {
  if (typeof value !== 'object' || value === null || path.length === 0) return other;
  const keys = Object.keys(value);
  const key = keys[path[0]! % Math.max(1, keys.length)];
  if (key === undefined) return other;
  const spoilt = spoiltValue((value as Record<string, unknown>)[key], path.slice(1), other);
  return Array.isArray(value)
    ? value.map((each: unknown, at) => (String(at) === key ? spoilt : each))
    : { ...value, [key]: spoilt };
}

const place = fc.nat({ max: LINES.length - 1 });

/** Ways in which a file goes wrong: in transfer, in an editor, or by somebody's hand. */
const spoilt = fc.oneof(
  fc
    .tuple(place, fc.array(fc.nat({ max: 30 }), { minLength: 1, maxLength: 6 }), fc.jsonValue())
    .map(([at, path, other]) => {
      const lines = [...LINES];
      lines[at] = JSON.stringify(spoiltValue(JSON.parse(lines[at]!), path, other));
      return Buffer.from(lines.join('\n'));
    }),
  place.map((at) => Buffer.from(LINES.filter((_line, each) => each !== at).join('\n'))),
  fc.tuple(place, place).map(([from, to]) => {
    const lines = [...LINES];
    lines.splice(to, 0, lines[from]!);
    return Buffer.from(lines.join('\n'));
  }),
  fc.tuple(place, place).map(([one, two]) => {
    const lines = [...LINES];
    [lines[one], lines[two]] = [lines[two]!, lines[one]!];
    return Buffer.from(lines.join('\n'));
  }),
  fc.nat({ max: EXAMPLE.length - 1 }).map((end) => Buffer.from(EXAMPLE).subarray(0, end)),
  fc
    .tuple(fc.nat({ max: EXAMPLE.length - 1 }), fc.uint8Array({ minLength: 1, maxLength: 40 }))
    .map(([at, bytes]) => {
      const whole = Buffer.from(EXAMPLE);
      return Buffer.concat([whole.subarray(0, at), bytes, whole.subarray(at)]);
    }),
  fc.uint8Array({ maxLength: 400 }).map((bytes) => Buffer.from(bytes)),
  fc
    .array(fc.jsonValue(), { maxLength: 20 })
    .map((values) => Buffer.from(values.map((each) => JSON.stringify(each)).join('\n'))),
);

test('ten thousand spoilt files: each is read to an end, and what is wrong is named by line', async () => {
  let right = 0;
  await fc.assert(
    fc.asyncProperty(spoilt, async (bytes) => {
      const { faults } = await read(bytes);
      if (faults.length === 0) right += 1;
      expect(faults.length).toBeLessThanOrEqual(MOST_LINE_FAULTS + 1);
      for (const { line, field, expected, found } of faults) {
        expect(line).toBeGreaterThanOrEqual(1);
        expect(field.length * expected.length).toBeGreaterThan(0);
        expect(typeof found).toBe('string');
      }
    }),
    { numRuns: 10_000 },
  );
  // Some changes change nothing that matters: a name, a note, two lines that may stand in either order.
  expect(right).toBeLessThan(3_000);
});

test('a student with a fault is not handed on, nor anybody after', async () => {
  const lines = [...LINES];
  const at = lines.findIndex((line) => line.startsWith('{"kind":"build"'));
  lines[at] = lines[at]!.replace('"height":{"value":', '"height":{"value":9');
  const { students, faults } = await read(Buffer.from(lines.join('\n')));
  expect(faults[0]).toMatchObject({ line: at + 1, field: 'record.figures.height.value' });
  expect(students).toEqual([]);
});
