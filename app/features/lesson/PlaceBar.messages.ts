import type { Place } from '../../domain/lessonDraft';
import { plural } from '@pedastance/core/units';

const names: Record<Place, string> = {
  student: 'Student',
  address: 'Address',
  read: 'Read',
  change: 'Change',
  keep: 'Keep',
};

/** What the places are called, and how far each is. */
export const messages = {
  placesOfTheLesson: 'Places of the lesson',
  names,
  measured: (count: number, all: number) => `${count} of ${all}`,
  noClubYet: 'no club yet',
  fine: 'fine',
  things: (count: number) => `${count} ${plural(count, 'thing', 'things')}`,
  done: '✓',
  legsNotTested: 'legs?',
  inUse: '✓ in use',
};
