import { readFileSync } from 'node:fs';
import { create, type Font } from 'fontkit';
import { soleOutline, type Setup } from '@pedastance/core/setup';
import type { Drawing } from '../parts';
import { LABEL_PARTS, LABELS, type LabelPart } from '../labels';

/** The shipped text face, in the two weights of the plan. */
const faceOf = (weight: 400 | 600): Font =>
  create(
    readFileSync(
      require.resolve(
        `@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-${weight}-normal.woff`,
      ),
    ),
  ) as Font;
const FACES = { strong: faceOf(600), plain: faceOf(400) };

export interface Box {
  name: string;
  left: number;
  right: number;
  top: number;
  bottom: number;
}

/** How far letters reach above and below their line, as shares of their size: "▲", "?" and "p" among them. */
const ABOVE = 0.72;
const BELOW = 0.2;

/** Signs that the text face does not have come from another one, about as wide as high. */
function wordsWidth(words: string, font: Font, size: number): number {
  const own = [...words].filter((sign) => font.hasGlyphForCodePoint(sign.codePointAt(0)!)).join('');
  const advance = (font.layout(own).advanceWidth / font.unitsPerEm) * size;
  return advance + ([...words].length - [...own].length) * size;
}

const placeOf = (drawing: Drawing, part: string) => {
  const found = /translate\((\S+) (\S+)\)/.exec(drawing[part]?.transform ?? '');
  return found ? { x: Number(found[1]), y: Number(found[2]) } : { x: 0, y: 0 };
};

/** The group that a label's own group stands in, where there is one. */
const AROUND: Partial<Record<LabelPart, string>> = {
  'lead-flare': 'lead-beside',
  'trail-flare': 'trail-beside',
  'width-figure': 'width-at',
  'shoulders-figure': 'shoulders-at',
  'hips-word': 'hips-at',
};

const FIXED: Partial<Record<LabelPart, string>> = {
  'hips-word': 'hips',
  'target-word': 'target',
  'back-name': 'Hips back',
  'through-name': 'Hips through',
};

/** The boxes of a drawing's words, mm, by the metrics of the shipped face. */
export function labelBoxes(drawing: Drawing, em: number): Box[] {
  return LABEL_PARTS.flatMap((part) => {
    const attributes = drawing[part];
    const words = attributes?.text ?? (attributes ? FIXED[part] : undefined);
    if (!words || attributes!.opacity === '0') return [];
    const style = LABELS[part];
    const size = style.letters * em;
    const width = wordsWidth(words, style.className.includes('strong') ? FACES.strong : FACES.plain, size);
    const own = placeOf(drawing, `${part}-at`);
    const around = AROUND[part] ? placeOf(drawing, AROUND[part]) : { x: 0, y: 0 };
    const x = own.x + around.x;
    const y = own.y + around.y;
    const anchor = attributes!['text-anchor'] ?? style.anchor ?? 'start';
    const left = anchor === 'middle' ? x - width / 2 : anchor === 'end' ? x - width : x;
    return [
      {
        name: `${part} “${words}”`,
        left,
        right: left + width,
        top: y - ABOVE * size,
        bottom: y + BELOW * size,
      },
    ];
  });
}

export const boxesMeet = (a: Box, b: Box): boolean =>
  a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom;

interface Place {
  x: number;
  y: number;
}

/** A drawn shoe's outline, mm of the drawing. */
export function drawnSole(drawing: Drawing, setup: Setup, foot: 'lead' | 'trail'): Place[] {
  const [a, b, c, d, e, f] = /matrix\((.*)\)/.exec(drawing[foot]!.transform!)![1]!.split(' ').map(Number) as [
    number,
    number,
    number,
    number,
    number,
    number,
  ];
  return soleOutline(setup.address.shoe).map(({ x, y }) => ({ x: a * x + c * y + e, y: b * x + d * y + f }));
}

/** Whether a place lies in an outline: an odd number of its edges is crossed on the way out. */
function within(outline: readonly Place[], { x, y }: Place): boolean {
  let inside = false;
  for (let at = 0, before = outline.length - 1; at < outline.length; before = at++) {
    const from = outline[before]!;
    const to = outline[at]!;
    if (from.y > y !== to.y > y && x < ((to.x - from.x) * (y - from.y)) / (to.y - from.y) + from.x)
      inside = !inside;
  }
  return inside;
}

export function boxMeetsOutline({ left, right, top, bottom }: Box, outline: readonly Place[]): boolean {
  const corners = [
    { x: left, y: top },
    { x: right, y: top },
    { x: left, y: bottom },
    { x: right, y: bottom },
  ];
  const among = ({ x, y }: Place) => x > left && x < right && y > top && y < bottom;
  return outline.some(among) || corners.some((corner) => within(outline, corner));
}
