import { firstOfEachClubAndShot } from '@pedastance/core/club';
import { itemReadFor } from '@pedastance/core/method';
import {
  changeHeld,
  figureOf,
  FIGURES,
  heldSince,
  movedFigures,
  PLACED_FIGURES,
  type Held,
  type PlacedFigure,
  type Setup,
} from '@pedastance/core/setup';
import type { Agreed } from './agreed';
import { ofShot, type LogRecord } from './records';

/** What stands agreed with a club, and how it stood when it was next measured. */
export interface Agreement {
  club: LogRecord['address']['club'];
  shot: LogRecord['address']['shot'];
  /** When the newest of it was agreed. */
  agreedAt: string;
  /** The record that the newest of it was agreed in. */
  studentId: string;
  readingId: string;
  held: Held[];
}

/** The figures of feet and load that a record's change moved. */
const agreedFigures = ({ address, agreed }: LogRecord): PlacedFigure[] =>
  agreed ? movedFigures(address.setup, agreed.setup) : [];

/** What was agreed against a setup measured later: the figures that were changed. */
export const heldOf = ({ address, agreed }: LogRecord, today: Setup | null): Held[] =>
  agreed ? changeHeld(address.setup, agreed.setup, today) : [];

/** A figure that stands agreed with a club, with the record that agreed on it last. */
export interface StandingFigure {
  figure: PlacedFigure;
  agreed: number;
  record: LogRecord;
}

/**
 * The figures that stand agreed with a club: the newest word on each, without what was let go of or dropped.
 * @param records the student's records with that club and shot, newest first
 * @param standing what stands of it
 */
export const standingFigures = (
  records: readonly LogRecord[],
  standing: readonly Agreed[],
): StandingFigure[] =>
  PLACED_FIGURES.flatMap((figure): StandingFigure[] => {
    const word = standing.find(({ item }) => item === itemReadFor(figure));
    const record = records.find(({ change }) => change && change.madeAt === word?.agreedAt);
    if (!record?.agreed || !agreedFigures(record).includes(figure)) return [];
    return [{ figure, agreed: figureOf(record.agreed.setup, figure)!, record }];
  });

/** Standing figures against a setup measured later; null where none was. */
export const heldToday = (standing: readonly StandingFigure[], today: Setup | null): Held[] =>
  standing.flatMap(({ figure, record }) => heldSince(record.agreed!.setup, today, [figure]));

/** Standing figures, each against the newest record after it that measured it. */
const heldLater = (standing: readonly StandingFigure[], records: readonly LogRecord[]): Held[] =>
  standing.flatMap(({ figure, record }) => {
    const later = records
      .slice(0, records.indexOf(record))
      .find(({ address }) => address.setup.measured[figure]);
    return heldSince(record.agreed!.setup, later?.address.setup ?? null, [figure]);
  });

/** A student's records, newest first, and what stands agreed with a club. */
export interface LoggedAgreements {
  records: readonly LogRecord[];
  standingWith: (club: LogRecord['address']['club'], shot: LogRecord['address']['shot']) => readonly Agreed[];
}

/** One agreement for each club and shot that has one, the newest first, against what was measured after it. */
export function agreementsOf({ records, standingWith }: LoggedAgreements): Agreement[] {
  return firstOfEachClubAndShot(records, ({ address }) => address)
    .flatMap(({ address: { club, shot } }): Agreement[] => {
      const own = ofShot(records, { club, shot });
      const standing = standingFigures(own, standingWith(club, shot));
      const newest = own.find((record) => standing.some((each) => each.record === record));
      if (!newest) return [];
      const { madeAt: agreedAt } = newest.agreed!;
      const { studentId, id: readingId } = newest.reading;
      return [{ club, shot, agreedAt, studentId, readingId, held: heldLater(standing, own) }];
    })
    .sort((a, b) => b.agreedAt.localeCompare(a.agreedAt));
}

/** A figure as it was found from lesson to lesson with a club, oldest first, and what was last agreed of it. */
export interface Course {
  figure: PlacedFigure;
  agreed: number;
  found: { madeAt: string; value: number }[];
}

/** A load under a foot is said in words, and words make no scale. */
const isSaidInFigures = ({ figure }: StandingFigure): boolean =>
  figure !== 'leadHeelToe' && figure !== 'trailHeelToe';

/** The courses of the figures that stand agreed with a club, where each was measured at least twice. */
export function coursesOf(
  { records, standingWith }: LoggedAgreements,
  of: Pick<Agreement, 'club' | 'shot'>,
): Course[] {
  const own = ofShot(records, of);
  const standing = standingFigures(own, standingWith(of.club, of.shot));
  return standing.filter(isSaidInFigures).flatMap(({ figure, agreed }): Course[] => {
    const found = own
      .filter(({ address }) => address.setup.measured[figure])
      .map(({ address }) => ({ madeAt: address.madeAt, value: figureOf(address.setup, figure)! }))
      .reverse();
    return found.length > 1 ? [{ figure, agreed, found }] : [];
  });
}

/** What can just be noticed of a figure: a chart shows no less. */
export const leastSpan = (figure: PlacedFigure): number => 4 * FIGURES[figure].justNoticeable;
