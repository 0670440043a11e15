import type { Build } from '../body';
import type { ClubId, ShotType } from '../club';
import { postingLimit, travelToPost, type Bands, type BandVerdict } from '../method';
import { linesDisagree, uncertaintyOf, type Item, type MeasuredSetup, type Posture } from '../setup';
import type { Notice } from './types';

/** Feet or shoulders are said to be turned from this on (starting value), degrees. */
const TURNED_DEGREES = 3;

export interface Noticed {
  measured: MeasuredSetup;
  posture: Posture | undefined;
  bands: Bands;
  shot: ShotType;
  club: ClubId;
  build: Build;
}

const inBand = (band: { low: number; high: number } | undefined, value: number): boolean =>
  band !== undefined && value >= band.low && value <= band.high;

/** Toe line and heel line: told apart, and where a flare made the difference, which foot's. */
function linesOf({ measured, bands, verdictOf }: Noticed & WithVerdicts): Notice[] {
  const { measures } = measured;
  const { toeLine, heelLine } = measures;
  if (uncertaintyOf(measured, 'heelLine') === null) return [];
  const wanted = bands.figures.stanceLine;
  if (verdictOf('stanceLine') !== 'in' && inBand(wanted, heelLine)) {
    const foot = toeLine < heelLine ? ('lead' as const) : ('trail' as const);
    return [{ kind: 'flare moved the toe line', foot, toeLine, heelLine }];
  }
  return linesDisagree(measures) ? [{ kind: 'lines disagree', toeLine, heelLine }] : [];
}

/** Feet that say one thing and face or shoulders another, unless the method means it so. */
function conflictsOf({ measured, posture, bands }: Noticed): Notice[] {
  const { toeLine: stanceLine } = measured.measures;
  if (uncertaintyOf(measured, 'stanceLine') === null) return [];
  const clubFace = posture?.figures.clubFace?.value;
  const shoulderLine = posture?.figures.shoulderLine?.value;
  const { figures } = bands;
  const closed = stanceLine >= TURNED_DEGREES;
  const meantShoulders =
    shoulderLine !== undefined &&
    inBand(figures.stanceLine, stanceLine) &&
    inBand(figures.shoulderLine, shoulderLine);
  return [
    ...(closed && clubFace !== undefined && clubFace >= TURNED_DEGREES && !inBand(figures.clubFace, clubFace)
      ? [{ kind: 'face follows the feet' as const, stanceLine, clubFace }]
      : []),
    ...(closed && shoulderLine !== undefined && shoulderLine <= -TURNED_DEGREES && !meantShoulders
      ? [{ kind: 'shoulders against the feet' as const, stanceLine, shoulderLine }]
      : []),
  ];
}

/**
 * A stance whose lead foot this student's hips have too far to go to; the bump counts where it was looked at. A width as it is
 * taught is not called too wide.
 */
function postingOf({ measured, posture, shot, club, build, verdictOf }: Noticed & WithVerdicts): Notice[] {
  if (shot !== 'full' || uncertaintyOf(measured, 'stanceWidth') === null) return [];
  if (verdictOf('stanceWidth') === 'in') return [];
  const bump = posture?.figures.hipBump?.value ?? 0;
  const travel = travelToPost(build, measured.measures.stanceWidth, bump);
  const most = postingLimit(club);
  return travel > most ? [{ kind: 'too wide to post', travel, most }] : [];
}

interface WithVerdicts {
  verdictOf: (item: Item) => BandVerdict | undefined;
}

/**
 * What a coach should be told beside the findings.
 * @param noticed what was measured, the bands and the verdicts
 * @returns the notices, those on the ground first
 */
export function noticesFor(noticed: Noticed & WithVerdicts): Notice[] {
  const { measured, shot, verdictOf } = noticed;
  const { measures } = measured;
  const width = verdictOf('stanceWidth');
  const tooFar = verdictOf('hipTurn') === 'above' || verdictOf('shoulderTurn') === 'above';
  return [
    ...(measures.gap < 0 && uncertaintyOf(measured, 'gap') !== null
      ? [{ kind: 'shoes overlap' as const, gap: measures.gap }]
      : []),
    ...linesOf(noticed),
    ...conflictsOf(noticed),
    ...(width !== undefined && width !== 'in' && verdictOf('ballAlong') === 'in'
      ? [{ kind: 'ball only looks moved' as const, wider: width === 'above' }]
      : []),
    ...(shot === 'pitch' && verdictOf('trailFlare') === 'above'
      ? [{ kind: 'pitch reverses the trail foot' as const, trailFlare: measures.trailFlare }]
      : []),
    ...(tooFar ? [{ kind: 'turns too far' as const }] : []),
    ...postingOf(noticed),
  ];
}
