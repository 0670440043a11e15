import { plural } from '@pedastance/core/units';
import type { Said } from '../../domain/said';

/** What this part says. */
export const messages = {
  links: 'Links that are out',
  link: (made: Said, until: Said) => `Made ${made}, opens until ${until}`,
  opened: (count: number, last: Said) =>
    count === 0 ? 'Not opened yet' : `Opened ${count} ${plural(count, 'time', 'times')}, last on ${last}`,
  revoked: (on: Said) => `Revoked ${on}`,
  ended: 'Ended',
  revoke: 'Revoke',
  revokedNow: 'A phone that keeps this card lets go of it at its next contact.',
  practised: (days: number, rounds: number) =>
    days === 0
      ? 'Nothing ticked yet.'
      : `Ticked on ${days} ${plural(days, 'day', 'days')}, ${rounds} ${plural(rounds, 'round', 'rounds')} in all.`,
  ladderAtHome: (name: Said, done: number, of: number) => `${name} at home: ${done} of ${of} tries done.`,
};
