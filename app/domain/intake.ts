import type { IntakeEntry, LogEntry, Logged } from '@pedastance/contract';
import { isKind } from '@pedastance/contract/trialLog';
import type { CameFor, Intake } from '@pedastance/core/body';

export const CAME_FOR_WORDS: Record<CameFor, string> = {
  'curves away': 'Curves away',
  'curves toward': 'Curves toward',
  'starts right': 'Starts right',
  'starts left': 'Starts left',
  'misses both ways': 'Misses both ways',
  fat: 'Fat',
  thin: 'Thin',
  'swing too short': 'Swing too short',
  'more distance': 'More distance',
  'cannot turn back': 'Cannot turn back',
  'cannot turn through': 'Cannot turn through',
  'turns too far': 'Turns too far',
  'falls off balance': 'Falls off balance',
  sore: 'Sore',
  'just a check': 'Just a check',
};

/** What a student came for, by lesson: the newest that was noted of each. */
export function intakesOf(entries: readonly LogEntry[], studentId: string): Map<string, Logged<IntakeEntry>> {
  const own = entries.filter(isKind('intake')).filter((entry) => entry.studentId === studentId);
  const inOrder = own.sort((a, b) => a.madeAt.localeCompare(b.madeAt)) as Logged<IntakeEntry>[];
  return new Map(inOrder.map((entry) => [entry.lessonId, entry]));
}

/** What a student came for in a few words. */
export function intakeWords({ cameFor, sore, words, sport }: Intake): string {
  const reasons = cameFor.map((reason) =>
    reason === 'sore' && sore !== '' ? `sore: ${sore}` : CAME_FOR_WORDS[reason].toLowerCase(),
  );
  return [
    ...(reasons.length > 0 ? [`Came for: ${reasons.join(', ')}.`] : []),
    ...(words === '' ? [] : [`“${words}”`]),
    ...(sport === '' ? [] : [`Knows ${sport} best.`]),
  ].join(' ');
}
