import type { Point } from '../setup';

/**
 * The sheet that is printed and laid on the ground: a QR code (ISO/IEC 18004, version 1, level M) that says its own
 * size, four squares near the paper's corners, and a ruler to check the print by. Points are mm from the paper's top
 * left corner, y down the page.
 */

/** Papers it is printed on, mm: A4 of ISO 216, Letter of ANSI/ASME Y14.1. */
export const PAPERS = {
  A4: { width: 210, height: 297 },
  Letter: { width: 215.9, height: 279.4 },
} as const;
export type Paper = keyof typeof PAPERS;
export const PAPER_NAMES = Object.keys(PAPERS) as Paper[];

/** The code's side, mm. */
export const CODE_SIDE_MM = 140;
const CODE_TOP_MM = 52;

/** The squares near the corners: their side, and how far they are from the paper's edges, mm. */
const SQUARE_MM = 16;
const SQUARE_IN_MM = 12;

/** What each paper's code says. */
export const CODE_WORDS: Record<Paper, string> = {
  A4: `PEDASTANCE:A4:${CODE_SIDE_MM}MM`,
  Letter: `PEDASTANCE:LT:${CODE_SIDE_MM}MM`,
};

/** The modules of each paper's code, row by row; # is dark. */
const MODULES: Record<Paper, readonly string[]> = {
  A4: [
    '#######..###..#######',
    '#.....#.#...#.#.....#',
    '#.###.#..###..#.###.#',
    '#.###.#...##..#.###.#',
    '#.###.#.#...#.#.###.#',
    '#.....#...##..#.....#',
    '#######.#.#.#.#######',
    '..........##.........',
    '#.#.#.#..##.#...#..#.',
    '####.#.###.#.##.#...#',
    '.##..##.###...##..#.#',
    '.#.##..##.....#####.#',
    '##.#.##..####.#....##',
    '........#.####.##..#.',
    '#######....###..##.#.',
    '#.....#...#..####....',
    '#.###.#.##..#.#...#..',
    '#.###.#....#.#.#.#.#.',
    '#.###.#.#.#...##....#',
    '#.....#....#.#.##..##',
    '#######.#....###..#.#',
  ],
  Letter: [
    '#######....#..#######',
    '#.....#.#..##.#.....#',
    '#.###.#..###..#.###.#',
    '#.###.#..#.#..#.###.#',
    '#.###.#.##..#.#.###.#',
    '#.....#...##..#.....#',
    '#######.#.#.#.#######',
    '.........###.........',
    '#.#.#.#...#.#...#..#.',
    '##.#.#...#.#.##.#...#',
    '####..##.##....#..#.#',
    '..#.#...###..#.####.#',
    '#.######.#.###.....##',
    '........#.###..##..#.',
    '#######...#####.##.#.',
    '#.....#......#.##....',
    '#.###.#.#...###...#..',
    '#.###.#...##...#.#.#.',
    '#.###.#.##....##....#',
    '#.....#..###.#.##..##',
    '#######.#.#..###..#.#',
  ],
};

/** A straight edge between dark and light that is printed on the sheet, mm; dark lies to its left, going from `from` to `to`. */
export interface PrintedEdge {
  from: Point;
  to: Point;
  /** The narrower of what lies on either side, mm: no edge is looked for further away. */
  room: number;
}

/** An axis-aligned rectangle, mm. */
export interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** A sheet as it is printed. */
export interface Sheet {
  paper: Paper;
  width: number;
  height: number;
  code: Box;
  modules: readonly string[];
  squares: readonly Box[];
}

/**
 * The sheet for a paper.
 * @param paper A4 or Letter
 * @returns its marks, mm from the top left corner
 * @example sheetOf('A4').width // 210
 */
