import { readFileSync } from 'node:fs';
import { greyFrom, sheetOf, sheetSvg, type CodeReader, type Grey, type Paper } from '@pedastance/core/photo';
import { innerReach } from '@pedastance/core/setup';
import sharp from 'sharp';
import { prepareZXingModule, readBarcodes } from 'zxing-wasm/reader';
import { cameraThat, seenBy, type Camera, type CameraStands, type Lens } from '../devices/camera/lens';
import { photograph, type Light, type Picture } from '../devices/camera/render';
import {
  BALL_RADIUS,
  sidesOfBall,
  truthOf,
  type Laid,
  type Scene,
  type Standing,
} from '../devices/camera/scene';

/** Photographs by the stand-in camera for tests and measurements: files with what a phone writes into them, and the truth. */

const PER_MM = 6;
type Raster = Laid['raster'];

/** A sheet's own drawing as a raster that can be laid on the ground. */
export async function printed(paper: Paper): Promise<Raster> {
  const sheet = sheetOf(paper);
  const [width, height] = [Math.round(sheet.width * PER_MM), Math.round(sheet.height * PER_MM)];
  const svg = sheetSvg(sheet)
    .replace(/width="[\d.]+mm" height="[\d.]+mm"/, `width="${width}" height="${height}"`)
    .replace('shape-rendering="crispEdges"', '');
  const data = await sharp(Buffer.from(svg)).removeAlpha().toColourspace('b-w').raw().toBuffer();
  return { width, height, data: new Uint8Array(data), perMm: PER_MM };
}

/** Plain paper. */
export function plain(paper: Paper): Raster {
  const { width, height } = sheetOf(paper);
  const [columns, rows] = [Math.round(width * PER_MM), Math.round(height * PER_MM)];
  return { width: columns, height: rows, data: new Uint8Array(columns * rows).fill(255), perMm: PER_MM };
}

export const STANDING: Standing = {
  hand: 'right',
  shoe: { length: 290, breadth: 105 },
  stanceWidth: 420,
  leadFlare: 22,
  trailFlare: 8,
  setback: 40,
  ballAlong: 60,
  ballBeyondToe: 280,
  toeHeight: 15,
  heelHeight: 10,
};

/** Between the feet of a standing, mm. */
export const betweenFeet = ({ hand, stanceWidth, ballAlong }: Standing) => ({
  x: (hand === 'right' ? -1 : 1) * (ballAlong - stanceWidth / 2),
  y: -330,
});

export const sceneWith = (standing: Standing, raster: Raster | null, over: Partial<Laid> = {}): Scene => ({
  standing,
  laid: raster ? [{ raster, at: betweenFeet(standing), turned: 8, scale: 1, curl: 0, ...over }] : [],
  stick: { beyond: 120, turned: 0 },
  ground: 'grass',
  shoes: 'dark',
  trousers: true,
});

export const LIGHT: Light = { uneven: 0.25, shadow: 0.7, blur: 0.9, noise: 3 };

/** A phone's camera over a scene: its view and how many pixels it has across. */
export function phoneOver(scene: Scene, stands: Partial<CameraStands>, width: number, bend = 0.003): Camera {
  const lens: Lens = { width, height: 0.75 * width, focal: 0.75 * width, bend };
  const { x } = betweenFeet(scene.standing);
  const usual = { elevation: 50, around: 5, distance: 1500, roll: 2, lookingAt: { x, y: -280 } };
  return cameraThat({ ...usual, ...stands }, lens);
}

export const asJpeg = ({ width, height, data }: Picture, quality: number) =>
  sharp(Buffer.from(data), { raw: { width, height, channels: 3 } }).jpeg({ quality });

/** A file as a phone writes it, with its lens, its maker and a place. */
export function asPhoneWrites(picture: Picture, { lens }: Camera): Promise<Buffer> {
  const focal35 = (lens.focal / Math.hypot(lens.width, lens.height)) * Math.hypot(36, 24);
  return asJpeg(picture, 88)
    .withExif({
      IFD0: { Make: 'Invented camera' },
      IFD2: { FocalLengthIn35mmFilm: String(Math.round(focal35)) },
      IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '51/1 30/1 0/1' },
    })
    .toBuffer();
}

