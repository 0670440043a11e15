import { chanceFrom, bell } from '../chance';
import { groundOf, seenBy, type Camera, type Vector } from './lens';
import { BALL_RADIUS, slicesOf, truthOf, type Laid, type Scene, type Spot } from './scene';

/** Light and what a sensor makes of it. */
export interface Light {
  /** How much darker the dim side of the picture is than the bright one, 0 to 1. */
  uneven: number;
  /** The share of light in a shadow that lies over the ground; 1 for none. */
  shadow: number;
  /** Standard deviation of the lens's blur, pixels. */
  blur: number;
  /** Standard deviation of noise, greys of 255. */
  noise: number;
}

export interface Picture {
  width: number;
  height: number;
  /** Red, green and blue of each pixel. */
  data: Uint8Array;
  /** What each pixel shows, by its place in `MATERIAL_NAMES`. */
  shows: Uint8Array;
}

const MATERIALS = {
  grass: [0.62, 1, 0.5],
  mat: [0.75, 1, 0.8],
  paper: [1, 1, 0.99],
  stick: [1, 0.75, 0.3],
  ball: [1, 1, 1],
  sole: [1, 1, 1],
  upper: [0.9, 0.95, 1.05],
  trousers: [0.8, 0.85, 1],
} as const;
export const MATERIAL_NAMES = Object.keys(MATERIALS) as (keyof typeof MATERIALS)[];
const TINTS = Object.values(MATERIALS);

/** The picture while it is made: how light each pixel is, and of what. */
interface Canvas {
  width: number;
  height: number;
  light: Float32Array;
  material: Uint8Array;
}

const NOISE_SIDE = 512;
const noiseTile = (chance: () => number): Float32Array =>
  Float32Array.from({ length: NOISE_SIDE * NOISE_SIDE }, () => chance() - 0.5);

/** How light a ground is, and by how much tufts or grain of what size change it, greys and mm. */
const TEXTURES = {
  grass: { base: 95, fine: 55, coarse: 30, grain: 3 },
  mat: { base: 80, fine: 14, coarse: 6, grain: 1.5 },
};

/** The ground with its light: grass in tufts, a mat in fine grain. */
function paintGround(canvas: Canvas, camera: Camera, scene: Scene, light: Light, chance: () => number): void {
  const tile = noiseTile(chance);
  const at = (x: number, y: number): number =>
    tile[(Math.floor(x) & (NOISE_SIDE - 1)) + NOISE_SIDE * (Math.floor(y) & (NOISE_SIDE - 1))]!;
  const { base, fine, coarse, grain } = TEXTURES[scene.ground];
  const ground = groundOf(camera);
  const material = MATERIAL_NAMES.indexOf(scene.ground);
  const shadow = shadowOf(light, chance);
  for (let y = 0, pixel = 0; y < canvas.height; y += 1)
    for (let x = 0; x < canvas.width; x += 1, pixel += 1) {
      const spot = ground(x + 0.5, y + 0.5, 0);
      const texture = fine * at(spot.x / grain, spot.y / grain) + coarse * at(spot.x / 37, spot.y / 37);
      canvas.light[pixel] = spot.ahead ? (base + texture) * shadow(spot.x, spot.y) : 200;
      canvas.material[pixel] = material;
    }
}

/** A shadow with a soft edge across the ground, somewhere. */
function shadowOf({ shadow }: Light, chance: () => number): (x: number, y: number) => number {
  if (shadow >= 1) return () => 1;
  const turn = 2 * Math.PI * chance();
  const [across, edge] = [[Math.cos(turn), Math.sin(turn)] as const, 300 * (chance() - 0.5)];
  return (x, y) => {
    const past = (across[0] * x + across[1] * (y + 300) - edge) / 25;
    return shadow + (1 - shadow) / (1 + Math.exp(Math.max(-30, Math.min(30, past))));
  };
}

const boundsOf = (points: readonly { x: number; y: number }[], { width, height }: Canvas) => ({
  left: Math.max(0, Math.floor(Math.min(...points.map(({ x }) => x))) - 1),
  right: Math.min(width - 1, Math.ceil(Math.max(...points.map(({ x }) => x))) + 1),
  top: Math.max(0, Math.floor(Math.min(...points.map(({ y }) => y))) - 1),
  bottom: Math.min(height - 1, Math.ceil(Math.max(...points.map(({ y }) => y))) + 1),
});

