import type { NewEntry } from '@pedastance/contract';
import type { LineFault } from '@pedastance/contract/recordsFile';
import type { StudentGroup } from './studentGroup';

type Kind = NewEntry['kind'] | 'build' | 'screen' | 'lesson' | 'tick';

/** What a record names of its student's other records: the field, what it has to be, and which. */
type Reference = readonly [field: string, kind: Kind, id: string | null];

function referencesOf(entry: NewEntry): Reference[] {
  const common: Reference[] = [
    ['lessonId', 'lesson', entry.lessonId],
    ['replaces', entry.kind, entry.replaces],
  ];
  switch (entry.kind) {
    case 'reading':
      return [
        ...common,
        ['addressId', 'address', entry.addressId],
        ['buildId', 'build', entry.buildId],
        ['screenId', 'screen', entry.screenId],
      ];
    case 'change':
      return [
        ...common,
        ['readingId', 'reading', entry.readingId],
        ['fromAddressId', 'address', entry.fromAddressId],
        ['toAddressId', 'address', entry.toAddressId],
      ];
    case 'trial':
      return [
        ...common,
        ['addressAId', 'address', entry.addressAId],
        ['addressBId', 'address', entry.addressBId],
        ...(entry.apart?.addressIds ?? []).map((id): Reference => ['apart.addressIds', 'address', id]),
      ];
    case 'shots':
      return [...common, ['addressId', 'address', entry.addressId], ['trialId', 'trial', entry.trialId]];
    case 'look':
      return [...common, ['trialId', 'trial', entry.trialId]];
    case 'pressure':
      return [
        ...common,
        ...entry.swings.flatMap(({ shot }): Reference[] =>
          shot ? [['swings.shot', 'shots', shot.entryId]] : [],
        ),
      ];
    case 'card':
      return [...common, ['changeId', 'change', entry.changeId]];
    default:
      return common;
  }
}

const KIND_WORDS: Record<Kind, string> = {
  intake: 'an intake',
  exception: 'an exception',
  ladder: 'a ladder',
  test: 'a test',
  pressure: 'pressure under the feet',
  address: 'an address',
  reading: 'a reading',
  change: 'a change',
  trial: 'a trial',
  shots: 'shots',
  look: 'a look',
  card: 'a card',
  build: 'a build',
  screen: 'a screen',
  lesson: 'a lesson',
  tick: 'a tick',
};

type Part = StudentGroup['parts'][number];

type AnyKind = Kind | 'consent' | 'photo' | 'pain answer';

const kindOf = ({ line }: Part): AnyKind => (line.kind === 'entry' ? line.record.kind : line.kind);

/** What is wrong with one record's place: it belongs to another student, or stands there twice. */
function ownFaults({ at, line }: Part, studentId: string, twice: boolean): LineFault[] {
  const faults: LineFault[] = [];
  const named = line.kind === 'entry' ? studentId : line.record.studentId;
  if (named !== studentId)
    faults.push({ line: at, field: 'record.studentId', expected: 'the student above', found: named });
  if (twice) {
    faults.push({ line: at, field: 'record.id', expected: 'each record once', found: line.record.id });
  }
  return faults;
}

function wantedBy(line: Part['line']): Reference[] {
  switch (line.kind) {
    case 'entry':
      return referencesOf(line.record);
    case 'screen':
      return [['buildId', 'build', line.record.buildId]];
    case 'photo':
      return [['addressId', 'address', line.record.addressId]];
    case 'tick':
      return [['cardId', 'card', line.record.cardId]];
    case 'pain answer':
      return [['tickId', 'tick', line.record.tickId]];
    default:
      return [];
  }
}

/** Names what a student's records refer to that the file does not have. */
export function referenceFaults(group: StudentGroup, methods: ReadonlySet<string>): LineFault[] {
  const { id: studentId } = group.student.record;
  const kinds = new Map<string, AnyKind>();
  const faults: LineFault[] = [];
  for (const part of group.parts) {
    const { id } = part.line.record;
    faults.push(...ownFaults(part, studentId, kinds.has(id)));
    kinds.set(id, kindOf(part));
  }
  for (const { at, line } of group.parts) {
    for (const [field, kind, id] of wantedBy(line)) {
      if (id === null || kinds.get(id) === kind) continue;
      faults.push({
        line: at,
        field: `record.${field}`,
        expected: `${KIND_WORDS[kind]} of this student in this file`,
        found: id,
      });
    }
    if (line.kind !== 'entry' || line.record.kind !== 'reading') continue;
    const { methodId, methodVersion } = line.record;
    if (methods.has(`${methodId}:${methodVersion}`)) continue;
    const found = `${methodId}, version ${methodVersion}`;
    faults.push({ line: at, field: 'record.methodId', expected: 'a method of this file', found });
  }
  return faults;
}
