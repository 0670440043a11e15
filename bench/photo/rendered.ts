/**
 * Finds printed sheets in rendered photographs of every kind, and measures the feet from taps with scatter; and looks for
 * sheets in ones without; prints a line of JSON for each.
 * Usage: rendered.ts <first> <count> <with|without>
 */
import {
  cornersOf,
  findSheets,
  focalFrom35mm,
  knownBySheet,
  measureFeet,
  PAPER_NAMES,
  photoFaults,
  projected,
  sheetOf,
  USUAL_DOUBTS,
  USUAL_HEIGHTS,
  type FoundSheet,
} from '@pedastance/core/photo';
import { seeded } from '@pedastance/core/statistics';
import { cameraThat, type Camera } from '../../server/devices/camera/lens';
import { MATERIAL_NAMES, photograph, type Light, type Picture } from '../../server/devices/camera/render';
import type { Laid, Scene } from '../../server/devices/camera/scene';
import {
  asJpeg,
  betweenFeet,
  greyOf,
  openReader,
  printed,
  readCodes,
  sceneWith,
  seenOn,
  whereToTap,
} from '../../server/test/photographs';
import { anyStanding, TRUTH } from './points';

type Random = () => number;
const between = (random: Random, least: number, most: number) => least + (most - least) * random();
const oneOf = <Value>(random: Random, values: readonly Value[]): Value =>
  values[Math.floor(random() * values.length)]!;

/** Pixels across: 2, 5 and 12 megapixels. */
const WIDTHS = [1632, 1632, 1632, 1632, 1632, 2592, 2592, 4032];

function cameraOver(scene: Scene, random: Random): { camera: Camera; elevation: number; around: number } {
  const width = oneOf(random, WIDTHS);
  const [elevation, around] = [between(random, 25, 90), between(random, 0, 360)];
  const { x } = betweenFeet(scene.standing);
  const stands = {
    elevation,
    around,
    distance: between(random, 900, 1900),
    roll: between(random, -10, 10),
    lookingAt: { x: x + between(random, -120, 120), y: -300 + between(random, -120, 120) },
  };
  const lens = { width, height: 0.75 * width, focal: 0.75 * width, bend: between(random, -0.01, 0.01) };
  return { camera: cameraThat(stands, lens), elevation, around };
}

const anyLight = (random: Random): Light => ({
  uneven: between(random, 0, 0.6),
  shadow: random() < 0.5 ? 1 : between(random, 0.35, 0.8),
  blur: between(random, 0.5, 1.5),
  noise: between(random, 1, 6),
});

/** From a point of a sheet, mm from its top left corner, to the picture. */
const onPicture =
  (camera: Camera, laid: Laid, paper: { width: number; height: number }) =>
  ({ x, y }: { x: number; y: number }, scale = laid.scale) =>
    seenOn(camera, laid, (x - paper.width / 2) * scale, (paper.height / 2 - y) * scale);

/** The share of a shape of the picture that shows paper. */
function shownShare(picture: Picture, corners: readonly { x: number; y: number }[]): number {
  let [area, paper] = [0, 0];
  const wanted = MATERIAL_NAMES.indexOf('paper');
  const ys = corners.map(({ y }) => y);
  for (let y = Math.ceil(Math.min(...ys)) + 1; y < Math.max(...ys) - 1; y += 1) {
    const crossings = corners
      .flatMap((a, at) => {
        const b = corners[(at + 1) % corners.length]!;
        return a.y <= y === b.y <= y ? [] : [a.x + ((y - a.y) / (b.y - a.y)) * (b.x - a.x)];
      })
      .sort((a, b) => a - b);
    for (let x = Math.ceil((crossings[0] ?? 0) + 1); x < (crossings[1] ?? 0) - 1; x += 1) {
      area += 1;
      if (
        y >= 0 &&
        x >= 0 &&
        y < picture.height &&
        x < picture.width &&
        picture.shows[y * picture.width + x] === wanted
      )
        paper += 1;
    }
  }
  return area === 0 ? 0 : paper / area;
}

const normal = (random: Random) => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

