import { toBase64 } from '../domain/base64';

/** What is painted of the plan: the style sheet's words for it, written into each element so that a file stands alone. */
const PAINTED = [
  'fill',
  'fill-opacity',
  'stroke',
  'stroke-width',
  'stroke-dasharray',
  'stroke-linecap',
  'stroke-linejoin',
  'opacity',
  'visibility',
  'display',
  'paint-order',
  'font-family',
  'font-size',
  'font-weight',
  'text-anchor',
  'dominant-baseline',
] as const;

const SVG = 'http://www.w3.org/2000/svg';
/** The face the plan's words are set in; without it in the file its words would be wider than their places. */
const FACES = [
  { weight: 400, file: '/fonts/atkinson-hyperlegible-next-latin-400-normal.woff2' },
  { weight: 600, file: '/fonts/atkinson-hyperlegible-next-latin-600-normal.woff2' },
];

/** A drawing with its painting written into it; what is not shown is left out. */
function painted(drawn: Element): Element | null {
  const style = getComputedStyle(drawn);
  if (style.display === 'none' || style.visibility === 'hidden') return null;
  const copy = drawn.cloneNode(false) as Element;
  copy.removeAttribute('class');
  copy.removeAttribute('style');
  for (const name of PAINTED) copy.setAttribute(name, style.getPropertyValue(name));
  for (const child of drawn.childNodes) {
    if (child instanceof Element) {
      const inner = painted(child);
      if (inner) copy.append(inner);
    } else copy.append(child.cloneNode());
  }
  return copy;
}

/** The face as rules of a style, to be written into a drawing that stands alone. */
export async function faces(): Promise<string> {
  const rules = await Promise.all(
    FACES.map(async ({ weight, file }) => {
      const bytes = new Uint8Array(await (await fetch(file)).arrayBuffer());
      return `@font-face{font-family:'Atkinson Hyperlegible Next';font-weight:${weight};src:url(data:font/woff2;base64,${toBase64(bytes)})}`;
    }),
  );
  return rules.join('');
}

const SEE_THROUGH = 'rgba(0, 0, 0, 0)';

/** What an element is drawn on: the first ground behind it that is not see-through. */
function groundOf(drawn: Element | null): string {
  if (!drawn) return 'white';
  const { backgroundColor } = getComputedStyle(drawn);
  return backgroundColor === SEE_THROUGH ? groundOf(drawn.parentElement) : backgroundColor;
}

/** A drawing that stands alone, with its size in points. */
export interface StandsAlone {
  text: string;
  width: number;
  height: number;
}

/** The plan as it is drawn on the screen, as an SVG that stands alone: colours, face and all. */
export async function planAsSvg(sheet: Element): Promise<StandsAlone> {
  const { width, height } = sheet.getBoundingClientRect();
  const svg = document.createElementNS(SVG, 'svg');
  svg.setAttribute('xmlns', SVG);
  svg.setAttribute('width', String(width));
  svg.setAttribute('height', String(height));
  svg.setAttribute('viewBox', `0 0 ${width} ${height}`);
  const ground = document.createElementNS(SVG, 'rect');
  ground.setAttribute('width', '100%');
  ground.setAttribute('height', '100%');
  ground.setAttribute('fill', groundOf(sheet));
  svg.append(ground);
  for (const part of sheet.querySelectorAll(':scope > svg')) {
    const copy = painted(part);
    if (!copy) continue;
    copy.setAttribute('width', String(width));
    copy.setAttribute('height', String(height));
    svg.append(copy);
  }
  // The page may hold no style of its own, so the face is written into the text.
  const text = new XMLSerializer().serializeToString(svg).replace('>', `><style>${await faces()}</style>`);
  return { text, width, height };
}

/** Pixels a point, so that a picture is sharp where it is printed or sent. */
const SHARPNESS = 3;

/** The plan as a picture. @throws Error where the browser cannot draw it */
export const planAsPng = async (sheet: Element): Promise<Blob> => svgAsPng(await planAsSvg(sheet));

/** A drawing that stands alone as a picture. @throws Error where the browser cannot draw it */
export async function svgAsPng({ text, width, height }: StandsAlone): Promise<Blob> {
  const address = URL.createObjectURL(new Blob([text], { type: 'image/svg+xml' }));
  try {
    const image = new Image();
    image.src = address;
    await image.decode();
    const canvas = document.createElement('canvas');
    canvas.width = Math.round(width * SHARPNESS);
    canvas.height = Math.round(height * SHARPNESS);
    canvas.getContext('2d')!.drawImage(image, 0, 0, canvas.width, canvas.height);
    return await new Promise((resolve, reject) =>
      canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new Error('no picture'))), 'image/png'),
    );
  } finally {
    URL.revokeObjectURL(address);
  }
}
