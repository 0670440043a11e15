import { CARD_PICTURE_PX } from '@pedastance/contract/cardLimits';
import sharp from 'sharp';

/** A small invented picture, 240 by 200 pixels, whose camera says its name and a place. */
export const SMALL_JPEG = [
  '/9j/4QEaRXhpZgAASUkqAAgAAAAIAA8BAgAQAAAAfgAAABIBAwABAAAAAQAAABoBBQABAAAAbgAAABsBBQABAAAAdgAAACgBAwAB',
  'AAAAAgAAABMCAwABAAAAAQAAAGmHBAABAAAAjgAAACWIBAABAAAA3AAAAAAAAAA4YwAA6AMAADhjAADoAwAASW52ZW50ZWQgY2Ft',
  'ZXJhAAYAAJAHAAQAAAAwMjEwAZEHAAQAAAABAgMAAKAHAAQAAAAwMTAwAaADAAEAAAD//wAAAqAEAAEAAADwAAAAA6AEAAEAAADI',
  'AAAAAAAAAAIAAQACAAIAAABOAAAAAgAFAAMAAAD6AAAAAAAAADMAAAABAAAAHgAAAAEAAAAAAAAAAQAAAP/bAEMADQkKCwoIDQsK',
  'Cw4ODQ8TIBUTEhITJxweFyAuKTEwLiktLDM6Sj4zNkY3LC1AV0FGTE5SU1IyPlphWlBgSlFST//bAEMBDg4OExETJhUVJk81LTVP',
  'T09PT09PT09PT09PT09PT09PT09PT09PT09PT09PT09PT09PT09PT09PT09PT09PT//AABEIAMgA8AMBIgACEQEDEQH/xAAXAAEB',
  'AQEAAAAAAAAAAAAAAAAABQYD/8QAGBABAAMBAAAAAAAAAAAAAAAAABZko+H/xAAUAQEAAAAAAAAAAAAAAAAAAAAA/8QAFBEBAAAA',
  'AAAAAAAAAAAAAAAAAP/aAAwDAQACEQMRAD8A5AAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAA',
  'AAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAACHIaunCQ1dOAuCHIaunCQ1dOAuCHIaunCQ1dOAuCHIaunCQ1dOAuCHIaunCQ1dO',
  'AuAAAAAAAAAAAAAAAAAAAAxAAAAAAAAAANuAAAAAAAAAAAAAAAAAAADEAAAAAAAAAA24AAAAAAAAAAAAAAAAAAAMQAAAAAAAAADb',
  'gAAAAAAAAAAAAAAAAAAAxAAAAAAAAAANuAAAAAAAAAAAAAAAAAAADEC3HrWfSPWs+giC3HrWfSPWs+giC3HrWfSPWs+giC3HrWfS',
  'PWs+giC3HrWfSPWs+guAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAA',
  'AAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAA//Z',
].join('');

/** How far apart the pixels of two pictures of one size are on average, of 255. */
export async function meanDifference(one: Buffer, other: Buffer): Promise<number> {
  const [a, b] = await Promise.all([one, other].map((jpeg) => sharp(jpeg).raw().toBuffer()));
  if (a!.length !== b!.length) return Infinity;
  return a!.reduce((sum, value, at) => sum + Math.abs(value - b![at]!), 0) / a!.length;
}

/** Text that no picture has by itself. */
export const MARKER = Buffer.from('Planted:somebody’s-name');

/** Where each segment of a JPEG begins and ends, the last one's compressed data left out (ITU-T T.81, B.1.1.4). */
function segmentsOf(jpeg: Buffer): { from: number; to: number }[] {
  const segments: { from: number; to: number }[] = [];
  for (let from = 2; from + 4 <= jpeg.length;) {
    const to = from + 2 + jpeg.readUInt16BE(from + 2);
    segments.push({ from, to });
    if (jpeg[from + 1] === 0xda) break;
    from = to;
  }
  return segments;
}

