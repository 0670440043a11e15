import {
  asPlayed,
  bandsFor,
  seeded,
  setupAsTaught,
  testedBody,
  turnBudget,
  turningFeet,
  USUAL_GOAL,
  withFigure,
  type Build,
} from '@pedastance/core';
import { fit, type FitProblem } from '@pedastance/core/fit';
import { PRESETS } from '@pedastance/core/method/presets';
import { gridOf, leastByGrid } from '../core/test/grid';

const figure = (value: number) => ({ value, source: 'measured' as const, uncertainty: 8 });
const build: Build = {
  height: figure(1780),
  shoulderBreadth: figure(480),
  hipBreadth: figure(330),
  shoeLength: figure(290),
  shoeBreadth: figure(105),
};
const method = { id: 'bench', version: 1, ...PRESETS[0]!.contents };
const iron = asPlayed({ club: '7-iron', shot: 'full' });
const student = { build, legs: null };
const random = seeded(7);
const between = (least: number, most: number) => least + (most - least) * random();
const angle = (value: number) => ({ value, uncertainty: 5 });

/** A body and feet drawn at random, as the fit takes them; the ball and the weight are left in their bands. */
function drawn(): FitProblem {
  const body = testedBody({
    turnIn: { lead: angle(between(12, 45)), trail: angle(between(5, 45)) },
    turnOut: { lead: angle(between(25, 60)), trail: angle(45) },
    trunk: { back: angle(between(38, 55)), through: null },
  });
  const width = withFigure(setupAsTaught(method, student, iron), 'stanceWidth', between(360, 500));
  const setup = withFigure(withFigure(width, 'leadFlare', between(0, 30)), 'trailFlare', between(0, 30));
  return {
    setup,
    build,
    bands: bandsFor(method, student, iron),
    body,
    goal: USUAL_GOAL,
    pinned: [],
    barred: [],
    limited: [],
  };
}

const timed = (work: () => void): number => {
  const began = performance.now();
  work();
  return performance.now() - began;
};
const median = (times: number[]): number => [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)]!;

const problems = Array.from({ length: 200 }, drawn);
problems.slice(0, 40).forEach((problem) => fit(problem));
const fits = problems.map((problem) => timed(() => fit(problem)));

/** Both find the least change of the same bodies; the grid goes up to three moves. */
const COMPARED = problems.slice(0, 12);
const fitTogetherMs = timed(() => COMPARED.forEach((problem) => fit(problem)));
const gridTogetherMs = timed(() => COMPARED.forEach((problem) => leastByGrid(gridOf(problem), 3)));

const { body, setup } = problems[0]!;
const feet = turningFeet(setup, 0, 0)!;
const draw = () => turnBudget('back', body, feet);
for (let warm = 0; warm < 60; warm += 1) draw();
const chances = Array.from({ length: 200 }, () => timed(draw));

process.stdout.write(
  `${JSON.stringify({
    chanceMs: median(chances),
    fitMedianMs: median(fits),
    fitWorstMs: Math.max(...fits),
    fitTogetherMs,
    gridTogetherMs,
    compared: COMPARED.length,
  })}\n`,
);
