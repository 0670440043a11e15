import {
  changeHeld,
  figureOf,
  FIGURES,
  movedFigures,
  type Held,
  type PlacedFigure,
  type Setup,
} from '@pedastance/core/setup';
import type { LogRecord } from './records';

/** What was last agreed with a club, and how it stood when it was next measured. */
export interface Agreement {
  club: LogRecord['address']['club'];
  shot: LogRecord['address']['shot'];
  agreedAt: string;
  /** The record that it was agreed in. */
  studentId: string;
  readingId: string;
  /** When it was measured again; null where it was not. */
  seenAt: string | null;
  held: Held[];
}

/** The figures of feet and load that a record's change moved. */
const agreedFigures = ({ address, agreed }: LogRecord): PlacedFigure[] =>
  agreed ? movedFigures(address.setup, agreed.setup) : [];

/** Whether a record agreed on anything that can be measured at address; a lifted heel is no part of it. */
export const movesFeet = (record: LogRecord): boolean => agreedFigures(record).length > 0;

/** What was agreed against a setup measured later: the figures that were changed. */
export const heldOf = ({ address, agreed }: LogRecord, today: Setup | null): Held[] =>
  agreed ? changeHeld(address.setup, agreed.setup, today) : [];

const sameShot = (a: LogRecord, b: LogRecord): boolean =>
  a.address.club === b.address.club && a.address.shot === b.address.shot;

/** One agreement for each club and shot that has one, the newest first, against the newest record after it. */
export function agreementsOf(records: readonly LogRecord[]): Agreement[] {
  const moved = records.filter(movesFeet);
  const newest = moved.filter((record, at) => moved.findIndex((each) => sameShot(each, record)) === at);
  return newest.flatMap((record): Agreement[] => {
    const later = records.slice(0, records.indexOf(record)).find((each) => sameShot(each, record));
    const held = heldOf(record, later?.address.setup ?? null);
    const { club, shot } = record.address;
    const { madeAt } = record.agreed!;
    const { studentId, id: readingId } = record.reading;
    const seenAt = later?.address.madeAt ?? null;
    return held.length > 0 ? [{ club, shot, agreedAt: madeAt, studentId, readingId, seenAt, held }] : [];
  });
}

/** A figure as it was found from lesson to lesson with a club, oldest first, and what was last agreed of it. */
export interface Course {
  figure: PlacedFigure;
  agreed: number;
  found: { madeAt: string; value: number }[];
}

/** The courses of the figures that were last agreed on with a club, where each was measured at least twice. */
export function coursesOf(records: readonly LogRecord[], of: Pick<Agreement, 'club' | 'shot'>): Course[] {
  const own = records.filter(({ address }) => address.club === of.club && address.shot === of.shot);
  const last = own.find(movesFeet);
  if (!last) return [];
  return agreedFigures(last).flatMap((figure): Course[] => {
    const found = own
      .filter(({ address }) => address.setup.measured[figure])
      .map(({ address }) => ({ madeAt: address.madeAt, value: figureOf(address.setup, figure)! }))
      .reverse();
    const agreed = figureOf(last.agreed!.setup, figure)!;
    return found.length > 1 ? [{ figure, agreed, found }] : [];
  });
}

/** What can just be noticed of a figure: a chart shows no less. */
export const leastSpan = (figure: PlacedFigure): number => 4 * FIGURES[figure].justNoticeable;
