// Takes photographs for tests in a process of its own, where it is ten times as fast as inside the test runner.
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Paper } from '@pedastance/core/photo';
import type { CameraStands } from '../devices/camera/lens';
import type { Laid, Scene, Standing } from '../devices/camera/scene';
import {
  asPhoneWrites,
  LIGHT,
  phoneOver,
  photograph,
  plain,
  printed,
  sceneWith,
  STANDING,
  whereToTap,
} from './photographs';

/** What is photographed: the paper that lies there, how, and where the camera stands; perhaps a second sheet. */
export interface Wanted {
  name: string;
  paper: Paper | 'plain' | null;
  over?: Partial<Laid>;
  stands?: Partial<CameraStands>;
  second?: Pick<Laid, 'at' | 'turned'>;
  standing?: Partial<Standing>;
  /** Pixels across. */
  across?: number;
}

const ACROSS = 1400;

const asRaster = (paper: Wanted['paper']) =>
  paper === null ? null : paper === 'plain' ? plain('A4') : printed(paper);

/** The scene of a photograph, and its camera. */
export async function sceneOf({ paper, over = {}, stands = {}, second, standing, across = ACROSS }: Wanted) {
  const raster = await asRaster(paper);
  const one = sceneWith({ ...STANDING, ...standing }, raster, over);
  const more = second && raster ? [{ raster, scale: 1, curl: 0, ...second }] : [];
  const scene: Scene = { ...one, laid: [...one.laid, ...more] };
  return { scene, camera: phoneOver(scene, { distance: 1200, ...stands }, across) };
}

async function render(folder: string, wanted: readonly Wanted[]): Promise<void> {
  for (const each of wanted) {
    const { scene, camera } = await sceneOf(each);
    const picture = photograph(scene, camera, LIGHT, each.name);
    writeFileSync(join(folder, `${each.name}.jpg`), await asPhoneWrites(picture, camera));
    writeFileSync(join(folder, `${each.name}.json`), JSON.stringify(whereToTap(scene, camera)));
  }
}

const [, , folder, wanted] = process.argv;
if (require.main === module) void render(folder!, JSON.parse(wanted!) as Wanted[]);
