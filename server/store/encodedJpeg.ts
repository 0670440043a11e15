import pLimit from 'p-limit';
import sharp, { type Sharp } from 'sharp';

/** The bytes are no JPEG that is kept: what was expected, and what was found. */
export class NotAJpeg extends Error {
  constructor(
    readonly expected: string,
    readonly found: string,
  ) {
    super(`expected ${expected}, found ${found}`);
  }
}

/** So many pictures are decoded at once, whoever sent them; the others take turns: the largest takes some 100 MB. */
const AT_ONCE = 1;
const LONGEST_SECONDS = 5;
/** From hardly to be told from what came to what fits. */
const QUALITIES = [90, 80, 65, 45];
/** Grey, or red, green and blue. */
const CHANNELS = [1, 3];

const taken = pLimit(AT_ONCE);
// Each picture on one thread: the machine's others belong to whoever else is at work.
sharp.concurrency(1);
sharp.cache(false);

export interface JpegWanted {
  /** Pixels, as they were said to be. */
  width: number;
  height: number;
  mostBytes: number;
}

/** Its first three bytes say whether a file means to be a JPEG (ITU-T T.81, B.1.1.3): no other decoder is ever asked. */
const isJpeg = (bytes: Buffer): boolean => bytes.length > 3 && bytes.readUIntBE(0, 3) === 0xffd8ff;

function opened(bytes: Buffer, { width, height }: JpegWanted): Sharp {
  const limitInputPixels = width * height;
  return sharp(bytes, { failOn: 'warning', limitInputPixels, sequentialRead: true });
}

async function checkFrame(bytes: Buffer, wanted: JpegWanted): Promise<void> {
  if (!isJpeg(bytes)) throw new NotAJpeg('a JPEG picture', 'a file of another kind');
  // Its head alone is read here, whatever its size.
  const head = sharp(bytes, { limitInputPixels: false });
  const { width, height, channels } = await head.metadata().catch(() => {
    throw new NotAJpeg('a whole picture', 'one that cannot be read');
  });
  if (width !== wanted.width || height !== wanted.height)
    throw new NotAJpeg(`${wanted.width} by ${wanted.height} pixels`, `${width} by ${height}`);
  if (!CHANNELS.includes(channels)) throw new NotAJpeg('grey or three colours', `${channels} components`);
}

async function encoded(bytes: Buffer, wanted: JpegWanted): Promise<Buffer> {
  await checkFrame(bytes, wanted);
  for (const quality of QUALITIES) {
    const jpeg = await opened(bytes, wanted)
      .timeout({ seconds: LONGEST_SECONDS })
      .jpeg({ quality })
      .toBuffer()
      .catch(() => {
        throw new NotAJpeg('a whole picture', 'one that cannot be read');
      });
    if (jpeg.length <= wanted.mostBytes) return jpeg;
  }
  throw new NotAJpeg(`a picture that fits ${wanted.mostBytes} bytes`, 'one with too much in it');
}

/**
 * A picture decoded and encoded again: nothing but its pixels comes through, whatever else its file held and wherever it held
 * it. What does not decode to the end is refused.
 * @param bytes as they came
 * @param wanted the size that it was said to have, and how much is kept
 * @returns a JPEG (ITU-T T.81) of the same size
 * @throws NotAJpeg
 */
export const encodedJpeg = (bytes: Buffer, wanted: JpegWanted): Promise<Buffer> =>
  taken(() => encoded(bytes, wanted));
