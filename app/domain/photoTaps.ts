import {
  knownByCorners,
  knownBySheet,
  LAID_BY_HAND,
  PAPERS,
  UNTOLD_FOCAL,
  USUAL_DOUBTS,
  type Camera,
  type Doubts,
  type FeetPhoto,
  type Flat,
  type FoundSheet,
  type Heights,
  type KnownInPhoto,
  type Taps,
} from '@pedastance/core/photo';
import type { Build } from '@pedastance/core/body';
import type { FootName, Point } from '@pedastance/core/setup';

/** What is tapped in a photo, in the order it is asked for. */
export const TAP_NAMES = [
  'corner1',
  'corner2',
  'corner3',
  'corner4',
  'stick1',
  'stick2',
  'ball',
  'ballSide1',
  'ballSide2',
  'leadToe',
  'leadHeel',
  'leadEdge1',
  'leadEdge2',
  'trailToe',
  'trailHeel',
  'trailEdge1',
  'trailEdge2',
] as const;
export type TapName = (typeof TAP_NAMES)[number];

/** Things of known size that can lie on the ground: paper, a mat whose sides are typed, a club whose length is. */
export const LAID_NAMES = ['A4', 'Letter', 'mat', 'club'] as const;
export type LaidName = (typeof LAID_NAMES)[number];
/** What a side of a mat can be, mm. */
export const MAT_SIDES = { least: 150, most: 3000 };
/** What a club or a stick can be long, mm. */
export const CLUB_LENGTHS = { least: 600, most: 1500 };

/** What is kept of a sheet that was found. */
export type PhotoSheet = Pick<FoundSheet, 'ground' | 'image' | 'spread' | 'printed' | 'residualMm'>;

/** A photo of a student's feet while it is measured; everything in its own pixels. */
export interface PhotoDraft {
  id: string;
  takenAt: string;
  width: number;
  height: number;
  camera: Camera;
  focalTold: boolean;
  /** Printed sheets that were found by themselves. */
  sheets: readonly PhotoSheet[];
  /** What lies there instead: corners or ends of it are tapped. */
  laid: LaidName;
  /** The mat's sides, mm; null while they are not typed. */
  mat: Flat | null;
  /** The club's length, mm; null while it is not typed. */
  clubLength: number | null;
  /** One standard deviation of a tapped corner, once its edges were looked for; pixels. */
  cornerDeviation: number | null;
  taps: Partial<Record<TapName, Point>>;
  /** Marks that were dragged to their place: no edge moves them. */
  dragged: Partial<Record<TapName, true>>;
  /** No stick lies along the target line: the sheet itself does. */
  noStick: boolean;
  hiddenHeel: Record<FootName, boolean>;
  heights: Heights;
}

/** One standard deviation of a tap with a finger under a loupe, in a photo as it is kept (starting value), pixels. */
export const TAP_PX = 1.25;

const footTaps = (foot: FootName, hidden: boolean): TapName[] =>
  hidden ? [`${foot}Toe`, `${foot}Edge1`, `${foot}Edge2`] : [`${foot}Toe`, `${foot}Heel`];

/** Whether a club that lies along the target line, and the ball, are all that says how large things are. */
export const byClub = ({ sheets, laid }: Pick<PhotoDraft, 'sheets' | 'laid'>): boolean =>
  sheets.length === 0 && laid === 'club';

/**
 * Everything that has to be tapped in a photo, in order.
 * @returns seven taps with a stick and a sheet that was found
 */
export function tapsAsked(photo: PhotoDraft): TapName[] {
  const { sheets, noStick, hiddenHeel } = photo;
  const club = byClub(photo);
  return [
    ...(club || sheets.length > 0 ? [] : (['corner1', 'corner2', 'corner3', 'corner4'] as const)),
    ...(noStick && !club ? [] : (['stick1', 'stick2'] as const)),
    ...(club ? (['ballSide1', 'ballSide2'] as const) : (['ball'] as const)),
    ...footTaps('lead', hiddenHeel.lead),
    ...footTaps('trail', hiddenHeel.trail),
  ];
}

/** The next tap that is asked for; null when all are there. */
export const nextTap = (photo: PhotoDraft): TapName | null =>
  tapsAsked(photo).find((name) => !photo.taps[name]) ?? null;

