import type { Said } from '../../domain/said';

/** What this screen says. */
export const messages = {
  everythingInItsBand: '● Everything in its band.',
  leadHeelUpGoingBack: 'Lead heel up, going back',
  feel: (feel: Said) => `Feel: ${feel}`,
  notSentYet: (day: Said) => `${day} · ◐ not sent yet`,
  seenInTheSwing: (seen: Said) => `Seen in the swing: ${seen}.`,
  note: (note: Said) => `Note: ${note}`,
  bothAddressesOnThePlan: 'Both addresses on the plan',
  thisAddressOnThePlan: 'This address on the plan',
};
