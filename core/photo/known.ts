import type { Point } from '../setup';
import { UNSEEN_PAPER, USUAL_DOUBTS, type Doubts, type FeetPhoto, type Known } from './feet';
import type { FoundSheet } from './findSheets';
import { fitHomography } from './homography';
import { misfitOf, type Camera } from './pose';

/** Something flat of known size whose corners can be tapped, mm. */
export interface Flat {
  width: number;
  height: number;
}

/** A known thing in a photo, with what of the doubts it changes. */
export interface KnownInPhoto {
  known: FeetPhoto['known'];
  doubts: Partial<Doubts>;
}

/**
 * What a printed sheet that was found makes known.
 * @param found the sheet
 * @returns its paper's corners, and how sure its printed scale is
 */
export const knownBySheet = ({
  ground,
  image,
  spread,
  printed,
}: Pick<FoundSheet, 'ground' | 'image' | 'spread' | 'printed'>): KnownInPhoto => ({
  known: { ground, image, spread },
  doubts: { scale: printed ? USUAL_DOUBTS.scale : UNSEEN_PAPER },
});

/**
 * What the corners of a flat thing of known size make known. Which of its sides is the long one is told by the camera:
 * the other way round it would have had to bend the ground.
 * @param flat its size
 * @param corners going round, pixels
 * @param camera centre and focal length, pixels
 * @returns its corners on the ground, right-handed, in the order of the pixels
 * @throws Degenerate where the corners are on one line
 */
export function knownByCorners({ width, height }: Flat, corners: readonly Point[], camera: Camera): Known {
  const [a, b, c] = corners as [Point, Point, Point, Point];
  // Going round with the clock in the picture is going round with the clock on the ground, whose y runs up.
  const withClock = (b.x - a.x) * (c.y - b.y) - (b.y - a.y) * (c.x - b.x) > 0;
  const laid = (along: number, across: number): Known => {
    const far = withClock ? -across : across;
    const ground = [
      { x: 0, y: 0 },
      { x: along, y: 0 },
      { x: along, y: far },
      { x: 0, y: far },
    ];
    return { ground, image: corners };
  };
  const misfit = ({ ground, image }: Known) => misfitOf(fitHomography(ground, image), camera);
  return [laid(width, height), laid(height, width)].sort((one, other) => misfit(one) - misfit(other))[0]!;
}
