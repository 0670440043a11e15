// What the page asks the server, always with the link's secret in the body and never in an address.
import type { CardPictures, OpenedCard, Tick } from '@pedastance/contract';

/** The link is not open: revoked, ended, or never one. */
export class Closed extends Error {}
/** The card has all the rounds it can keep: what was sent has been looked at, and need not be sent again. */
export class Full extends Error {}
/** The server cannot be reached, or not just now. */
export class Away extends Error {}

async function ask(path: string, body: object): Promise<Response> {
  let response;
  try {
    response = await fetch(path, {
      method: 'POST',
      credentials: 'omit',
      referrerPolicy: 'no-referrer',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
  } catch {
    throw new Away();
  }
  if (response.status === 410) throw new Closed();
  if (response.status === 409) throw new Full();
  if (!response.ok) throw new Away();
  return response;
}

export const openCard = async (token: string): Promise<OpenedCard> =>
  (await (await ask('/api/card', { token })).json()) as OpenedCard;

export const fetchPictures = async (token: string): Promise<CardPictures | null> =>
  ((await (await ask('/api/card/pictures', { token })).json()) as { pictures: CardPictures | null }).pictures;

export const countSeen = (token: string): Promise<unknown> => ask('/api/card/seen', { token });

export const sendTicks = (token: string, ticks: readonly Tick[]): Promise<unknown> =>
  ask('/api/card/ticks', { token, ticks });

export const calendarFile = async (token: string): Promise<Blob> =>
  (await ask('/api/card/calendar', { token })).blob();
