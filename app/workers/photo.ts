import {
  Degenerate,
  findSheets,
  focalFrom35mm,
  greyFrom,
  measureFeet,
  photoAdvice,
  refinedCorners,
  snappedAlong,
  usualFocal,
  type Grey,
} from '@pedastance/core/photo';
import { MOST_PHOTO_BYTES } from '@pedastance/contract/photoLimits';
import type { Point } from '@pedastance/core/setup';
import { CARD_PICTURE_PX, LONGEST_CARD_PICTURE } from '@pedastance/contract/cardLimits';
import { parse } from 'exifr';
import { imageSize } from 'image-size';
import type { PhotoSheet } from '../domain/photoTaps';
import { readCodes } from './codes';
import { laidFlat } from './laidFlat';
import type {
  FileFault,
  OpenedPhoto,
  PhotoAsk,
  PhotoAsked,
  PhotoQuestion,
  PhotoStage,
} from './photoRequests';

/** The pixels of photos, out of the way of the screen: decoding, finding sheets and edges, measuring. */

const MOST_BYTES = 60_000_000;
const MOST_PIXELS = 60_000_000;
const LEAST_SIDE = 480;
/** The kept photo's longer side, at most. */
const KEPT_SIDE = 2048;
const QUALITIES = [0.85, 0.75, 0.65, 0.5];

class Faulty extends Error {
  constructor(readonly fault: FileFault) {
    super(fault);
  }
}

/** The photo that is open: as sharp as it came, and how many of its pixels one of the kept picture is. */
let sharp: { grey: Grey; by: number } | null = null;

const hasChunk = (bytes: Uint8Array, name: string): boolean => {
  const wanted = [...name].map((letter) => letter.charCodeAt(0));
  const end = Math.min(bytes.length, 4096) - wanted.length;
  for (let at = 0; at < end; at += 1) if (wanted.every((code, k) => bytes[at + k] === code)) return true;
  return false;
};

/** What the file says it is, before anything large is made of it. @throws Faulty */
function checkedSize(bytes: Uint8Array): { width: number; height: number } {
  if (bytes.length > MOST_BYTES) throw new Faulty('too large');
  let size: ReturnType<typeof imageSize>;
  try {
    size = imageSize(bytes);
  } catch {
    throw new Faulty('not a picture');
  }
  const moving =
    size.type === 'gif' ||
    (size.type === 'png' && hasChunk(bytes, 'acTL')) ||
    (size.type === 'webp' && hasChunk(bytes, 'ANIM'));
  if (moving) throw new Faulty('moving');
  if (size.width * size.height > MOST_PIXELS) throw new Faulty('too large');
  if (Math.min(size.width, size.height) < LEAST_SIDE) throw new Faulty('too small');
  return size;
}

async function decoded(file: Blob): Promise<ImageBitmap> {
  try {
    return await createImageBitmap(file, { imageOrientation: 'from-image' });
  } catch {
    throw new Faulty('cannot be read');
  }
}

function canvasOf(bitmap: ImageBitmap, width: number, height: number) {
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext('2d', { willReadFrequently: true })!;
  context.imageSmoothingQuality = 'high';
  context.drawImage(bitmap, 0, 0, width, height);
  return { canvas, context };
}

function greyOf(bitmap: ImageBitmap): Grey {
  const { width, height } = bitmap;
  const { context } = canvasOf(bitmap, width, height);
  return greyFrom(context.getImageData(0, 0, width, height).data, width, height);
}

/** A canvas as a JPEG, as good as fits; null where none does. */
async function jpegWithin(canvas: OffscreenCanvas, mostBytes: number): Promise<Blob | null> {
  for (const quality of QUALITIES) {
    const jpeg = await canvas.convertToBlob({ type: 'image/jpeg', quality });
    if (jpeg.size <= mostBytes) return jpeg;
  }
  return null;
}

/** The picture made anew from its pixels alone, small enough to be kept. @throws Faulty */
async function keptSmall(bitmap: ImageBitmap) {
  for (let side = KEPT_SIDE; side >= 1024; side *= 0.8) {
    const by = Math.min(1, side / Math.max(bitmap.width, bitmap.height));
    const [width, height] = [Math.round(bitmap.width * by), Math.round(bitmap.height * by)];
    const { canvas } = canvasOf(bitmap, width, height);
    const jpeg = await jpegWithin(canvas, MOST_PHOTO_BYTES);
    if (jpeg) return { jpeg, width, height };
  }
  throw new Faulty('not kept small');
}

/** The focal length for a 35 mm frame, where the file tells it, mm. */
async function focalTold(bytes: ArrayBuffer): Promise<number | null> {
  try {
    const tags = await parse(bytes, ['FocalLengthIn35mmFormat']);
    const told = tags?.FocalLengthIn35mmFormat;
    return typeof told === 'number' && told > 5 && told < 400 ? told : null;
  } catch {
    return null;
  }
}

