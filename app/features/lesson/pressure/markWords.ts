/** How large words on the soles are, mm. */
export const LETTER = 15;

/** A letter is as wide as this share of its height, and a word stands so far from its point, mm. */
const WIDTH = 0.6;
const AWAY = 9;

interface Marked {
  words: string;
  x: number;
  y: number;
}

/** Words beside a point: where they begin, by their anchor, and the line they stand on. */
export interface Placed extends Marked {
  anchor: 'start' | 'middle' | 'end';
}

interface Box {
  left: number;
  right: number;
  top: number;
  bottom: number;
}

function boxOf({ words, x, y, anchor }: Placed): Box {
  const width = words.length * LETTER * WIDTH;
  const left = x - (anchor === 'start' ? 0 : anchor === 'middle' ? width / 2 : width);
  return { left, right: left + width, top: y - LETTER, bottom: y };
}

const overlap = (a: Box, b: Box): boolean =>
  a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom;

const aboutPoint = ({ x, y }: Marked): Box => ({ left: x - 6, right: x + 6, top: y - 6, bottom: y + 6 });

/** Above, below and on either side of a point. */
const ways = ({ words, x, y }: Marked): Placed[] => [
  { words, x, y: y - AWAY, anchor: 'middle' },
  { words, x, y: y + AWAY + LETTER, anchor: 'middle' },
  { words, x: x + AWAY, y: y + LETTER / 3, anchor: 'start' },
  { words, x: x - AWAY, y: y + LETTER / 3, anchor: 'end' },
];

/** Words beside their points so that none lies on another, or on another's point, as far as there is room. */
export function besideEachOther(marks: readonly Marked[]): Placed[] {
  const placed: Placed[] = [];
  for (const mark of marks) {
    const others = marks.filter((each) => each !== mark).map(aboutPoint);
    const taken = [...placed.map(boxOf), ...others];
    const all = ways(mark);
    placed.push(all.find((way) => !taken.some((box) => overlap(boxOf(way), box))) ?? all[0]!);
  }
  return placed;
}
