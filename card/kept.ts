// What a student's phone keeps of a card, under the link's own secret.
import type { CardPictures, OpenedCard, Tick } from '@pedastance/contract';

export interface Kept {
  opened: OpenedCard;
  /** Null where the card has none; absent while they were not fetched. */
  pictures?: CardPictures | null;
  /** Ticks that the server has not had yet. */
  waiting: Tick[];
}

const PREFIX = 'card ';

/** The card that the phone has, while its time lasts. */
export function keptCard(token: string): Kept | null {
  try {
    return JSON.parse(localStorage.getItem(PREFIX + token) ?? 'null') as Kept | null;
  } catch {
    return null;
  }
}

export function keep(token: string, kept: Kept): void {
  try {
    localStorage.setItem(PREFIX + token, JSON.stringify(kept));
  } catch {
    // A browser that keeps nothing still shows the card while there is a connection.
  }
}

export const letGo = (token: string): void => localStorage.removeItem(PREFIX + token);

/** Today by the phone's own calendar, YYYY-MM-DD. */
export function localDay(now = new Date()): string {
  const part = (value: number) => String(value).padStart(2, '0');
  return `${now.getFullYear()}-${part(now.getMonth() + 1)}-${part(now.getDate())}`;
}

/** Lets go of every card on this phone whose time is over. */
export function letGoOfEnded(today: string): void {
  for (const key of Object.keys(localStorage).filter((name) => name.startsWith(PREFIX))) {
    const token = key.slice(PREFIX.length);
    const kept = keptCard(token);
    if (!kept || kept.opened.endsOn < today) letGo(token);
  }
}
