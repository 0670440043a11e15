import { testedBody, turnBudget, type TurningFeet } from '@pedastance/core';

const angle = (value: number) => ({ value, uncertainty: 5 });
const body = testedBody({
  turnIn: { lead: angle(38), trail: angle(20) },
  turnOut: { lead: angle(45), trail: angle(45) },
  trunk: { back: angle(45), through: null },
});
const feet: TurningFeet = {
  flare: { lead: 15, trail: 15 },
  flareUncertainty: { lead: 2, trail: 2 },
  toeLine: { value: 0, uncertainty: 1 },
  ownDifference: 0,
  leadHeelLift: 0,
};

const timed = (work: () => void): number => {
  const began = performance.now();
  work();
  return performance.now() - began;
};
const median = (times: number[]): number => [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)]!;

const draw = () => turnBudget('back', body, feet);
for (let warm = 0; warm < 60; warm += 1) draw();
const chances = Array.from({ length: 200 }, () => timed(draw));

process.stdout.write(`${JSON.stringify({ chanceMs: median(chances) })}\n`);