export function sheetOf(paper: Paper): Sheet {
  const { width, height } = PAPERS[paper];
  const [right, bottom] = [width - SQUARE_IN_MM - SQUARE_MM, height - SQUARE_IN_MM - SQUARE_MM];
  const square = (x: number, y: number): Box => ({ x, y, width: SQUARE_MM, height: SQUARE_MM });
  return {
    paper,
    width,
    height,
    code: { x: (width - CODE_SIDE_MM) / 2, y: CODE_TOP_MM, width: CODE_SIDE_MM, height: CODE_SIDE_MM },
    modules: MODULES[paper],
    squares: [
      square(SQUARE_IN_MM, SQUARE_IN_MM),
      square(right, SQUARE_IN_MM),
      square(right, bottom),
      square(SQUARE_IN_MM, bottom),
    ],
  };
}

/**
 * The sheet that a code names.
 * @param words what the code says
 * @returns the sheet; null where it is no code of ours
 * @example sheetSaid('HELLO') // null
 */
export function sheetSaid(words: string): Sheet | null {
  const paper = PAPER_NAMES.find((each) => CODE_WORDS[each] === words);
  return paper ? sheetOf(paper) : null;
}

/** The corners of a rectangle, going round as the page is read: top left, top right, bottom right, bottom left. */
export const cornersOf = ({ x, y, width, height }: Box): [Point, Point, Point, Point] => [
  { x, y },
  { x: x + width, y },
  { x: x + width, y: y + height },
  { x, y: y + height },
];

/** The four edges of a dark rectangle, dark on the left hand. */
function edgesOf(box: Box): PrintedEdge[] {
  const [topLeft, topRight, bottomRight, bottomLeft] = cornersOf(box);
  const room = Math.min(box.width, box.height);
  // On a page whose y runs down, going round against the clock keeps the inside on the left.
  return [
    { from: topLeft, to: bottomLeft, room },
    { from: bottomLeft, to: bottomRight, room },
    { from: bottomRight, to: topRight, room },
    { from: topRight, to: topLeft, room },
  ];
}

/** One side of one dark module, where the module beyond it is light: a unit step of the code's grid. */
interface Step {
  row: number;
  column: number;
  dark: 'before' | 'after';
}

/** Joins unit steps that follow one another into edges. */
function runs(steps: readonly Step[], along: 'row' | 'column'): (Step & { length: number })[] {
  const joined: (Step & { length: number })[] = [];
  for (const step of steps) {
    const last = joined[joined.length - 1];
    const across = along === 'row' ? 'column' : 'row';
    const follows =
      last &&
      last.dark === step.dark &&
      last[across] === step[across] &&
      last[along] + last.length === step[along];
    if (follows) last.length += 1;
    else joined.push({ ...step, length: 1 });
  }
  return joined;
}

/**
 * Every edge between dark and light of a sheet's code, and of its squares.
 * @param sheet which
 * @returns the code's edges and the squares', mm
 */
export function printedEdges({ code, modules, squares }: Sheet): {
  code: PrintedEdge[];
  squares: PrintedEdge[];
} {
  const size = modules.length;
  const module = code.width / size;
  const isDark = (row: number, column: number) => modules[row]?.[column] === '#';
  const places = Array.from({ length: size + 1 }, (_, at) => at);
  const upright: Step[] = [];
  const level: Step[] = [];
  for (const line of places)
    for (let at = 0; at < size; at += 1) {
      const [left, right] = [isDark(at, line - 1), isDark(at, line)];
      if (left !== right) upright.push({ row: at, column: line, dark: left ? 'before' : 'after' });
      const [above, below] = [isDark(line - 1, at), isDark(line, at)];
      if (above !== below) level.push({ row: line, column: at, dark: above ? 'before' : 'after' });
    }
  const point = (row: number, column: number): Point => ({
    x: code.x + column * module,
    y: code.y + row * module,
  });
  const edge = (from: Point, to: Point, forward: boolean): PrintedEdge =>
    forward ? { from, to, room: module } : { from: to, to: from, room: module };
  // Going down the page, what is on the left hand has the larger x; going right, the smaller y.
  return {
    code: [
      ...runs(upright, 'row').map(({ row, column, length, dark }) =>
        edge(point(row, column), point(row + length, column), dark === 'after'),
      ),
      ...runs(level, 'column').map(({ row, column, length, dark }) =>
        edge(point(row, column), point(row, column + length), dark === 'before'),
      ),
    ],
    squares: squares.flatMap(edgesOf),
  };
}