/** Where a point of a laid thing is seen: mm from its middle, right and up. */
export function seenOn(camera: Camera, { at, turned }: Laid, right: number, up: number) {
  const [cosine, sine] = [Math.cos((turned * Math.PI) / 180), Math.sin((turned * Math.PI) / 180)];
  return seenBy(camera, [at.x + right * cosine - up * sine, at.y + right * sine + up * cosine, 0]);
}

/** Where everything that is tapped is seen, as shares of the picture's width and height. */
export function whereToTap(scene: Scene, camera: Camera) {
  const { lead, trail, ball, stick } = truthOf(scene);
  const { toeHeight, heelHeight } = scene.standing;
  const { lens } = camera;
  const shareOf = (seen: { x: number; y: number }) => ({ x: seen.x / lens.width, y: seen.y / lens.height });
  const at = ({ x, y }: { x: number; y: number }, height: number) => shareOf(seenBy(camera, [x, y, height]));
  return {
    stick1: at(stick![0], 0),
    stick2: at(stick![1], 0),
    ball: at(ball, BALL_RADIUS),
    ballSides: sidesOfBall(camera).map(shareOf),
    leadToe: at(lead.toe, toeHeight),
    leadHeel: at(lead.heel, heelHeight),
    trailToe: at(trail.toe, toeHeight),
    trailHeel: at(trail.heel, heelHeight),
    corners: scene.laid.slice(0, 1).flatMap((laid) => {
      const [x, y] = [laid.raster.width / laid.raster.perMm / 2, laid.raster.height / laid.raster.perMm / 2];
      return [
        [-x, y],
        [x, y],
        [x, -y],
        [-x, -y],
      ].map(([right, up]) => shareOf(seenOn(camera, laid, right!, up!)));
    }),
  };
}

/** A point along a shoe's inner edge, a share of the way from heel to toe; as a share of the picture. */
export function innerEdge(scene: Scene, camera: Camera, foot: 'lead' | 'trail', share: number) {
  const { heel, toe } = truthOf(scene)[foot];
  const { length, breadth } = scene.standing.shoe;
  const along = { x: (toe.x - heel.x) / length, y: (toe.y - heel.y) / length };
  // Toward the other foot.
  const other = truthOf(scene)[foot === 'lead' ? 'trail' : 'lead'].heel;
  const side = Math.sign((other.x - heel.x) * along.y - (other.y - heel.y) * along.x);
  const reach = side * breadth * innerReach(share);
  const seen = seenBy(camera, [
    heel.x + share * (toe.x - heel.x) + reach * along.y,
    heel.y + share * (toe.y - heel.y) - reach * along.x,
    6,
  ]);
  return { x: seen.x / camera.lens.width, y: seen.y / camera.lens.height };
}

export async function openReader(): Promise<void> {
  const wasm = readFileSync(require.resolve('zxing-wasm/reader/zxing_reader.wasm'));
  const wasmBinary = wasm.buffer.slice(wasm.byteOffset, wasm.byteOffset + wasm.byteLength) as ArrayBuffer;
  await prepareZXingModule({ overrides: { wasmBinary }, fireImmediately: true });
}

/** The same reader as the app's, in Node. */
export const readCodes: CodeReader = async ({ width, height, data }) => {
  const rgba = new Uint8ClampedArray(4 * width * height).fill(255);
  for (let at = 0; at < data.length; at += 1) rgba.fill(data[at]!, 4 * at, 4 * at + 3);
  const found = await readBarcodes({ data: rgba, width, height, colorSpace: 'srgb' } as never, {
    formats: ['QRCode'],
    tryHarder: true,
    maxNumberOfSymbols: 4,
  });
  return found
    .filter(({ isValid }) => isValid)
    .map(({ text, isMirrored, position: { topLeft, topRight, bottomRight, bottomLeft } }) => ({
      words: text,
      mirrored: isMirrored,
      corners: [topLeft, topRight, bottomRight, bottomLeft],
    }));
};

/** What the app makes of a file's pixels. */
export async function greyOf(jpeg: Buffer): Promise<Grey> {
  const { data, info } = await sharp(jpeg).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
  return greyFrom(data, info.width, info.height);
}

export { photograph };