const FINE = 4;
const PARTS = Array.from({ length: FINE * FINE }, (_, part) => part);

/** Covers pixels by the share of them that a thing takes, looking at each in a grid of points. */
function cover(
  canvas: Canvas,
  around: readonly { x: number; y: number }[],
  material: keyof typeof MATERIALS,
  lightAt: (x: number, y: number) => number | null,
): void {
  const { left, right, top, bottom } = boundsOf(around, canvas);
  for (let y = top; y <= bottom; y += 1)
    for (let x = left; x <= right; x += 1) {
      const seen = PARTS.map((part) =>
        lightAt(x + ((part % FINE) + 0.5) / FINE, y + (Math.floor(part / FINE) + 0.5) / FINE),
      ).filter((light) => light !== null);
      if (seen.length === 0) continue;
      const light = seen.reduce((sum, value) => sum + value, 0) / seen.length;
      mix(canvas, y * canvas.width + x, seen.length / PARTS.length, light, MATERIAL_NAMES.indexOf(material));
    }
}

/** Lays a thing over the share of a pixel that it covers. */
function mix(canvas: Canvas, pixel: number, covered: number, light: number, material: number): void {
  canvas.light[pixel] = (1 - covered) * canvas.light[pixel]! + covered * light;
  if (covered > 0.5) canvas.material[pixel] = material;
}

/** The grey of a laid thing's picture between its points; white paper beyond the print. */
function printAt({ raster, scale }: Laid, x: number, y: number): number {
  const column = (x / scale) * raster.perMm + raster.width / 2 - 0.5;
  const row = raster.height / 2 - (y / scale) * raster.perMm - 0.5;
  const [left, top] = [Math.floor(column), Math.floor(row)];
  if (left < 0 || top < 0 || left + 1 >= raster.width || top + 1 >= raster.height) return 255;
  const at = top * raster.width + left;
  const [right, down] = [column - left, row - top];
  const above = raster.data[at]! * (1 - right) + raster.data[at + 1]! * right;
  const below = raster.data[at + raster.width]! * (1 - right) + raster.data[at + raster.width + 1]! * right;
  return above * (1 - down) + below * down;
}

function paintLaid(canvas: Canvas, camera: Camera, laid: Laid, shade: (x: number, y: number) => number) {
  const { raster, at, turned, curl } = laid;
  const [halfWidth, halfHeight] = [raster.width / raster.perMm / 2, raster.height / raster.perMm / 2];
  const [cosine, sine] = [Math.cos((turned * Math.PI) / 180), Math.sin((turned * Math.PI) / 180)];
  const corners = [-1, 1].flatMap((x) =>
    [-1, 1].flatMap((y) => {
      const [along, up] = [x * halfWidth, y * halfHeight];
      return [0, curl].map((z) =>
        seenBy(camera, [at.x + along * cosine - up * sine, at.y + along * sine + up * cosine, z]),
      );
    }),
  );
  const ground = groundOf(camera);
  cover(canvas, corners, 'paper', (x, y) => {
    let [height, along, up] = [0, 0, 0];
    // A curled sheet is a low arch across its width: the ray meets it after a few rounds.
    for (let round = 0; round < (curl > 0 ? 4 : 1); round += 1) {
      const spot = ground(x, y, height);
      if (!spot.ahead) return null;
      along = (spot.x - at.x) * cosine + (spot.y - at.y) * sine;
      up = (spot.y - at.y) * cosine - (spot.x - at.x) * sine;
      height = curl * Math.max(0, 1 - (along / halfWidth) ** 2);
    }
    if (Math.abs(along) > halfWidth || Math.abs(up) > halfHeight) return null;
    return (18 + (205 * printAt(laid, along, up)) / 255) * shade(at.x + along, at.y + up);
  });
}