/** The feet from taps with scatter and the sheet as it was found, beside the truth: error and one standard deviation. */
function measured(scene: Scene, camera: Camera, sheet: FoundSheet, random: Random) {
  const { standing } = scene;
  const { lens } = camera;
  const places = whereToTap(scene, camera);
  const tap = ({ x, y }: { x: number; y: number }) => ({
    x: x * lens.width + USUAL_DOUBTS.tap * normal(random),
    y: y * lens.height + USUAL_DOUBTS.tap * normal(random),
  });
  const { known, doubts } = knownBySheet(sheet);
  // A file tells whole millimetres of the 35 mm frame.
  const told = Math.round((lens.focal / Math.hypot(lens.width, lens.height)) * Math.hypot(36, 24));
  const began = performance.now();
  const feet = measureFeet(
    {
      camera: {
        centre: { x: lens.width / 2, y: lens.height / 2 },
        focal: focalFrom35mm(told, lens.width, lens.height),
      },
      known,
      shoe: { ...standing.shoe, length: standing.shoe.length + USUAL_DOUBTS.shoe * normal(random) },
      taps: {
        lead: { toe: tap(places.leadToe), heel: tap(places.leadHeel) },
        trail: { toe: tap(places.trailToe), heel: tap(places.trailHeel) },
        ball: tap(places.ball),
        stick: [tap(places.stick1), tap(places.stick2)],
      },
    },
    USUAL_HEIGHTS,
    { ...USUAL_DOUBTS, ...doubts, line: 0.05 },
  );
  return {
    ms: Math.round(performance.now() - began),
    faults: photoFaults(feet, {
      hand: standing.hand,
      unevenMm: sheet.residualMm,
      tapPx: USUAL_DOUBTS.tap,
      byClub: false,
    }),
    sharpness: feet.view.sharpness,
    off: Object.fromEntries(TRUTH.map((name) => [name, feet.figures[name].value - standing[name]])),
    sure: Object.fromEntries(TRUTH.map((name) => [name, feet.figures[name].uncertainty])),
  };
}

async function main([first, count, kind]: string[]): Promise<void> {
  await openReader();
  const rasters = { A4: await printed('A4'), Letter: await printed('Letter') };
  for (let number = Number(first); number < Number(first) + Number(count); number += 1) {
    const random = seeded(number);
    const tips = (usual: number) => Math.min(28, Math.max(3, usual + USUAL_DOUBTS.height * normal(random)));
    const standing = {
      ...anyStanding(random),
      stanceWidth: between(random, 420, 650),
      toeHeight: tips(USUAL_HEIGHTS.toe),
      heelHeight: tips(USUAL_HEIGHTS.heel),
    };
    const paper = oneOf(random, PAPER_NAMES);
    const scale = random() < 0.5 ? 1 : between(random, 0.94, 1);
    const over = { turned: between(random, -180, 180), scale };
    const scene: Scene = {
      ...sceneWith(standing, kind === 'with' ? rasters[paper] : null, over),
      ground: oneOf(random, ['grass', 'mat']),
      shoes: oneOf(random, ['dark', 'white']),
    };
    const { camera, elevation, around } = cameraOver(scene, random);
    const picture = photograph(scene, camera, anyLight(random), `rendered ${number}`);
    const grey = await greyOf(await asJpeg(picture, Math.round(between(random, 70, 92))).toBuffer());
    const began = performance.now();
    const found = await findSheets(grey, readCodes);
    const ms = Math.round(performance.now() - began);
    const line: Record<string, unknown> = {
      number,
      found: found.length,
      ms,
      megapixels: Math.round(grey.data.length / 1e6),
    };
    if (kind === 'with') {
      const sheet = sheetOf(paper);
      const toPicture = onPicture(camera, scene.laid[0]!, sheet);
      const corners = cornersOf(sheet.code).map((corner) => toPicture(corner));
      const page = cornersOf({ x: 0, y: 0, width: sheet.width, height: sheet.height }).map((corner) =>
        toPicture(corner, 1),
      );
      const sides = corners.map((corner, at) =>
        Math.hypot(corner.x - corners[(at + 1) % 4]!.x, corner.y - corners[(at + 1) % 4]!.y),
      );
      const [one] = found;
      Object.assign(line, {
        elevation,
        around,
        whole: shownShare(picture, page) > 0.995,
        side: Math.round(Math.min(...sides)),
        paper: one?.sheet.paper === paper,
        residualMm: one?.residualMm,
        feet: one && measured(scene, camera, one, random),
        off:
          one &&
          Math.max(
            ...cornersOf(sheet.code).map((corner, at) => {
              const seen = projected(one.homography, { x: corner.x, y: -corner.y });
              return Math.hypot(seen.x - corners[at]!.x, seen.y - corners[at]!.y);
            }),
          ),
        scaleOff: one?.printed ? one.printed.scale - scale : null,
        pageOff:
          one &&
          Math.max(
            ...one.ground.map((ground, at) =>
              Math.hypot(
                ...[
                  ground.x - sheet.width * scale * (at === 1 || at === 2 ? 1 : 0),
                  ground.y + sheet.height * scale * (at >= 2 ? 1 : 0),
                ],
              ),
            ),
          ),
      });
    }
    console.log(JSON.stringify(line));
  }
}

void main(process.argv.slice(2));
