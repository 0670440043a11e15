import type { BeforeAll } from '@pedastance/core/advice';
import type { Place } from '../../domain/lessonDraft';
import { plural } from '@pedastance/core/units';

const names: Record<Place, string> = {
  student: 'Student',
  address: 'Address',
  read: 'Read',
  change: 'Change',
  keep: 'Keep',
};

const before: Record<BeforeAll, string> = {
  'see a doctor': 'doctor first',
  'measure the feet': 'feet first',
  'test the legs': 'legs first',
  'measure the turn': 'turn first',
};

/** What the places are called, and how far each is. */
export const messages = {
  placesOfTheLesson: 'Places of the lesson',
  names,
  measured: (count: number, all: number) => `${count} of ${all}`,
  noClubYet: 'no club yet',
  fine: 'fine',
  notYet: 'not yet',
  before,
  things: (count: number) => `${count} ${plural(count, 'thing', 'things')}`,
  done: '✓',
  legsNotTested: 'legs?',
  inUse: '✓ in use',
};