async function open(
  file: Blob,
  tell: (stage: PhotoStage) => void,
): Promise<OpenedPhoto | { fault: FileFault }> {
  sharp = null;
  try {
    tell('reading');
    const bytes = await file.arrayBuffer();
    checkedSize(new Uint8Array(bytes));
    const told = await focalTold(bytes);
    const bitmap = await decoded(file);
    tell('looking for the sheet');
    const grey = greyOf(bitmap);
    const found = await findSheets(grey, readCodes);
    if (found.some(({ mirrored }) => mirrored)) throw new Faulty('mirrored');
    tell('keeping it small');
    const kept = await keptSmall(bitmap);
    bitmap.close();
    const by = grey.width / kept.width;
    sharp = { grey, by };
    const { width, height } = kept;
    const focal = told === null ? usualFocal(width, height) : focalFrom35mm(told, width, height);
    const inKept = ({ x, y }: Point): Point => ({ x: x / by, y: y / by });
    return {
      ...kept,
      camera: { centre: { x: width / 2, y: height / 2 }, focal },
      focalTold: told !== null,
      sheets: found.map(({ ground, image, spread, printed, residualMm }): PhotoSheet => ({
        ground,
        printed,
        residualMm,
        image: image.map(inKept),
        spread: spread.map((row) => row.map((value) => value / by)),
      })),
    };
  } catch (error) {
    if (error instanceof Faulty) return { fault: error.fault };
    throw error;
  }
}

const ofOpen = <Answer>(work: (grey: Grey, by: number) => Answer): Answer => {
  if (!sharp) throw new Error('no photo is open');
  return work(sharp.grey, sharp.by);
};
const larger = ({ x, y }: Point, by: number): Point => ({ x: x * by, y: y * by });

type Work = {
  [Ask in PhotoAsk]: (
    of: PhotoAsked[Ask]['of'],
    tell: (stage: PhotoStage) => void,
  ) => PhotoAsked[Ask]['answer'] | Promise<PhotoAsked[Ask]['answer']>;
};

const WORK: Work = {
  open,
  async reopen(jpeg) {
    sharp = { grey: greyOf(await decoded(jpeg)), by: 1 };
    return null;
  },
  corners: (tapped) =>
    ofOpen((grey, by) => {
      const { points, deviation, sidesSeen } = refinedCorners(
        grey,
        tapped.map((point) => larger(point, by)),
      );
      return { points: points.map((point) => larger(point, 1 / by)), deviation: deviation / by, sidesSeen };
    }),
  snap: ({ at, toward, reach }) =>
    ofOpen((grey, by) => larger(snappedAlong(grey, larger(at, by), larger(toward, by), reach * by), 1 / by)),
  measure({ photo, heights, doubts }) {
    try {
      return measureFeet(photo, heights, doubts);
    } catch (error) {
      if (error instanceof Degenerate) return null;
      throw error;
    }
  },
  async flatten({ jpeg, toPicture, lines }) {
    const bitmap = await decoded(jpeg);
    const { width, height } = bitmap;
    const seen = canvasOf(bitmap, width, height).context.getImageData(0, 0, width, height);
    const canvas = new OffscreenCanvas(CARD_PICTURE_PX.width, CARD_PICTURE_PX.height);
    const context = canvas.getContext('2d')!;
    context.putImageData(laidFlat(seen, toPicture, canvas), 0, 0);
    context.lineWidth = 3;
    for (const { points, colour } of lines) {
      context.strokeStyle = colour;
      context.beginPath();
      for (const { x, y } of points) context.lineTo(x, y);
      context.closePath();
      context.stroke();
    }
    const flat = await jpegWithin(canvas, (LONGEST_CARD_PICTURE * 3) / 4);
    if (!flat) throw new Error('the picture could not be made small enough');
    return flat;
  },
  advise: ({ photo, heights, doubts, figure }) => photoAdvice(photo, heights, doubts, figure),
};

async function answer({ number, ask, of }: PhotoQuestion): Promise<void> {
  try {
    const work = WORK[ask] as (of: unknown, tell: (stage: PhotoStage) => void) => unknown;
    const told = await work(of, (stage) => self.postMessage({ number, stage }));
    self.postMessage({ number, answer: told });
  } catch (error) {
    self.postMessage({ number, failed: (error as Error).message });
  }
}

/** Questions are answered one after another: what is asked of a photo's pixels waits until that photo is open. */
let before = Promise.resolve();
self.onmessage = ({ data }: MessageEvent<PhotoQuestion>) => {
  before = before.then(() => answer(data));
};