function paintStick(canvas: Canvas, camera: Camera, [from, to]: readonly [Spot, Spot]): void {
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  const along = { x: (to.x - from.x) / length, y: (to.y - from.y) / length };
  const corners = [from, to].flatMap((end) =>
    [-6, 6].map((side) => seenBy(camera, [end.x - side * along.y, end.y + side * along.x, 0])),
  );
  const ground = groundOf(camera);
  cover(canvas, corners, 'stick', (x, y) => {
    const spot = ground(x, y, 0);
    if (!spot.ahead) return null;
    const [dx, dy] = [spot.x - from.x, spot.y - from.y];
    const on = dx * along.x + dy * along.y;
    const off = Math.abs(dy * along.x - dx * along.y);
    return on < 0 || on > length || off > 5 ? null : 215 - 8 * off;
  });
}

function paintBall(canvas: Canvas, camera: Camera, ball: Spot): void {
  const middle: Vector = [ball.x, ball.y, BALL_RADIUS];
  const around = [-1, 1].flatMap((a) =>
    [-1, 1].flatMap((b) =>
      [-1, 1].map((c) =>
        seenBy(camera, [ball.x + a * BALL_RADIUS, ball.y + b * BALL_RADIUS, BALL_RADIUS * (1 + c)]),
      ),
    ),
  );
  const from = [0, 1, 2].map((axis) => camera.place[axis]! - middle[axis]!);
  const ground = groundOf(camera);
  cover(canvas, around, 'ball', (x, y) => {
    const { rayX, rayY, rayZ } = ground(x, y, 0);
    const a = rayX ** 2 + rayY ** 2 + rayZ ** 2;
    const b = rayX * from[0]! + rayY * from[1]! + rayZ * from[2]!;
    const c = from[0]! ** 2 + from[1]! ** 2 + from[2]! ** 2 - BALL_RADIUS ** 2;
    const under = b * b - a * c;
    if (under < 0) return null;
    const far = (-b - Math.sqrt(under)) / a;
    const up = (from[2]! + far * rayZ) / BALL_RADIUS;
    return 150 + 90 * Math.max(0, up);
  });
}

type Corners = readonly { x: number; y: number }[];

/** Where a level line of the picture goes into a polygon and out of it, from left to right. */
function crossingsAt(corners: Corners, level: number): number[] {
  const crossings: number[] = [];
  for (let at = 0; at < corners.length; at += 1) {
    const [a, b] = [corners[at]!, corners[(at + 1) % corners.length]!];
    if (a.y <= level === b.y <= level) continue;
    crossings.push(a.x + ((level - a.y) / (b.y - a.y)) * (b.x - a.x));
  }
  return crossings.sort((a, b) => a - b);
}

/** Adds to each pixel of a row the share of it that lies between two places. */
function addCovered(covered: Float32Array, from: number, to: number): void {
  for (let x = Math.floor(from); x < to; x += 1)
    covered[x]! += (Math.min(to, x + 1) - Math.max(from, x)) / FINE;
}

/** Fills a polygon of the picture, by four lines of points a pixel with what each line covers. */
function fill(canvas: Canvas, corners: Corners, light: number, material: number): void {
  const { left, right, top, bottom } = boundsOf(corners, canvas);
  const covered = new Float32Array(Math.max(0, right - left + 2));
  for (let y = top; y <= bottom; y += 1) {
    covered.fill(0);
    for (let part = 0; part < FINE; part += 1) {
      const crossings = crossingsAt(corners, y + (part + 0.5) / FINE);
      for (let at = 0; at + 1 < crossings.length; at += 2)
        addCovered(
          covered,
          Math.max(left, crossings[at]!) - left,
          Math.min(right + 1, crossings[at + 1]!) - left,
        );
    }
    for (let x = left; x <= right; x += 1) {
      const part = Math.min(1, covered[x - left]!);
      if (part > 0) mix(canvas, y * canvas.width + x, part, light, material);
    }
  }
}

