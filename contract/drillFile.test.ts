import { DRILL_LIBRARY } from '@pedastance/core/card';
import fc from 'fast-check';
import { faultsInDrill, readDrillFile, writeDrillFile } from './drillFile';

const file = writeDrillFile(DRILL_LIBRARY);
const faults = (text: string) => {
  const read = readDrillFile(text);
  return 'faults' in read ? read.faults : [];
};

test('the library comes back as it went', () => {
  expect(readDrillFile(file)).toEqual({ drills: DRILL_LIBRARY });
});

test('from elsewhere: what is wrong is named with its line, and nothing is taken', () => {
  const spoiled = file.replace('"trail foot"', '"left elbow"');
  expect(faults(spoiled)[0]).toMatchObject({ field: 'drills.0.things.0', found: '"left elbow"' });
  expect(faults(spoiled)[0]!.line).toBe(spoiled.slice(0, spoiled.indexOf('"left elbow"')).split('\n').length);
  expect(faults(file.replace('"formatVersion": 1', '"formatVersion": 2'))[0]!.field).toBe('formatVersion');
  expect(faults('[]')[0]!.expected).toBeTruthy();
  expect(faults('')[0]).toMatchObject({ line: 1, expected: 'JSON' });
  const [first] = DRILL_LIBRARY;
  expect(faults(writeDrillFile([first!, first!]))[0]!.field).toBe('drills');
});

test('a drill without its words cannot be kept', () => {
  expect(faultsInDrill({ ...DRILL_LIBRARY[0]!, name: ' ', how: '' }).map(({ field }) => field)).toEqual([
    'name',
    'how',
  ]);
});

test('a file cut off anywhere, or with a sign changed, is read or refused, and never throws', () => {
  fc.assert(
    fc.property(fc.nat(file.length - 1), fc.string({ maxLength: 3 }), (at, sign) => {
      const read = readDrillFile(file.slice(0, at) + sign + file.slice(at + 1));
      if ('faults' in read) expect(read.faults[0]!.line).toBeGreaterThan(0);
    }),
    { numRuns: 300 },
  );
});
