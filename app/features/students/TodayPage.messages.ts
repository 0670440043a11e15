import { plural } from '@pedastance/core/units';
import type { Said } from '../../domain/said';

/** What is said of the coach's day. */
export const messages = {
  today: 'Today',
  lessons: 'Lessons in progress',
  lesson: (since: string) => `since ${since}`,
  hurts: 'It hurts',
  hurtsRow: (on: Said) => `Ticked on ${on} that it hurts. Ask before the next lesson.`,
  decisions: 'Needs your word',
  refused: (count: number) => `${count} ${plural(count, 'record', 'records')} refused`,
  acts: (count: number) => `Keys, access, consent: ${count} new`,
  haveALook: 'Have a look',
  noConsent: 'Ask a guardian whether you may keep records',
  trials: 'Trials not finished',
  trial: (day: string) => `declared ${day}`,
  drifted: 'Drifted since it was agreed',
  driftedRow: (club: string, figures: string) => `${club}: ${figures}`,
  due: 'Look again',
  dueRow: (club: string, day: string) => `${club}, agreed ${day}`,
  outgrown: 'Grown since it was agreed',
  outgrownRow: 'Measure the body and the address anew',
  unsent: 'Not sent yet',
  unsentRow: (count: number) => `${count} ${plural(count, 'record', 'records')}`,
  goesBySelf: 'Sent by itself once there is a connection',
  looking: 'Looking through the records …',
  nothing: 'Nothing waits. Pick a student to begin.',
  more: (count: number) => `All of today: ${count} more`,
};
