import { judge, seeded } from '@pedastance/core';
import { drawnCase } from '../core/test/adviceCases';
import { LAWS } from '../core/test/adviceLaws';

/** How many drawn cases each law is tried on; none where only the time is asked for. */
const LAW_CASES = Number(process.argv[2] ?? 0);
const CASES = 500;
const WARM_UP = 100;

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

/** Each law with the cases that break it. */
const laws = Object.entries(LAWS).map(([law, check]) => {
  const draw = seeded(20_261_202);
  const broken = Array.from({ length: LAW_CASES }, () => check(draw)).filter((each) => each !== null);
  broken.slice(0, 3).forEach((each) => process.stderr.write(`${law}: ${each}\n`));
  return { law, broken: broken.length };
});

console.log(
  JSON.stringify({
    cases: CASES,
    medianMs: times[Math.floor(CASES / 2)],
    p95Ms: times[Math.floor(CASES * 0.95)],
    lawCases: LAW_CASES,
    laws,
  }),
);