const withInserted = (jpeg: Buffer, at: number, more: Buffer): Buffer =>
  Buffer.concat([jpeg.subarray(0, at), more, jpeg.subarray(at)]);

const segment = (code: number, payload: Buffer): Buffer => {
  const head = Buffer.from([0xff, code, 0, 0]);
  head.writeUInt16BE(payload.length + 2, 2);
  return Buffer.concat([head, payload]);
};

const overwritten = (jpeg: Buffer, at: number): Buffer => {
  const copy = Buffer.from(jpeg);
  MARKER.copy(copy, Math.min(at, copy.length - MARKER.length));
  return copy;
};

/** Segments that a picture may have: application data, a comment, tables, restarts, a frame, a scan. */
const CODES = [0xe0, 0xe1, 0xe2, 0xed, 0xfe, 0xdb, 0xc4, 0xdd, 0xc0, 0xc2, 0xda, 0xdc, 0xf0];

/** Ways to hide a marker in a picture, some of which spoil it. */
const HIDDEN: ((jpeg: Buffer, random: () => number) => Buffer)[] = [
  // A segment of its own, of any kind.
  (jpeg, random) => {
    const code = CODES[Math.floor(random() * CODES.length)]!;
    const before = segmentsOf(jpeg)[Math.floor(random() * segmentsOf(jpeg).length)]!;
    return withInserted(jpeg, before.from, segment(code, MARKER));
  },
  // At the end of a segment that is there, which says that it is so much longer.
  (jpeg, random) => {
    const { from, to } = segmentsOf(jpeg)[Math.floor(random() * segmentsOf(jpeg).length)]!;
    const longer = withInserted(jpeg, to, MARKER);
    longer.writeUInt16BE(to - from - 2 + MARKER.length, from + 2);
    return longer;
  },
  // Over what is in a segment, or in the compressed data.
  (jpeg, random) => overwritten(jpeg, 4 + Math.floor(random() * (jpeg.length - 4))),
  (jpeg, random) => {
    const data = segmentsOf(jpeg).at(-1)!.to;
    return overwritten(jpeg, data + Math.floor(random() * (jpeg.length - data)));
  },
  // Between segments, before the end, after the end.
  (jpeg) => withInserted(jpeg, jpeg.length - 2, MARKER),
  (jpeg) => Buffer.concat([jpeg, MARKER]),
  (jpeg, random) => {
    const { from } = segmentsOf(jpeg)[Math.floor(random() * segmentsOf(jpeg).length)]!;
    return withInserted(jpeg, from, MARKER);
  },
  // With some bytes of the picture gone wrong as well.
  (jpeg, random) => {
    const copy = Buffer.concat([jpeg, MARKER]);
    for (let byte = 0; byte < 3; byte += 1)
      copy[2 + Math.floor(random() * (jpeg.length - 2))] = Math.floor(random() * 256);
    return copy;
  },
];

/** A picture with a marker hidden in one of its parts, as a camera wrote it or progressive. */
export async function spoiltPicture(jpeg: Buffer, random: () => number): Promise<Buffer> {
  const sound = random() < 0.5 ? jpeg : await sharp(jpeg).jpeg({ progressive: true }).toBuffer();
  return HIDDEN[Math.floor(random() * HIDDEN.length)]!(sound, random);
}

/** A picture as a card has it, with a place that a program wrote into it. */
export async function cardPicture(on: string, size: { width: number; height: number } = CARD_PICTURE_PX) {
  const { width, height } = size;
  const jpeg = await sharp({ create: { width, height, channels: 3, background: '#3a4038' } })
    .jpeg()
    .withExif({ IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '51/1 30/1 0/1' } })
    .toBuffer();
  return { on, jpeg: jpeg.toString('base64') };
}

/** Both pictures of a card, with what they show measured. */
export const bothPictures = async () => ({
  earlier: await cardPicture('2026-04-01'),
  later: await cardPicture('2026-05-01'),
  measures: [{ name: 'Width, heel to heel', earlier: '42.0 cm', later: '47.1 cm' }],
});
