import type { Box, Sheet } from './sheet';

/** Words on the sheet: where their line stands, and how large they are, mm. */
export interface SheetWords {
  x: number;
  y: number;
  size: number;
  words: string;
}

/** All that is printed on a sheet: dark rectangles, and words. */
export interface SheetDrawing {
  boxes: Box[];
  words: SheetWords[];
}

const RULER_MM = 100;
const TICK_MM = 10;
const LINE_MM = 0.4;
/** Below the code: clear of it by more than the four modules that a reader needs. */
const RULER_BELOW_MM = 32;

/** Dark modules of a row that stand side by side are one rectangle, so that no hairline is printed between them. */
function codeBoxes({ code, modules }: Sheet): Box[] {
  const module = code.width / modules.length;
  return modules.flatMap((row, at) =>
    [...row.matchAll(/#+/g)].map((run) => ({
      x: code.x + run.index * module,
      y: code.y + at * module,
      width: run[0].length * module,
      height: module,
    })),
  );
}

function ruler({ code, width }: Sheet): { boxes: Box[]; words: SheetWords[] } {
  const [x, y] = [(width - RULER_MM) / 2, code.y + code.height + RULER_BELOW_MM];
  const ticks = Array.from({ length: RULER_MM / TICK_MM + 1 }, (_, at) => ({
    x: x + at * TICK_MM - LINE_MM / 2,
    y: y - (at % 5 === 0 ? 5 : 3),
    width: LINE_MM,
    height: at % 5 === 0 ? 5 : 3,
  }));
  return {
    boxes: [{ x: x - LINE_MM / 2, y: y - LINE_MM / 2, width: RULER_MM + LINE_MM, height: LINE_MM }, ...ticks],
    words: [
      { x, y: y + 6, size: 3.6, words: 'Check the print: this line is 100 mm long.' },
      { x, y: y + 11.5, size: 3.6, words: 'Print at 100%. Lay flat, all four corners in the photo.' },
      { x, y: y + 17, size: 3.6, words: 'No stick? Lay an edge along the target line.' },
    ],
  };
}

/**
 * What is printed on a sheet.
 * @param sheet which
 * @returns rectangles and words, mm from the top left corner, y down the page
 */
export function drawSheet(sheet: Sheet): SheetDrawing {
  const { boxes, words } = ruler(sheet);
  const name = sheet.paper === 'A4' ? 'Pedastance sheet, A4' : 'Pedastance sheet, Letter';
  return {
    boxes: [...codeBoxes(sheet), ...sheet.squares, ...boxes],
    words: [{ x: 55, y: 22, size: 5, words: name }, ...words],
  };
}

/**
 * A sheet as an SVG of its paper's very size.
 * @param sheet which
 * @returns the SVG's text
 */
export function sheetSvg(sheet: Sheet): string {
  const { width, height } = sheet;
  const { boxes, words } = drawSheet(sheet);
  const places = (value: number) => Number(value.toFixed(4));
  const dark = boxes
    .map(
      (box) =>
        `M${places(box.x)} ${places(box.y)}h${places(box.width)}v${places(box.height)}h${-places(box.width)}z`,
    )
    .join('');
  const texts = words.map(
    ({ x, y, size, words: text }) =>
      `<text x="${places(x)}" y="${places(y)}" font-size="${size}" font-family="sans-serif">${text}</text>`,
  );
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}">`,
    `<rect width="${width}" height="${height}" fill="#fff"/>`,
    `<path d="${dark}" shape-rendering="crispEdges"/>`,
    ...texts,
    '</svg>',
  ].join('\n');
}
