import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  CODE_WORDS,
  cornersOf,
  findSheets,
  PAPER_NAMES,
  projected,
  refinedCorners,
  sheetOf,
} from '@pedastance/core/photo';
import QRCode from 'qrcode';
import type { Laid } from '../devices/camera/scene';
import { greyOf, openReader, readCodes, seenOn, whereToTap } from './photographs';
import { sceneOf, type Wanted } from './renderPhotographs';

/** Paper, mm: A4 of ISO 216, Letter of ANSI/ASME Y14.1 (8.5 by 11 inches). */
const PAPER_MM = { A4: [210, 297], Letter: [215.9, 279.4] } as const;

let folder: string;
beforeAll(async () => {
  await openReader();
  folder = mkdtempSync(join(tmpdir(), 'sheets-'));
  const script = join(__dirname, '..', '..', 'scripts', 'makeSheets.ts');
  execFileSync(process.execPath, ['--import', 'tsx', script, folder], { cwd: join(__dirname, '..', '..') });
  const camera = join(__dirname, 'renderPhotographs.ts');
  execFileSync(process.execPath, ['--import', 'tsx', camera, folder, JSON.stringify(WANTED)]);
}, 120_000);

describe('the sheet that is printed', () => {
  test.each(PAPER_NAMES)('%s: PDF and SVG are of that paper’s very size', async (paper) => {
    const [width, height] = PAPER_MM[paper];
    const name = join(folder, `sheet-${paper.toLowerCase()}`);
    // A point of PDF is a 72nd of an inch (ISO 32000-1).
    const [, right, top] = /\/MediaBox \[ 0 0 ([\d.]+) ([\d.]+) \]/.exec(
      readFileSync(`${name}.pdf`, 'latin1'),
    )!;
    expect((Number(right) / 72) * 25.4).toBeCloseTo(width, 2);
    expect((Number(top) / 72) * 25.4).toBeCloseTo(height, 2);
    expect(readFileSync(`${name}.svg`, 'utf8')).toContain(`width="${width}mm" height="${height}mm"`);
  });

  test.each(PAPER_NAMES)('%s: its code is the one a QR library makes of its words', (paper) => {
    const { modules } = QRCode.create(CODE_WORDS[paper], { errorCorrectionLevel: 'M' });
    const rows = Array.from({ length: modules.size }, (_, row) =>
      Array.from({ length: modules.size }, (_each, column) => (modules.get(row, column) ? '#' : '.')).join(
        '',
      ),
    );
    expect(sheetOf(paper).modules).toEqual(rows);
  });
});

const WANTED: Wanted[] = [
  { name: 'front', paper: 'A4' },
  { name: 'behind', paper: 'Letter', over: { turned: -40 }, stands: { elevation: 38, around: 170 } },
  { name: 'above', paper: 'A4', over: { turned: 120 }, stands: { elevation: 75, around: 90 } },
  { name: 'rescaled', paper: 'A4', over: { scale: 0.97 } },
  { name: 'curled', paper: 'A4', over: { curl: 14 } },
  { name: 'two', paper: 'A4', stands: { distance: 1500 }, second: { at: { x: 420, y: -60 }, turned: 30 } },
  { name: 'none', paper: null },
  { name: 'plain', paper: 'plain', stands: { elevation: 60 } },
];

async function photographed(name: string) {
  const wanted = WANTED.find((each) => each.name === name)!;
  const grey = await greyOf(readFileSync(join(folder, `${name}.jpg`)));
  return { ...(await sceneOf(wanted)), grey };
}

/** How far the found code's corners are from where the camera saw them, the worst, pixels. */
function worstOff(
  found: Awaited<ReturnType<typeof findSheets>>[number],
  { scene, camera }: Awaited<ReturnType<typeof photographed>>,
): number {
  const [laid] = scene.laid as [Laid];
  const { width, height, code } = found.sheet;
  const off = cornersOf(code).map(({ x, y }) => {
    const truth = seenOn(camera, laid, (x - width / 2) * laid.scale, (height / 2 - y) * laid.scale);
    const seen = projected(found.homography, { x, y: -y });
    return Math.hypot(seen.x - truth.x, seen.y - truth.y);
  });
  return Math.max(...off);
}

describe('a sheet in a photograph', () => {
  test.each([
    ['front', 'A4'],
    ['behind', 'Letter'],
    ['above', 'A4'],
  ] as const)(
    'seen from %s it is found without a tap, its edges to a fifth of a pixel',
    async (name, paper) => {
      const photo = await photographed(name);
      const [found, another] = await findSheets(photo.grey, readCodes);
      expect(another).toBeUndefined();
      expect(found!.sheet.paper).toBe(paper);
      expect(worstOff(found!, photo)).toBeLessThan(0.2);
      expect(found!.printed).toMatchObject({ paper, scale: expect.closeTo(1, 2) });
    },
  );

  test('printed at 97% it is noticed, and its ground is as large as it was printed', async () => {
    const [found] = await findSheets((await photographed('rescaled')).grey, readCodes);
    expect(found!.printed!.scale).toBeGreaterThan(0.968);
    expect(found!.printed!.scale).toBeLessThan(0.972);
    expect(found!.ground[1]!.x).toBeCloseTo(210 * found!.printed!.scale, 6);
  });

  test('one that curls up by more than a finger’s breadth is not taken for flat', async () => {
    expect(await findSheets((await photographed('curled')).grey, readCodes)).toEqual([]);
    const [flat] = await findSheets((await photographed('front')).grey, readCodes);
    expect(flat!.residualMm).toBeLessThan(0.3);
  });

  test('two are both found', async () => {
    expect(await findSheets((await photographed('two')).grey, readCodes)).toHaveLength(2);
  });

  test('none is invented where none lies, and a mirrored picture is known for one', async () => {
    expect(await findSheets((await photographed('none')).grey, readCodes)).toEqual([]);
    const { grey } = await photographed('front');
    const { width, height } = grey;
    const data = new Uint8Array(width * height);
    for (let at = 0; at < data.length; at += 1) data[at] = grey.data[at + width - 1 - 2 * (at % width)]!;
    const [found] = await findSheets({ width, height, data }, readCodes);
    expect(found!.mirrored).toBe(true);
  });

  test('a plain one’s tapped corners go to its edges', async () => {
    const photo = await photographed('plain');
    const { width, height } = photo.grey;
    const truth = whereToTap(photo.scene, photo.camera).corners.map(({ x, y }) => ({
      x: x * width,
      y: y * height,
    }));
    const tapped = truth.map(({ x, y }, at) => ({ x: x + [6, -5, 4, -6][at]!, y: y + [-4, 5, 6, -3][at]! }));
    const { points, sidesSeen } = refinedCorners(photo.grey, tapped);
    expect(sidesSeen).toBe(4);
    points.forEach((point, at) =>
      expect(Math.hypot(point.x - truth[at]!.x, point.y - truth[at]!.y)).toBeLessThan(0.7),
    );
  });
});
