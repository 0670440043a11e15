import type { Point } from '../setup';
import { deviationOf, fitEdges, lookForEdges, cornerSpread, type FittedEdges, type KnownEdge } from './edges';
import { shrunk, type Grey } from './grey';
import { Degenerate } from './degenerate';
import { fitHomography, projected, type Homography } from './homography';
import { paperSeen, type PaperSeen } from './paper';
import { seenTogether } from './together';
import { cornersOf, printedEdges, sheetSaid, type PrintedEdge, type Sheet } from './sheet';

/** A code as a reader of codes found it. */
export interface FoundCode {
  words: string;
  /** Top left, top right, bottom right and bottom left as the code is read, pixels. */
  corners: readonly Point[];
  mirrored: boolean;
}

/** Reads the codes of a picture. */
export type CodeReader = (grey: Grey) => Promise<FoundCode[]>;

/** A sheet that was found in a picture. */
export interface FoundSheet {
  sheet: Sheet;
  /** The picture is the mirror of what the camera saw: nothing can be measured in it. */
  mirrored: boolean;
  /** From the sheet's ground to the picture: mm from the sheet's top left corner, x right and y up its page, as printed. */
  homography: Homography;
  /** A factor of how sure the four corners of the paper are, as `cornerSpread` has it. */
  spread: readonly (readonly number[])[];
  /** The paper's corners as it would be without rescaling by a printer: mm on the ground, and where they are seen. */
  ground: readonly Point[];
  image: readonly Point[];
  /** How it was printed; null where the paper's edges are not seen. */
  printed: PaperSeen | null;
  /** How far printed edges are from where a flat sheet has them, one standard deviation, mm. */
  residualMm: number;
}

/** A point of a page, whose y runs down, on the ground, whose y runs up. */
const upward = ({ x, y }: Point): Point => ({ x, y: y === 0 ? 0 : -y });

function known({ from, to, room }: PrintedEdge): KnownEdge {
  const [a, b] = [upward(from), upward(to)];
  const length = Math.hypot(b.x - a.x, b.y - a.y);
  // The page's left hand is the right hand once its y runs up.
  const across = { x: -(b.y - a.y) / length, y: (b.x - a.x) / length };
  return { from: a, to: b, dark: { x: a.x + room * across.x, y: a.y + room * across.y } };
}

/** Pictures a code is looked for in, one after the other: small first, then narrower for a low camera. */
const SMALL_PIXELS = 2.5e6;
const NARROWER = [0.6, 0.4];

function* tries(grey: Grey): Generator<{ grey: Grey; across: number; down: number }> {
  const pixels = grey.width * grey.height;
  const resized = (across: number, down: number) => ({
    grey: shrunk(grey, Math.round(grey.width * across), Math.round(grey.height * down)),
    across,
    down,
  });
  const small = Math.min(1, Math.sqrt(SMALL_PIXELS / pixels));
  if (small < 0.8) yield resized(small, small);
  yield { grey, across: 1, down: 1 };
  for (const share of NARROWER) yield resized(share, 1);
}

/** Codes of ours, in pixels of the whole picture. */
async function ourCodes(grey: Grey, read: CodeReader): Promise<(FoundCode & { sheet: Sheet })[]> {
  for (const tried of tries(grey)) {
    const codes = (await read(tried.grey)).flatMap((code) => {
      const sheet = sheetSaid(code.words);
      const corners = code.corners.map(({ x, y }) => ({ x: x / tried.across, y: y / tried.down }));
      return sheet ? [{ ...code, corners, sheet }] : [];
    });
    if (codes.length > 0) return codes;
  }
  return [];
}

/** How much farther edges are looked for in each round: a reader's corners are whole pixels. */
const ROUNDS_OF_CODE = [2, 1.5, 1];
const ROUNDS_OF_SHEET = [1, 1];
/** The share of the code's edges that have to be there. */
const LEAST_FOUND = 0.5;
const MOST_OFF_PX = 1.5;

interface Fit extends FittedEdges {
  off: number[];
  found: number;
}

function fitted(grey: Grey, start: Homography, edges: readonly KnownEdge[], rounds: readonly number[]): Fit {
  let at: Homography = start.map((value) => value / start[8]!);
  let fit: Fit | null = null;
  for (const farther of rounds) {
    const { seen, looked } = lookForEdges(grey, at, edges, farther);
    const next = fitEdges(at, seen);
    fit = { ...next, off: seen.map(({ off }) => off), found: seen.length / Math.max(1, looked) };
    at = next.homography;
  }
  return fit!;
}

/** A code's sheet, fitted to its own edges; null where the edges are not those of the code. */
function fittedSheet(
  grey: Grey,
  { sheet, corners, mirrored }: FoundCode & { sheet: Sheet },
): FoundSheet | null {
  try {
    const printed = printedEdges(sheet);
    const [code, squares] = [printed.code.map(known), printed.squares.map(known)];
    const start = fitHomography(cornersOf(sheet.code).map(upward), corners);
    const byCode = fitted(grey, start, code, ROUNDS_OF_CODE);
    if (byCode.found < LEAST_FOUND || byCode.deviation > MOST_OFF_PX) return null;
    const fit = fitted(grey, byCode.homography, [...code, ...squares], ROUNDS_OF_SHEET);
    return { ...toldOf(grey, sheet, fit.found < LEAST_FOUND ? byCode : fit), mirrored };
  } catch (error) {
    if (error instanceof Degenerate) return null;
    throw error;
  }
}

function toldOf(grey: Grey, sheet: Sheet, fit: Fit): Omit<FoundSheet, 'mirrored'> {
  const printed = paperSeen(grey, fit.homography, sheet);
  const scale = printed?.scale ?? 1;
  const page = cornersOf({ x: 0, y: 0, width: sheet.width, height: sheet.height }).map(upward);
  const image = page.map((corner) => projected(fit.homography, corner));
  const code = cornersOf(sheet.code).map(upward);
  const [topLeft, , bottomRight] = code.map((corner) => projected(fit.homography, corner));
  const diagonal = Math.hypot(bottomRight!.x - topLeft!.x, bottomRight!.y - topLeft!.y);
  const mmPerPixel = (scale * sheet.code.width * Math.SQRT2) / diagonal;
  return {
    sheet,
    homography: fit.homography,
    spread: cornerSpread(fit, page),
    ground: page.map(({ x, y }) => ({ x: x * scale, y: y * scale })),
    image,
    printed,
    residualMm: deviationOf(fit.off) * mmPerPixel,
  };
}

/**
 * Finds the printed sheets in a picture, each fitted to its code's own edges between dark and light.
 * @param grey the picture, as sharp as there is
 * @param read a reader of QR codes
 * @returns the sheets, the largest first, whose corners are as sure as all of them together make them; none where no
 * code of ours is seen
 */
export async function findSheets(grey: Grey, read: CodeReader): Promise<FoundSheet[]> {
  const codes = await ourCodes(grey, read);
  const area = ({ image }: FoundSheet) =>
    Math.abs(
      (image[2]!.x - image[0]!.x) * (image[3]!.y - image[1]!.y) -
        (image[3]!.x - image[1]!.x) * (image[2]!.y - image[0]!.y),
    );
  const found = codes
    .map((code) => fittedSheet(grey, code))
    .filter((sheet) => sheet !== null)
    .sort((a, b) => area(b) - area(a));
  const [first, ...others] = found;
  if (!first || others.length === 0 || found.some(({ mirrored }) => mirrored)) return found;
  return [{ ...first, ...seenTogether(found) }, ...others];
}
