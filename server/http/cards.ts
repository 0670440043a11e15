import {
  CardToken,
  NewCardLink,
  RevokeCardLink,
  SendTicks,
  type LogEntry,
  type NewEntry,
  type OpenedCard,
  type StudentCards,
} from '@pedastance/contract';
import { mayBeSent, mayBeShown } from '@pedastance/contract/takenHome';
import type { Request, RequestHandler } from 'express';
import type { ClientBase } from 'pg';
import { tokenHash } from '../accounts/sessions';
import {
  addCardLink,
  addTicks,
  cardSeen,
  cardsOf,
  openCard,
  openPictures,
  refreshCardLinks,
  revokeCardLink,
} from '../store/cards';
import { inAcademy } from '../store/database';
import type { Writer } from '../store/rows';
import { findStudent, heldStudent } from '../store/students';
import { calendarOf } from './calendar';
import { parsedBody } from './guards';
import { badInput, Refusal } from './problems';
import { studentInPath, type Read } from './reads';
import type { Services } from './services';

/** A link to a minor's card needs a guardian's word. @throws Refusal */
export async function checkedCardLink(
  client: ClientBase,
  link: NewCardLink,
  writer: Writer,
): Promise<object> {
  const student = await heldStudent(client, link.studentId);
  const today = writer.receivedAt.toISOString().slice(0, 10);
  if (link.endsOn < today) throw badInput('endsOn', 'a day that is not over', link.endsOn);
  if (!mayBeSent(student, today))
    throw new Refusal(409, 'guardian-first', 'A guardian has to agree first', {
      detail: 'Note the guardian’s word under the student’s privacy, then send the card.',
    });
  if (link.pictures && !mayBeShown(student, today))
    throw new Refusal(409, 'sharing-consent', 'The student has not said yes to pictures on a card', {
      detail: 'Note the yes under the student’s privacy, then make the link anew. A minor’s are never shown.',
    });
  return addCardLink(client, link, writer);
}

/** What adds an entry, and brings the cards that rest on it up to date where students can read them. */
export const withCards =
  (add: (client: ClientBase, entry: NewEntry, writer: Writer) => Promise<LogEntry>) =>
  async (client: ClientBase, entry: NewEntry, writer: Writer): Promise<LogEntry> => {
    const added = await add(client, entry, writer);
    if (['card', 'change', 'ladder'].includes(entry.kind))
      await refreshCardLinks(client, added.studentId, writer.receivedAt);
    return added;
  };

/** The links that were handed out of a student's cards, and what came back. */
export const studentCards: Read = async (client, request): Promise<StudentCards> => {
  const { id } = await findStudent(client, studentInPath(request));
  return cardsOf(client, id);
};

export const revokeCard =
  ({ pool }: Services): RequestHandler =>
  async (request, response) => {
    const { id } = parsedBody(RevokeCardLink, request.body);
    const { academyId } = request.session.identity!;
    const done = await inAcademy(pool, academyId, (client) => revokeCardLink(client, id, new Date()));
    if (!done) throw badInput('id', 'a link that is open', 'another');
    response.status(204).end();
  };

/** The same for every link that is not open, whatever the reason. */
const closed = (): Refusal => new Refusal(410, 'card-closed', 'This card is not open');

/** The hash of the token that a body names. @throws Refusal as for any link that is not open */
function hashIn(request: Request): Buffer {
  const { token } = (request.body ?? {}) as { token?: unknown };
  if (!CardToken.safeParse(token).success) throw closed();
  return tokenHash(token as string);
}

async function opened({ pool }: Services, request: Request): Promise<OpenedCard> {
  const hash = hashIn(request);
  const card = await openCard(pool, hash, new Date());
  if (!card) throw closed();
  return card;
}

/** The card of a link, for whoever has it. */
export const readCard =
  (services: Services): RequestHandler =>
  async (request, response) => {
    response.json(await opened(services, request));
  };

/** The pictures of a link's card. @throws Refusal as for any link that is not open */
export const readPictures =
  ({ pool }: Services): RequestHandler =>
  async (request, response) => {
    const pictures = await openPictures(pool, hashIn(request), new Date());
    if (pictures === undefined) throw closed();
    response.json({ pictures });
  };

/** Said by the page itself once somebody can see it: what only fetches a link is not counted. */
export const countSeen =
  ({ pool }: Services): RequestHandler =>
  async (request, response) => {
    if (!(await cardSeen(pool, hashIn(request), new Date()))) throw closed();
    response.status(204).end();
  };

/** Takes in what was ticked on a card. */
export const takeTicks =
  ({ pool }: Services): RequestHandler =>
  async (request, response) => {
    const hash = hashIn(request);
    const { ticks } = parsedBody(SendTicks, request.body);
    const cameTo = await addTicks(pool, hash, ticks, new Date());
    if (cameTo === 'closed') throw closed();
    if (cameTo === 'full')
      throw new Refusal(409, 'card-full', 'This card has all the rounds it can keep', {
        detail: 'Ask your coach for a new one.',
      });
    response.status(204).end();
  };

/** A card's practice days and next look as a calendar file. */
export const cardCalendar =
  (services: Services): RequestHandler =>
  async (request, response) => {
    const { card } = await opened(services, request);
    const now = new Date();
    const id = hashIn(request).toString('hex').slice(0, 32);
    const text = calendarOf(card, { id, from: card.clubs[0]!.agreedOn, now });
    if (!text) throw new Refusal(404, 'not-found', 'This card has no days to keep');
    response.type('text/calendar; charset=utf-8').send(text);
  };
