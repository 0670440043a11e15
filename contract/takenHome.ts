import type { AgreedClub, FoundOnLadder, TakenHome } from '@pedastance/core/card';
import { firstOfEachClubAndShot, sameClubAndShot } from '@pedastance/core/club';
import { LADDER_NAMES, LADDERS, thresholdOf } from '@pedastance/core/ladder';
import { isMinor, type Born } from '@pedastance/core/body/person';
import type { LengthUnit } from '@pedastance/core/units';
import type { CardEntry } from './cards';
import { climbedAt, triesBehind } from './climbed';
import type { LadderEntry } from './ladders';
import type { AddressEntry, ChangeEntry, LogEntry, Logged } from './lessons';
import type { NewStudent, Student } from './students';
import { inTime, isKind } from './trialLog';

type Log = readonly LogEntry[];

/** The newest of an entry and its corrections. */
function standing<Entry extends LogEntry>(entry: Entry, log: readonly Entry[]): Entry {
  const next = log.find((each) => each.replaces === entry.id);
  return next ? standing(next, log) : entry;
}

/** A card with what it rests on. */
interface Found {
  card: Logged<CardEntry>;
  change: ChangeEntry;
  from: AddressEntry;
  agreed: AddressEntry;
}

/** Every card of a log whose change and addresses are there, the newest first, each club and shot once. */
export function standingCards(log: Log): Found[] {
  const changes = log.filter(isKind('change'));
  const addresses = new Map(log.filter(isKind('address')).map((entry) => [entry.id, entry]));
  const cards = log.filter(isKind('card')).sort((a, b) => inTime(b, a));
  const found = cards.flatMap((card): Found[] => {
    const named = changes.find(({ id }) => id === card.changeId);
    const change = named && standing(named, changes);
    const [from, agreed] = [
      addresses.get(change?.fromAddressId ?? ''),
      addresses.get(change?.toAddressId ?? ''),
    ];
    return change && from && agreed ? [{ card: card as Logged<CardEntry>, change, from, agreed }] : [];
  });
  return firstOfEachClubAndShot(found, ({ agreed }) => agreed);
}

const sameShot = (a: Found, b: Found): boolean => sameClubAndShot(a.agreed, b.agreed);

const clubOf = ({ card, change, from, agreed }: Found): AgreedClub => ({
  club: agreed.club,
  shot: agreed.shot,
  from: from.setup,
  agreed: agreed.setup,
  agreedOn: change.madeAt.slice(0, 10),
  leadHeelLift: change.leadHeelLift,
  reason: change.reason,
  feel: change.feel,
  further: card.further,
  dose: card.dose,
  rounds: card.rounds,
});

/**
 * Whether a link to a student's card may be made: of a minor's only with a guardian's word.
 * @param student who, with the newest word on consent
 * @param today YYYY-MM-DD
 * @returns whether it may
 */
export const mayBeSent = ({ consent, ...born }: Born & Pick<Student, 'consent'>, today: string): boolean =>
  !isMinor(born, today) || (consent?.given === true && consent.by === 'guardian');

/**
 * Whether pictures of a student's feet may stand on a card: with their own yes, and never a minor's.
 * @param student who, with the newest word on consent
 * @param today YYYY-MM-DD
 * @returns whether they may
 */
export const mayBeShown = ({ consent, ...born }: Born & Pick<Student, 'consent'>, today: string): boolean =>
  !isMinor(born, today) && consent?.given === true && consent.photos && consent.sharing;

/** What is known no better than to so many fine steps is not told on a card (starting value). */
const TOLD_WITHIN_STEPS = 4;

/** What ladders found of a student, the newest of each, as the log has it; a ladder of the academy's own is not told on a card. */
function foundOn(log: Log): FoundOnLadder[] {
  const ladders = log.filter(isKind('ladder')) as Logged<LadderEntry>[];
  const replaced = new Set(ladders.map(({ replaces }) => replaces));
  const newest = ladders.filter(({ id }) => !replaced.has(id)).sort((a, b) => inTime(b, a));
  return LADDER_NAMES.flatMap((name): FoundOnLadder[] => {
    const entry = newest.find(({ ladder }) => ladder === name);
    const threshold = entry && thresholdOf(LADDERS[name], triesBehind(entry, newest));
    if (!entry || !threshold) return [];
    const { standOn, low, high } = threshold;
    if (standOn === null) return [];
    if (high - low > TOLD_WITHIN_STEPS * LADDERS[name].fine) return [];
    return [
      { ladder: name, figure: LADDERS[name].figure, on: climbedAt(entry).slice(0, 10), standOn, low, high },
    ];
  });
}

/** What a card is composed for. */
export interface CardFor {
  cardId: string;
  /** With every other club that has a card. */
  wholeBag: boolean;
  length: LengthUnit;
  /** YYYY-MM-DD */
  today: string;
}

/**
 * What a student takes home by a card: by the newest one for its club, where it was brought up to date since.
 * @param student the student
 * @param log the student's cards, changes, addresses and ladders
 * @param wanted which card, and how it is said
 * @returns what the card is made from; null where the log has not all of it
 */
export function takenHome(
  student: Pick<NewStudent, 'name' | 'hand' | 'birthYear' | 'bornOn' | 'facts'>,
  log: Log,
  { cardId, wholeBag, length, today }: CardFor,
): TakenHome | null {
  const named = standingCardOf(log, cardId);
  if (!named) return null;
  const others = wholeBag
    ? standingCards(log).filter((each) => each !== named && !sameShot(each, named))
    : [];
  const { routine, drills, cue, practice, nextLook, ladder } = named.card;
  const { name, hand, birthYear, bornOn, facts } = student;
  return {
    student: { name, hand, birthYear, bornOn, facts },
    clubs: [named, ...others].map(clubOf),
    routine,
    drills,
    cue,
    practice,
    nextLook,
    ladder,
    found: foundOn(log),
    length,
    today,
  };
}

/** The card that stands today for the club of another one. */
function standingCardOf(log: Log, cardId: string): Found | undefined {
  const wanted = log.filter(isKind('card')).find(({ id }) => id === cardId);
  const change = log.filter(isKind('change')).find(({ id }) => id === wanted?.changeId);
  const agreed = log.filter(isKind('address')).find(({ id }) => id === change?.toAddressId);
  return agreed && standingCards(log).find((each) => sameClubAndShot(each.agreed, agreed));
}
