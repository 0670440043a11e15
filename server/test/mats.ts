import { patternsIn, routeOf, swingsIn, type PressureRecording } from '@pedastance/core/balance';
import type { PressurePattern } from '@pedastance/core/setup';
import { MAT_ROUTES, type MatHabit, type MatRouteName } from '../devices/mat/habits';
import { MAT_RATE, simulatedMat, swingTruth, type OnTheMat } from '../devices/mat/simulatedMat';
import { reduced } from '../http/reduced';

/** Recordings of simulated students on the simulated mat, who cannot see the analysis. */

/** Frames of a mat between two moments, ms. */
export function recordingOf(on: OnTheMat, from: number, to: number): PressureRecording {
  const mat = simulatedMat(on);
  const [first, last] = [Math.round((from * MAT_RATE) / 1000), Math.round((to * MAT_RATE) / 1000)];
  return {
    rate: MAT_RATE,
    frames: Array.from({ length: last - first + 1 }, (_, at) => reduced(mat.frame(first + at))),
  };
}

export const onTheMat = (
  seed: string,
  route: MatRouteName = 'centred',
  habits: readonly MatHabit[] = [],
): OnTheMat => ({
  seed,
  route,
  habits,
  settled: { lead: MAT_ROUTES[route][0].lead, along: MAT_ROUTES[route][0].leadAlong },
  path: { usual: 0, perDrift: -0.2 },
});

/** A recording of one swing, with standing before it and after it. */
export function swingOf(on: OnTheMat, number: number): PressureRecording {
  const { away, finish } = swingTruth(on, number).truth;
  return recordingOf(on, away - 2200, finish + 900);
}

/** How many of so many swings had their moments found how well, ms. */
export function momentsFound(swings: number, route: MatRouteName) {
  const off = { impact: [] as number[], top: [] as number[] };
  let missed = 0;
  for (let at = 0; at < swings; at += 1) {
    const on = onTheMat(`${route} ${Math.floor(at / 5)}`, route);
    const { truth } = swingTruth(on, at % 5);
    const [found] = swingsIn(swingOf(on, at % 5));
    if (!found) {
      missed += 1;
      continue;
    }
    off.impact.push(found.impact - truth.impact);
    off.top.push(found.top - truth.top);
  }
  const share = (values: number[], within: number): number =>
    values.filter((each) => Math.abs(each) <= within).length / swings;
  const middle = (values: number[]): number =>
    [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;
  return {
    missed,
    impact: share(off.impact, 20),
    top: share(off.top, 50),
    biasImpact: middle(off.impact),
    biasTop: middle(off.top),
  };
}

/** The patterns told of three swings of somebody on the mat. */
export function patternsOf(on: OnTheMat): PressurePattern[] {
  const routes = [0, 1, 2].flatMap((number) => {
    const recording = swingOf(on, number);
    return swingsIn(recording)
      .slice(0, 1)
      .map((times) => routeOf(recording, times));
  });
  return patternsIn(routes, on.route).map(({ pattern }) => pattern);
}

/** The same of a student who settles where their route has them. */
export const patternsTold = (
  seed: string,
  route: MatRouteName,
  habits: readonly MatHabit[],
): PressurePattern[] => patternsOf(onTheMat(seed, route, habits));
