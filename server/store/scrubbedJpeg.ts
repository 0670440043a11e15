/** The bytes are no JPEG that is kept: what was expected, and what was found. */
export class NotAJpeg extends Error {
  constructor(
    readonly expected: string,
    readonly found: string,
  ) {
    super(`expected ${expected}, found ${found}`);
  }
}

/** Markers of ITU-T T.81, table B.1. */
const MARKER = {
  start: 0xd8,
  end: 0xd9,
  scan: 0xda,
  tables: [0xdb, 0xc4, 0xdd],
  frames: [0xc0, 0xc1, 0xc2],
  otherFrames: [0xc3, 0xc5, 0xc6, 0xc7, 0xc9, 0xca, 0xcb, 0xcd, 0xce, 0xcf],
};

/** JFIF 1.02 with square pixels and no thumbnail (ITU-T T.871, section 10.1). */
const JFIF = Buffer.from('ffe000104a46494600010200000100010000', 'hex');

const isRestart = (code: number): boolean => code >= 0xd0 && code <= 0xd7;
/** Application data and comments: what a camera writes of place, time and itself. */
const isApart = (code: number): boolean => (code >= 0xe0 && code <= 0xef) || code === 0xfe;

/** Where the compressed data of a scan ends: at the next marker that is no restart. */
function endOfScan(bytes: Buffer, from: number): number {
  for (let at = from; at + 1 < bytes.length; at += 1) {
    if (bytes[at] !== 0xff) continue;
    const code = bytes[at + 1]!;
    if (code !== 0 && code !== 0xff && !isRestart(code)) return at;
  }
  throw new NotAJpeg('a whole picture', 'one that is cut off');
}

/** A frame has the size that it was said to have, and grey or three colours. */
function checkFrame(segment: Buffer, width: number, height: number): void {
  const [rows, columns, components] = [segment.readUInt16BE(5), segment.readUInt16BE(7), segment[9]!];
  if (columns !== width || rows !== height)
    throw new NotAJpeg(`${width} by ${height} pixels`, `${columns} by ${rows}`);
  if (components !== 1 && components !== 3)
    throw new NotAJpeg('grey or three colours', `${components} components`);
}

/** Whether what a marker begins belongs to a picture that browsers read. @throws NotAJpeg */
function checkMarker(code: number): void {
  if (MARKER.otherFrames.includes(code))
    throw new NotAJpeg('a JPEG that browsers read', 'another kind of JPEG');
  if (code !== MARKER.scan && !MARKER.frames.includes(code) && !MARKER.tables.includes(code))
    throw new NotAJpeg('a JPEG picture', 'parts of another kind');
}

function segmentAt(bytes: Buffer, at: number): Buffer {
  const length = at + 4 <= bytes.length ? bytes.readUInt16BE(at + 2) : 0;
  if (length < 2 || at + 2 + length > bytes.length)
    throw new NotAJpeg('a whole picture', 'one that is cut off');
  return bytes.subarray(at, at + 2 + length);
}

/**
 * A JPEG (ITU-T T.81) with its picture alone: whatever else is in it is left out, and what follows its end.
 * @param bytes as they came
 * @param width pixels, as they were said to be
 * @param height pixels
 * @throws NotAJpeg
 */
export function scrubbedJpeg(bytes: Buffer, width: number, height: number): Buffer {
  if (bytes[0] !== 0xff || bytes[1] !== MARKER.start)
    throw new NotAJpeg('a JPEG picture', 'a file of another kind');
  const kept: Buffer[] = [bytes.subarray(0, 2), JFIF];
  let [at, frames, scans] = [2, 0, 0];
  for (;;) {
    if (bytes[at] !== 0xff) throw new NotAJpeg('a whole picture', 'bytes out of place');
    const code = bytes[at + 1];
    if (code === undefined) throw new NotAJpeg('a whole picture', 'one that is cut off');
    if (code === 0xff) {
      at += 1;
      continue;
    }
    if (code === MARKER.end) break;
    const segment = segmentAt(bytes, at);
    at += segment.length;
    if (isApart(code)) continue;
    checkMarker(code);
    if (MARKER.frames.includes(code)) {
      frames += 1;
      checkFrame(segment, width, height);
    }
    kept.push(segment);
    if (code !== MARKER.scan) continue;
    scans += 1;
    const end = endOfScan(bytes, at);
    kept.push(bytes.subarray(at, end));
    at = end;
  }
  if (frames !== 1 || scans < 1) throw new NotAJpeg('one picture', frames === 0 ? 'none' : 'several');
  return Buffer.concat([...kept, Buffer.from([0xff, MARKER.end])]);
}
