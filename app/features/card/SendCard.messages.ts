import type { Said } from '../../domain/said';

/** What this part says. */
export const messages = {
  wholeBag: 'With the other clubs that have a card',
  makeLink: 'Keep it and make a link',
  share: 'Share the link',
  copyLink: 'Copy the link',
  copied: 'Copied',
  linkReady: (until: Said) =>
    `The link is shown this once and opens until ${until}. It opens without an account, and says the first name alone.`,
  opensOnceSent: 'It opens once this device has sent it.',
  copyText: 'Copy as text',
  savePicture: 'Save as a picture',
  print: 'Print, or save as PDF',
  notMade: (why: Said) => `No link: ${why}`,
  guardian: 'A minor. Note the guardian’s word first, then make a link.',
  toConsent: 'To consent',
};
