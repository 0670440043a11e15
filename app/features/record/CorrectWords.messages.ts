import type { Said } from '../../domain/said';

/** What this screen says. */
export const messages = {
  reasonExpectedOneFoundNothing: 'Reason: expected one, found nothing',
  correctedWordsOfAChange: 'Corrected words of a change',
  notSavedThisDevice: (message: Said) => `Not saved: this device could not keep it (${message})`,
  reason: 'Reason',
  feel: 'Feel',
  note: 'Note',
  theLogOnlyGrowsWhat: 'The log only grows: what stood before is kept beside the correction.',
  recordTheCorrection: 'Record the correction',
};
