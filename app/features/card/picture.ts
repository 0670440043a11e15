import type { Card } from '@pedastance/core/card';
import { escaped, cardDrawing, spokenDay } from '@pedastance/card/render';
import { faces, svgAsPng } from '../../plan/image';

const WIDTH = 720;
const MARGIN = 40;
const LARGE = { size: 34, line: 42, characters: 36 };
const SMALL = { size: 22, line: 30, characters: 58 };

/** Words broken into lines of at most so many characters. */
function wrapped(text: string, most: number): string[] {
  const lines: string[] = [];
  for (const word of text.split(/\s+/)) {
    const last = lines.at(-1);
    if (last !== undefined && `${last} ${word}`.length <= most) lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  return lines;
}

interface Block {
  text: string;
  face: typeof LARGE;
  bold: boolean;
}

/** What a picture says above and under the feet. */
function blocksOf({ clubs, odd, nextLook }: Card): { above: Block[]; under: Block[] } {
  const [first] = clubs;
  const { title, sentences, feel } = first!;
  const small = (text: string): Block => ({ text, face: SMALL, bold: false });
  return {
    above: [
      { text: title, face: LARGE, bold: true },
      ...sentences.map((text): Block => ({ text, face: LARGE, bold: false })),
    ],
    under: [
      { text: odd, face: SMALL, bold: true },
      ...(feel === '' ? [] : [small(`Feel: ${feel}`)]),
      ...(nextLook ? [small(`We look at it again: ${spokenDay(nextLook)}`)] : []),
    ],
  };
}

/** Blocks as SVG text from a height on, and where they end. */
function written(blocks: readonly Block[], from: number): { svg: string; to: number } {
  let at = from;
  const svg = blocks.flatMap(({ text, face, bold }) =>
    wrapped(text, face.characters).map((line) => {
      at += face.line;
      return `<text x="${MARGIN}" y="${at}" font-size="${face.size}" font-weight="${bold ? 600 : 400}">${escaped(line)}</text>`;
    }),
  );
  return { svg: svg.join(''), to: at };
}

/** Ink on paper by day, whatever the light of the app: a picture goes to somebody else. */
const STYLE = `text{font-family:'Atkinson Hyperlegible Next';fill:#1c2430}.card-target,.card-drop{fill:none;stroke:#8a806c;stroke-width:3}.card-drop{stroke-dasharray:4 10}.card-shoe{fill:#dfe6df;stroke:#1c2430;stroke-width:5}.card-big-shoe{fill:none;stroke:#8a806c;stroke-width:4;stroke-dasharray:16 12}.card-level{stroke:#0e6a70;stroke-width:5}.card-ball{fill:#fdfaf4;stroke:#1c2430;stroke-width:5}.card-side{font-size:34px;font-weight:600}`;

/** A card's club, its two sentences and the feet as one picture, for a message. @throws Error where the browser cannot draw it */
export async function cardPicture(card: Card): Promise<Blob> {
  const { drawing } = card.clubs[0]!;
  const { above, under } = blocksOf(card);
  const head = written(above, MARGIN / 2);
  const inner = WIDTH - 2 * MARGIN;
  const feet = (inner * drawing.height) / drawing.width;
  const foot = written(under, head.to + feet + MARGIN);
  const height = Math.ceil(foot.to + MARGIN);
  const text = [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH}" height="${height}" viewBox="0 0 ${WIDTH} ${height}">`,
    `<style>${await faces()}${STYLE}</style><rect width="100%" height="100%" fill="#f7f2e8"/>`,
    head.svg,
    `<svg x="${MARGIN}" y="${head.to + MARGIN / 2}" width="${inner}" height="${feet}" viewBox="0 0 ${drawing.width} ${drawing.height}">${cardDrawing(drawing)}</svg>`,
    foot.svg,
    '</svg>',
  ].join('');
  return svgAsPng({ text, width: WIDTH, height });
}
