import sharp from 'sharp';
import { cameraThat, seenBy, type CameraStands } from '../../server/devices/camera/lens';
import { photograph } from '../../server/devices/camera/render';
import { BALL_RADIUS, truthOf, type Scene } from '../../server/devices/camera/scene';
import { printed } from './scenes';
import { writeFileSync } from 'node:fs';
async function main() {
  const [, , name, hand, el, ar, w, sheet, dist, ground] = process.argv as string[];
  const width = Number(w), height = width * 0.75;
  const standing = { hand: hand as 'right', shoe: { length: 290, breadth: 105 }, stanceWidth: 420, leadFlare: 22, trailFlare: 8, setback: 40, ballAlong: 60, ballBeyondToe: 280, toeHeight: 15, heelHeight: 10 };
  const side = hand === 'right' ? 1 : -1;
  const raster = sheet === 'none' ? null : sheet === 'plain' ? { width: 210*6, height: 297*6, perMm: 6, data: new Uint8Array(210*6*297*6).fill(255) } : await printed(sheet as 'A4');
  const scene: Scene = { standing, laid: raster ? [{ raster, at: { x: side * 150, y: -330 }, turned: 8, scale: 1, curl: 0 }] : [], stick: { beyond: 120, turned: 0 }, ground: (ground ?? 'grass') as 'grass', shoes: 'dark', trousers: true };
  const lens = { width, height, focal: 0.75 * width, bend: 0.003 };
  const stands: CameraStands = { elevation: Number(el), around: Number(ar), distance: Number(dist), roll: 2, lookingAt: { x: side * 150, y: -280 } };
  const camera = cameraThat(stands, lens);
  const picture = photograph(scene, camera, { uneven: 0.25, shadow: 0.7, blur: 0.9, noise: 3 }, name!);
  const focal35 = Math.round((lens.focal / Math.hypot(width, height)) * Math.hypot(36, 24));
  await sharp(Buffer.from(picture.data), { raw: { width, height, channels: 3 } }).jpeg({ quality: 88 }).withExif({ IFD0: { Make: 'Invented' }, IFD2: { FocalLengthIn35mmFilm: String(focal35) }, IFD3: { GPSLatitudeRef: 'N' } }).toFile(`/tmp/${name}.jpg`);
  const truth = truthOf(scene);
  const at = (p: { x: number; y: number }, z: number) => { const s = seenBy(camera, [p.x, p.y, z]); return { x: s.x / width, y: s.y / height }; };
  const corners = [[-105,-148.5],[105,-148.5],[105,148.5],[-105,148.5]].map(([x,y])=>{const c=Math.cos(8*Math.PI/180),s=Math.sin(8*Math.PI/180);return at({x:side*150+x!*c-y!*s,y:-330+x!*s+y!*c},0)});
  writeFileSync(`/tmp/${name}.json`, JSON.stringify({ corners, stick: truth.stick!.map((p) => at(p, 0)), ball: at(truth.ball, BALL_RADIUS), leadToe: at(truth.lead.toe, 15), leadHeel: at(truth.lead.heel, 10), trailToe: at(truth.trail.toe, 15), trailHeel: at(truth.trail.heel, 10) }));
}
void main();
