import { withinRange } from '../units';

export type ClubId =
  | 'driver'
  | '3-wood'
  | '5-wood'
  | 'hybrid'
  | '3-iron'
  | '4-iron'
  | '5-iron'
  | '6-iron'
  | '7-iron'
  | '8-iron'
  | '9-iron'
  | 'pitching-wedge'
  | 'gap-wedge'
  | 'sand-wedge'
  | 'lob-wedge';

export type ClubFamily = 'wood' | 'hybrid' | 'iron' | 'wedge';
export type ShotType = 'full' | 'pitch';

/** A club with the shot played with it. */
export interface ClubAndShot {
  club: ClubId;
  shot: ShotType;
}

export interface Club {
  id: ClubId;
  name: string;
  family: ClubFamily;
  /** Starting value; common practice, no source. */
  lengthInches: number;
}

const club = (id: ClubId, name: string, family: ClubFamily, lengthInches: number): Club => ({
  id,
  name,
  family,
  lengthInches,
});

/** The usual bag, longest first. Lengths are common practice, no source. */
export const BAG: readonly Club[] = [
  club('driver', 'Driver', 'wood', 45.5),
  club('3-wood', '3-wood', 'wood', 43),
  club('5-wood', '5-wood', 'wood', 42),
  club('hybrid', 'Hybrid', 'hybrid', 39.5),
  club('3-iron', '3-iron', 'iron', 39),
  club('4-iron', '4-iron', 'iron', 38.5),
  club('5-iron', '5-iron', 'iron', 38),
  club('6-iron', '6-iron', 'iron', 37.5),
  club('7-iron', '7-iron', 'iron', 37),
  club('8-iron', '8-iron', 'iron', 36.5),
  club('9-iron', '9-iron', 'iron', 36),
  club('pitching-wedge', 'Pitching wedge', 'wedge', 35.75),
  club('gap-wedge', 'Gap wedge', 'wedge', 35.5),
  club('sand-wedge', 'Sand wedge', 'wedge', 35.25),
  club('lob-wedge', 'Lob wedge', 'wedge', 35),
];

export const CLUB_IDS = BAG.map((each) => each.id) as [ClubId, ...ClubId[]];
export const SHOTS = ['full', 'pitch'] as const satisfies readonly ShotType[];

/**
 * A club of the bag.
 * @param id the club
 * @returns its name, family and usual length, inches
 * @throws Error when the club is not in the bag; ids are checked at every edge before
 * @example clubById('7-iron').lengthInches // 37
 */
export function clubById(id: ClubId): Club {
  const found = BAG.find((each) => each.id === id);
  if (!found) throw new Error(`no club "${id}" in the bag`);
  return found;
}

/**
 * Whether a pitch is played with a club: with an iron or a wedge.
 * @param id the club
 * @returns whether it is
 * @example canPitch('driver') // false
 */
export const canPitch = (id: ClubId): boolean => ['iron', 'wedge'].includes(clubById(id).family);

export const SHORTEST_CLUB_INCHES = 18;
export const LONGEST_CLUB_INCHES = 48;

/**
 * The Equipment Rules of golf (part 2, 1c): at least 18 in, and at most 48 in, putter aside.
 * @param lengthInches inches
 * @returns the length
 * @throws InputError naming the rule
 * @example checkedClubLength(45.5) // 45.5
 */
export function checkedClubLength(lengthInches: number): number {
  return withinRange(
    'club length',
    lengthInches,
    SHORTEST_CLUB_INCHES,
    LONGEST_CLUB_INCHES,
    'in (Equipment Rules of golf: no club under 18 in, none but a putter over 48 in)',
  );
}

/**
 * A club and shot as a coach names them.
 * @param club which club
 * @param shot full or pitch
 * @returns the name
 * @example clubAndShot('7-iron', 'pitch') // '7-iron, pitch'
 */
export const clubAndShot = (club: ClubId, shot: ShotType): string =>
  shot === 'pitch' ? `${clubById(club).name}, pitch` : clubById(club).name;

/**
 * Of things that were done with clubs and shots the first of each.
 * @param items what was done
 * @param of the club and shot of each
 * @returns one for each club and shot, in the order given
 */
export function firstOfEachClubAndShot<Item>(
  items: readonly Item[],
  of: (item: Item) => ClubAndShot,
): Item[] {
  const firsts = new Map<string, Item>();
  for (const item of items) {
    const { club, shot } = of(item);
    const key = `${club} ${shot}`;
    if (!firsts.has(key)) firsts.set(key, item);
  }
  return [...firsts.values()];
}

/**
 * Whether two are of one club and shot: feet, changes, shots and swings belong to both.
 * @param one a club and shot, or what was done with them
 * @param other another
 * @returns whether they are
 */
export const sameClubAndShot = (one: ClubAndShot, other: ClubAndShot): boolean =>
  one.club === other.club && one.shot === other.shot;
