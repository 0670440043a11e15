/** A place in the order of an academy's changes: the number, and the record among those that share it. */
export interface Cursor {
  number: number;
  id: string;
}

const AFTER_ALL = 'ffffffff-ffff-ffff-ffff-ffffffffffff';
const WRITTEN = /^(\d{1,15})(?:\.([0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}))?$/;

/** Before the first change. */
export const BEFORE_ALL: Cursor = { number: 0, id: AFTER_ALL };

/** The place behind all records that share a number. */
export const behind = (number: number): Cursor => ({ number, id: AFTER_ALL });

/** A cursor as it is sent: the number alone where all records of that number lie before it. */
export const written = ({ number, id }: Cursor): string =>
  id === AFTER_ALL ? String(number) : `${number}.${id}`;

/** A sent cursor, or undefined where it is none. */
export function cursorOf(text: string): Cursor | undefined {
  const [, number, id] = WRITTEN.exec(text) ?? [];
  return number === undefined ? undefined : { number: Number(number), id: id ?? AFTER_ALL };
}

export const cursorAt = (row: { changed: string; id: string }): Cursor => ({
  number: Number(row.changed),
  id: row.id,
});
