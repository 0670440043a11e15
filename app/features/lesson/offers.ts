import type { Way } from '@pedastance/core/advice';
import type { FootName, Setup } from '@pedastance/core/setup';
import type { Ghost } from '../../plan/drawing';

/** Feet nearer than this look the same on the plan, mm and degrees. */
const SAME_MM = 4;
const SAME_DEGREES = 1;

function sameFoot(a: Setup, b: Setup, foot: FootName): boolean {
  const [one, other] = [a.address[foot], b.address[foot]];
  return (
    Math.hypot(one.heel.x - other.heel.x, one.heel.y - other.heel.y) < SAME_MM &&
    Math.abs(one.flare - other.flare) < SAME_DEGREES
  );
}

/** The feet that ways would move, each drawn once however many ways put it there. */
export function offeredGhosts(today: Setup, ways: readonly Pick<Way, 'setup'>[]): Ghost[] {
  const ghosts: (Ghost & { mark: string })[] = [];
  ways.forEach(({ setup }, at) => {
    for (const foot of ['trail', 'lead'] as const) {
      if (sameFoot(setup, today, foot)) continue;
      const mark = String(at + 1);
      const there = ghosts.find((ghost) => ghost.feet[0] === foot && sameFoot(ghost.setup, setup, foot));
      if (there) there.mark += `·${mark}`;
      else ghosts.push({ setup, feet: [foot], mark });
    }
  });
  return ghosts;
}
