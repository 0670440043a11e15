import { plural } from '@pedastance/core/units';

const entries = (count: number): string => `${count} ${plural(count, 'entry', 'entries')}`;

/** What this strip says. */
export const messages = {
  thisDeviceCannotKeep: (why: string) => `This device cannot keep the lesson: ${why}`,
  keptHereNotSent: (count: number) => `${entries(count)} kept here, not sent.`,
  nothingIsLost: 'Nothing is lost.',
  signedOutByTheServer: (kept: string) => `Signed out by the server. ${kept} Sign in again`,
  accessEnded: (waiting: number) =>
    `An owner has ended your access. ${waiting > 0 ? `${entries(waiting)} cannot be sent: have a look` : 'Nothing was waiting to be sent'}`,
  refusedHaveALook: (count: number) => `${entries(count)} refused: have a look`,
  waiting: (count: number) => `${entries(count)} not sent yet, no connection; trying again`,
  sending: (count: number) => `${entries(count)} not sent yet, sending`,
  noConnectionYouCanGo: 'No connection. You can go on working.',
};
