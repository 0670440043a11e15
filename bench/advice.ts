import { judge, seeded } from '@pedastance/core';
import { drawnCase } from '../core/test/adviceCases';

const CASES = 500;
const WARM_UP = 40;

const random = seeded(20_261_126);
const cases = Array.from({ length: CASES + WARM_UP }, () => drawnCase(random));
cases.slice(0, WARM_UP).forEach((given) => judge(given));
const times = cases
  .slice(WARM_UP)
  .map((given) => {
    const startedAt = performance.now();
    judge(given);
    return performance.now() - startedAt;
  })
  .sort((a, b) => a - b);
console.log(
  JSON.stringify({
    cases: CASES,
    medianMs: times[Math.floor(CASES / 2)],
    p95Ms: times[Math.floor(CASES * 0.95)],
  }),
);