/** A photo without the tap that was asked for last. */
export function withoutLastTap(photo: PhotoDraft): PhotoDraft {
  const last = tapsAsked(photo)
    .filter((name) => photo.taps[name])
    .at(-1);
  if (!last) return photo;
  const { [last]: _gone, ...taps } = photo.taps;
  const { [last]: _dragged, ...dragged } = photo.dragged;
  return { ...photo, taps, dragged, ...(last.startsWith('corner') && { cornerDeviation: null }) };
}

const CORNERS = ['corner1', 'corner2', 'corner3', 'corner4'] as const;

/** How far an edge may be from a tap that goes to it, pixels of a photo as it is kept (starting value). */
export const SNAP_PX = 10;

/**
 * The end of a shoe that an edge of the picture can tell better than a finger: the one that faces the camera, lower in
 * the picture, once both ends are tapped.
 */
export function endToSnap(
  { taps, dragged }: PhotoDraft,
  foot: FootName,
): { name: TapName; at: Point; toward: Point } | null {
  const [toe, heel] = [taps[`${foot}Toe`], taps[`${foot}Heel`]];
  if (!toe || !heel) return null;
  const [name, at, toward] =
    toe.y >= heel.y ? ([`${foot}Toe`, toe, heel] as const) : ([`${foot}Heel`, heel, toe] as const);
  return dragged[name] ? null : { name, at, toward };
}

/** The four tapped corners; null while one is missing. */
export function cornersOf({ taps }: PhotoDraft): Point[] | null {
  const corners = CORNERS.map((name) => taps[name]).filter((point) => point !== undefined);
  return corners.length === 4 ? corners : null;
}

export const withCorners = (photo: PhotoDraft, points: readonly Point[], deviation: number): PhotoDraft => ({
  ...photo,
  taps: { ...photo.taps, ...Object.fromEntries(CORNERS.map((name, at) => [name, points[at]!])) },
  cornerDeviation: deviation,
});

function knownIn(photo: PhotoDraft): KnownInPhoto | null {
  const [sheet] = photo.sheets;
  if (sheet) return knownBySheet(sheet);
  const { laid, taps, clubLength } = photo;
  if (laid === 'club')
    return clubLength === null
      ? null
      : { known: { length: clubLength, ball: [taps.ballSide1!, taps.ballSide2!] }, doubts: {} };
  const corners = cornersOf(photo);
  const flat = laid === 'mat' ? photo.mat : PAPERS[laid];
  if (!corners || !flat) return null;
  return {
    known: knownByCorners(flat, corners, photo.camera),
    doubts: { known: photo.cornerDeviation ?? TAP_PX },
  };
}

const middle = (a: Point, b: Point): Point => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 });

/** A photo as it is measured. */
export interface ReadyPhoto {
  photo: FeetPhoto;
  heights: Heights;
  doubts: Doubts;
}

/**
 * What is measured of a photo.
 * @returns null while a tap is missing
 * @throws Degenerate where tapped corners are on one line
 */
export function readyPhoto(photo: PhotoDraft, build: Build): ReadyPhoto | null {
  if (nextTap(photo) !== null) return null;
  const known = knownIn(photo);
  if (!known) return null;
  const at = (name: TapName): Point => photo.taps[name]!;
  const shoe = (foot: FootName): Taps['lead'] =>
    photo.hiddenHeel[foot]
      ? { toe: at(`${foot}Toe`), edge: [at(`${foot}Edge1`), at(`${foot}Edge2`)] }
      : { toe: at(`${foot}Toe`), heel: at(`${foot}Heel`) };
  const { shoeLength, shoeBreadth } = build;
  return {
    photo: {
      camera: photo.camera,
      known: known.known,
      shoe: { length: shoeLength.value, breadth: shoeBreadth.value },
      taps: {
        lead: shoe('lead'),
        trail: shoe('trail'),
        ball: byClub(photo) ? middle(at('ballSide1'), at('ballSide2')) : at('ball'),
        stick: photo.noStick && !byClub(photo) ? null : [at('stick1'), at('stick2')],
      },
    },
    heights: photo.heights,
    doubts: {
      ...USUAL_DOUBTS,
      tap: TAP_PX,
      shoe: shoeLength.uncertainty,
      focal: photo.focalTold ? USUAL_DOUBTS.focal : UNTOLD_FOCAL,
      line: photo.noStick && !byClub(photo) ? LAID_BY_HAND : USUAL_DOUBTS.line,
      ...known.doubts,
    },
  };
}