/** A separable blur with the weights of a bell curve. */
function blurred({ width, light }: Canvas, deviation: number): void {
  if (deviation <= 0) return;
  const reach = Math.ceil(2.5 * deviation);
  const weights = Array.from({ length: 2 * reach + 1 }, (_, at) =>
    Math.exp(-((at - reach) ** 2) / (2 * deviation ** 2)),
  );
  const sum = weights.reduce((a, b) => a + b, 0);
  const height = light.length / width;
  const clamped = (value: number, most: number) => Math.min(most, Math.max(0, value));
  const across = new Float32Array(light.length);
  for (let row = 0; row < light.length; row += width)
    for (let off = -reach; off <= reach; off += 1) {
      const weight = weights[off + reach]! / sum;
      const [from, to] = [Math.max(0, -off), Math.min(width, width - off)];
      for (let x = 0; x < from; x += 1) across[row + x]! += weight * light[row]!;
      for (let x = from; x < to; x += 1) across[row + x]! += weight * light[row + x + off]!;
      for (let x = to; x < width; x += 1) across[row + x]! += weight * light[row + width - 1]!;
    }
  light.fill(0);
  for (let y = 0; y < height; y += 1)
    for (let off = -reach; off <= reach; off += 1) {
      const weight = weights[off + reach]! / sum;
      const [to, from] = [y * width, clamped(y + off, height - 1) * width];
      for (let x = 0; x < width; x += 1) light[to + x]! += weight * across[from + x]!;
    }
}

const BELLS = 4096;

/** What the sensor makes of it: noise, and a picture that is brighter on one side. */
function developed(canvas: Canvas, light: Light, chance: () => number): Picture {
  const { width, height } = canvas;
  const bells = Float32Array.from({ length: BELLS }, () => bell(chance));
  const turn = 2 * Math.PI * chance();
  const data = new Uint8Array(3 * width * height);
  const half = Math.hypot(width, height) / 2;
  let draw = Math.floor(BELLS * chance());
  for (let y = 0, pixel = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1, pixel += 1) {
      const side = ((x - width / 2) * Math.cos(turn) + (y - height / 2) * Math.sin(turn)) / half;
      const seen = canvas.light[pixel]! * (1 - (light.uneven * (1 + side)) / 2);
      draw = (draw * 1103 + 12345 + pixel) & (BELLS - 1);
      const noise = light.noise * bells[draw]!;
      const tint = TINTS[canvas.material[pixel]!]!;
      for (let channel = 0; channel < 3; channel += 1) {
        const value = seen * tint[channel]! + noise;
        data[3 * pixel + channel] = value < 0 ? 0 : value > 255 ? 255 : value;
      }
    }
  return { width, height, data, shows: canvas.material };
}

/** How dark or light shoes and trousers are. */
const LIGHTS = {
  dark: { sole: 190, upper: 70 },
  white: { sole: 235, upper: 225 },
};
const TROUSERS = 60;

/**
 * A photograph of a scene.
 * @param seed the same seed gives the same photograph
 */
export function photograph(scene: Scene, camera: Camera, light: Light, seed: string): Picture {
  const chance = chanceFrom('photograph', seed);
  const { width, height } = camera.lens;
  const pixels = width * height;
  const canvas: Canvas = { width, height, light: new Float32Array(pixels), material: new Uint8Array(pixels) };
  const shadowSeed = `${seed} shadow`;
  paintGround(canvas, camera, scene, light, chanceFrom(shadowSeed));
  const shaded = chanceFrom(shadowSeed);
  noiseTile(shaded);
  const shade = shadowOf(light, shaded);
  for (const laid of scene.laid) paintLaid(canvas, camera, laid, shade);
  const truth = truthOf(scene);
  if (truth.stick) paintStick(canvas, camera, truth.stick);
  paintBall(canvas, camera, truth.ball);
  const greys = { ...LIGHTS[scene.shoes], trousers: TROUSERS };
  for (const foot of ['lead', 'trail'] as const) {
    const toLeft = (foot === 'lead') === (scene.standing.hand === 'right');
    for (const { outline, light: lit, material } of slicesOf(truth[foot], scene, toLeft ? -1 : 1))
      fill(
        canvas,
        outline.map((point) => seenBy(camera, point)),
        greys[material] * lit,
        MATERIAL_NAMES.indexOf(material),
      );
  }
  blurred(canvas, light.blur);
  return developed(canvas, light, chance);
}
