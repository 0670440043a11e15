import { screenSigns, type Frame, type Viewpoint } from './frame';
import type { Hand } from '@pedastance/core/body';

/** What a drawing is laid out for. */
export interface Viewed {
  frame: Frame;
  hand: Hand;
  viewpoint: Viewpoint;
  /** The drawing's box, px. */
  size: { width: number; height: number };
  /** Whether the hips stand behind the heels. */
  hips: boolean;
}

/**
 * Where everything beside the feet stands. The feet are true to scale; words, hips and the ball's strip are as large
 * on any drawing, so that they take the room they need first. All in millimetres of the drawing, y from the toes
 * toward the ball.
 */
export interface Layout {
  mmPerPx: number;
  left: number;
  top: number;
  width: number;
  height: number;
  /** One letter's height. */
  em: number;
  /** How far a wing of the turn reaches, and where the middle of the hips is. */
  wing: number;
  hipsY: number;
  /** The first of the rows of words beside the hips, in the order in which they are read. */
  hipsWordsY: number;
  widthY: number;
  /** Null where there is no room for the shoulders' plumb marks. */
  shouldersY: number | null;
  /** Null where the ball's strip is not cut off by a break. */
  breakY: number | null;
  /** The ball, its line to the target, and the words beyond. */
  lineY: number;
  wordsY: number;
}

/** Rows from the toes toward the ball, px. */
interface Rows {
  letters: number;
  width: number;
  shoulders: number | null;
  break: number | null;
  line: number;
  words: number;
  end: number;
}

const LOW: Rows = { letters: 13, width: 20, shoulders: null, break: null, line: 44, words: 70, end: 79 };
const USUAL: Rows = { letters: 14, width: 24, shoulders: 42, break: 56, line: 80, words: 106, end: 116 };
const ROOMY: Rows = { letters: 17, width: 30, shoulders: 52, break: 72, line: 104, words: 136, end: 150 };

const rowsFor = (height: number): Rows => (height < 300 ? LOW : height < 560 ? USUAL : ROOMY);

/** A wing reaches so far, as a share of the drawing's height, but leaves its words room at the sides, px. */
const WING_SHARE = 0.2;
const LEAST_WING_PX = 40;
const WORDS_LETTERS = 9.2;

/** The hips are so wide and deep for a wing of one; a needed turn's pin reaches a little beyond it. */
export const HIPS = { halfWidth: 0.56, halfDepth: 0.3, pin: 1.1 };
const PIN_HEAD_PX = 6;
/** Between the hips and the heels, and behind the heels where no hips are drawn, px. */
const HIPS_GAP_PX = 5;
const NO_HIPS_PX = 16;
/** The words beside the hips: three rows, letters. */
export const HIPS_ROWS = [0, 1.45, 2.75] as const;
const HIPS_WORDS_LETTERS = 3.6;

function wingPx({ size }: Viewed, letters: number): number {
  const beside = size.width / 2 - WORDS_LETTERS * letters;
  return Math.max(LEAST_WING_PX, Math.min(WING_SHARE * size.height, beside));
}

/** Room behind the heels, px. */
function hipsRoom(viewed: Viewed, wing: number, letters: number): number {
  if (!viewed.hips) return NO_HIPS_PX;
  const drawn = wing * (HIPS.pin + HIPS.halfDepth) + 2 * PIN_HEAD_PX + HIPS_GAP_PX;
  return Math.max(drawn, HIPS_WORDS_LETTERS * letters);
}

/**
 * Lays a plan out in its box.
 * @param viewed the ground to show and the box for it, mm and px
 * @returns the scale and where everything stands, mm of the drawing
 */
export function layoutOf(viewed: Viewed): Layout {
  const { frame, size, hand, viewpoint } = viewed;
  const rows = rowsFor(size.height);
  const wing = wingPx(viewed, rows.letters);
  const behind = hipsRoom(viewed, wing, rows.letters);
  const forFeet = Math.max(1, size.height - behind - rows.end);
  const mmPerPx = Math.max(frame.width / size.width, frame.depth / forFeet);
  const mm = (px: number) => px * mmPerPx;
  // What is left over is shared by both ends.
  const spare = (forFeet - frame.depth / mmPerPx) / 2;
  const heels = -frame.depth;
  const ballEnd = mm(rows.end + spare);
  const heelEnd = heels - mm(behind + spare);
  const coach = screenSigns(hand, viewpoint).y > 0;
  const em = mm(rows.letters);
  const firstRow = coach ? heelEnd + 1.05 * em : heelEnd + (HIPS_ROWS[2] + 0.75) * em;
  return {
    mmPerPx,
    left: -mm(size.width) / 2,
    top: coach ? heelEnd : -ballEnd,
    width: mm(size.width),
    height: mm(size.height),
    em,
    wing: mm(wing),
    hipsY: heels - mm(HIPS_GAP_PX + wing * HIPS.halfDepth),
    hipsWordsY: firstRow,
    widthY: mm(rows.width),
    shouldersY: rows.shoulders === null ? null : mm(rows.shoulders),
    breakY: rows.break === null ? null : mm(rows.break),
    lineY: mm(rows.line),
    wordsY: mm(rows.words),
  };
}
