import { PRESETS } from '@pedastance/core/method/presets';
import fc from 'fast-check';
import { readMethodFile, writeMethodFile } from './methodFile';

const file = writeMethodFile(PRESETS[0]!.contents);
const faults = (text: string) => {
  const read = readMethodFile(text);
  return 'faults' in read ? read.faults : [];
};
const lineOf = (text: string, words: string) => text.slice(0, text.indexOf(words)).split('\n').length;

test.each(PRESETS.map(({ key, contents }) => [key, contents] as const))(
  '%s comes back as it went',
  (_key, contents) => expect(readMethodFile(writeMethodFile(contents))).toEqual({ contents }),
);

test('an unknown club is refused with its line', () => {
  const spoiled = file.replace('"hybrid"', '"putter"');
  const [fault] = faults(spoiled);
  expect(fault).toMatchObject({ line: lineOf(spoiled, '"putter"'), found: '"putter"' });
  expect(fault!.field).toBe('questions.stanceWidth.answers.0.clubs.3');
  expect(fault!.expected).toMatch(/^driver or 3-wood/);
});

test('a band upside down is refused with its line', () => {
  const spoiled = file.replace('"below": 3,', '"below": -3,');
  expect(faults(spoiled)[0]).toEqual({
    line: lineOf(spoiled, '"below": -3'),
    field: 'questions.leadFlare.answers.0.tolerance.below',
    expected: 'at least 0',
    found: '-3',
  });
});

test('a missing answer is refused with the line of its question', () => {
  const value = JSON.parse(file);
  value.questions.trailFlare.answers[0].clubs.pop();
  const spoiled = JSON.stringify(value, null, 1);
  const [fault] = faults(spoiled);
  expect(fault).toMatchObject({
    field: 'questions.trailFlare.answers',
    expected: 'one answer for the Lob wedge, full shot, not none',
  });
  const question = spoiled.split('\n').findIndex((line) => line.includes('"trailFlare"')) + 1;
  expect(fault!.line).toBeGreaterThan(question);
  expect(fault!.line).toBeLessThan(question + 6);
});

test('a missing question is refused at what should hold it', () => {
  const value = JSON.parse(file);
  delete value.questions.hipBump;
  const [fault] = faults(JSON.stringify(value, null, 1));
  expect(fault).toMatchObject({ field: 'questions.hipBump', found: 'nothing' });
});

test('a file that breaks off, is empty or is something else', () => {
  expect(faults(file.slice(0, 2000))[0]!.line).toBe(file.slice(0, 2000).split('\n').length);
  expect(faults('')[0]).toMatchObject({ line: 1, field: 'file' });
  expect(faults('[1, 2]')[0]).toMatchObject({ line: 1, field: 'body' });
  expect(faults('{"format": "shopping list"}')[0]).toMatchObject({ field: 'format' });
});

test('a field given twice is refused, not quietly overruled', () => {
  const spoiled = file.replace('"name":', '"name": "Another",\n "name":');
  expect(faults(spoiled)).toEqual([
    { line: 5, field: 'name', expected: 'each field once', found: 'it again' },
  ]);
});

test('whatever is cut out of a file or put into it, it is refused with a line or read whole', () => {
  const lines = file.split('\n');
  fc.assert(
    fc.property(
      fc.nat(file.length - 1),
      fc.integer({ min: 0, max: 40 }),
      fc.string({ maxLength: 6 }),
      (at, cut, put) => {
        const read = readMethodFile(file.slice(0, at) + put + file.slice(at + cut));
        if (!('faults' in read)) return;
        expect(read.faults.length).toBeGreaterThan(0);
        for (const { line, field, expected, found } of read.faults) {
          expect(line).toBeGreaterThanOrEqual(1);
          expect(line).toBeLessThanOrEqual(lines.length + 6);
          expect([field, expected, found].every((words) => words !== '')).toBe(true);
        }
      },
    ),
    { numRuns: 150 },
  );
});
