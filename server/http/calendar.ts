import type { Card } from '@pedastance/core/card';
import ical, { ICalCalendarMethod, ICalEventRepeatingFreq, ICalWeekday } from 'ical-generator';

const { MO, TU, WE, TH, FR, SA, SU } = ICalWeekday;
/** In the order of `Date.getUTCDay`. */
const WEEK = [SU, MO, TU, WE, TH, FR, SA];

/** Days to practise on for so many days a week, spread out and with the weekend in them. */
const SPREAD: readonly ICalWeekday[][] = [
  [],
  [SA],
  [TU, SA],
  [TU, TH, SA],
  [MO, WE, FR, SA],
  [MO, TU, TH, FR, SA],
  [MO, TU, WE, TH, FR, SA],
  WEEK,
];

const DAY_MS = 24 * 60 * 60 * 1000;
const MINUTE_MS = 60 * 1000;
/** Editions are counted in minutes from here, so that a later one always has the higher number. */
const COUNTED_FROM = Date.UTC(2026, 0, 1);

/** Noon of a day, which is that day in nearly every time zone. */
const noon = (day: string): Date => new Date(`${day}T12:00:00Z`);

/** The first of some weekdays from a day on. */
function firstOf(days: readonly ICalWeekday[], from: Date): Date {
  const week = Array.from({ length: 7 }, (_, ahead) => new Date(from.getTime() + ahead * DAY_MS));
  return week.find((day) => days.includes(WEEK[day.getUTCDay()]!))!;
}

/** Which card it is, in every edition of its calendar, and when this one is made. */
export interface Edition {
  id: string;
  from: string;
  now: Date;
}

/**
 * A card's practice days and its next look as a calendar (RFC 5545). The days are whole days, which are the same in
 * every time zone; each event keeps its identifier, and a later edition replaces an earlier one by its number.
 * @returns the text of the file; null where the card has neither
 */
export function calendarOf(card: Card, { id, from, now }: Edition): string | null {
  const { practice, nextLook, odd } = card;
  const [first] = card.clubs;
  if (!practice && !nextLook) return null;
  const calendar = ical({
    method: ICalCalendarMethod.PUBLISH,
    prodId: '//Pedastance//Card//EN',
    timezone: 'UTC',
  });
  const sequence = Math.max(0, Math.floor((now.getTime() - COUNTED_FROM) / MINUTE_MS));
  const said = [...first!.sentences, odd].join('\n');
  const common = { allDay: true, sequence, stamp: now };
  if (practice) {
    const days = SPREAD[practice.daysAWeek]!;
    const until = nextLook ? { until: noon(nextLook) } : {};
    calendar.createEvent({
      ...common,
      id: `${id}-practice@pedastance`,
      start: firstOf(days, noon(from)),
      summary: `Practice: ${first!.title}`,
      description: [said, ...practice.lines].join('\n'),
      repeating: { freq: ICalEventRepeatingFreq.WEEKLY, byDay: days, ...until },
    });
  }
  if (nextLook)
    calendar.createEvent({
      ...common,
      id: `${id}-look@pedastance`,
      start: noon(nextLook),
      summary: `Your coach looks at it again: ${first!.title}`,
      description: said,
    });
  return calendar.toString();
}
