/** A pinhole camera with a lens that bends lines a little, in equations of its own. */

export type Vector = readonly [number, number, number];

export interface CameraStands {
  /** Above the ground as seen from what it looks at, degrees. */
  elevation: number;
  /** Around what it looks at: 0 in front of the student, 90 and −90 beside, 180 behind, degrees. */
  around: number;
  /** From what it looks at, mm. */
  distance: number;
  /** Turned about its own axis, degrees. */
  roll: number;
  /** What it looks at, mm. */
  lookingAt: { x: number; y: number };
}

export interface Lens {
  /** pixels */
  width: number;
  /** pixels */
  height: number;
  /** pixels */
  focal: number;
  /** How far out a corner of the picture is bent, as a share. */
  bend: number;
}

export interface Camera {
  lens: Lens;
  /** Where it is, mm; z is up. */
  place: Vector;
  right: Vector;
  down: Vector;
  forward: Vector;
}

const radians = (degrees: number): number => (degrees * Math.PI) / 180;
const dot = (a: Vector, b: Vector): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const cross = (a: Vector, b: Vector): Vector => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
const unit = (a: Vector): Vector => {
  const length = Math.sqrt(dot(a, a));
  return [a[0] / length, a[1] / length, a[2] / length];
};

/** A camera that stands somewhere; in front of the student is toward +y. */
export function cameraThat(stands: CameraStands, lens: Lens): Camera {
  const { elevation, around, distance, roll, lookingAt } = stands;
  const flat = distance * Math.cos(radians(elevation));
  const [side, out] = [Math.sin(radians(around)), Math.cos(radians(around))];
  const place: Vector = [
    lookingAt.x + flat * side,
    lookingAt.y + flat * out,
    distance * Math.sin(radians(elevation)),
  ];
  // Straight down, the top of the picture is away from where the camera came from.
  const forward = unit([lookingAt.x - place[0], lookingAt.y - place[1], -place[2]]);
  const level: Vector = [-out, side, 0];
  const below = cross(forward, level);
  const [cosine, sine] = [Math.cos(radians(roll)), Math.sin(radians(roll))];
  const turned = (a: Vector, b: Vector, by: number): Vector => [
    cosine * a[0] + by * b[0],
    cosine * a[1] + by * b[1],
    cosine * a[2] + by * b[2],
  ];
  return {
    lens,
    place,
    forward,
    right: turned(level, below, sine),
    down: turned(below, level, -sine),
  };
}

/** Where the camera sees a point, pixels. */
export function seenBy(
  { lens, place, right, down, forward }: Camera,
  [x, y, z]: Vector,
): { x: number; y: number } {
  const from: Vector = [x - place[0], y - place[1], z - place[2]];
  const depth = dot(from, forward);
  const u = (lens.focal * dot(from, right)) / depth;
  const v = (lens.focal * dot(from, down)) / depth;
  const out = 1 + (lens.bend * 4 * (u * u + v * v)) / (lens.width ** 2 + lens.height ** 2);
  return { x: lens.width / 2 + u * out, y: lens.height / 2 + v * out };
}

/** Meets rays of a camera with level planes; made once for a picture, since millions are asked of it. */
export function groundOf({ lens, place, right, down, forward }: Camera) {
  const { focal, bend } = lens;
  const [middleX, middleY] = [lens.width / 2, lens.height / 2];
  const corner = middleX ** 2 + middleY ** 2;
  const [rightX, rightY, rightZ] = right;
  const [downX, downY, downZ] = down;
  const [forwardX, forwardY, forwardZ] = forward;
  const [placeX, placeY, placeZ] = place;
  const met = { x: 0, y: 0, ahead: false, rayX: 0, rayY: 0, rayZ: 0 };
  /** Where a pixel meets the plane at a height; the answer is one object that the next asking changes. */
  return (x: number, y: number, height: number): typeof met => {
    const bentU = x - middleX;
    const bentV = y - middleY;
    const share = (bend * (bentU * bentU + bentV * bentV)) / corner;
    // The bend is given from the straight picture to the bent one; back goes by two rounds.
    let out = 1 + share;
    out = 1 + share / (out * out);
    out = 1 + share / (out * out);
    const u = bentU / (out * focal);
    const v = bentV / (out * focal);
    met.rayX = forwardX + u * rightX + v * downX;
    met.rayY = forwardY + u * rightY + v * downY;
    met.rayZ = forwardZ + u * rightZ + v * downZ;
    const far = (height - placeZ) / met.rayZ;
    met.ahead = far > 0;
    met.x = placeX + far * met.rayX;
    met.y = placeY + far * met.rayY;
    return met;
  };
}
