import { judge, seeded } from '..';
import { caseOf } from '../test/adviceCases';
import { broken, LAWS, staysOrIsClose } from '../test/adviceLaws';
import { claimsIn } from '../test/adviceWords';
import { WRITTEN_CASES } from '../test/writtenCases';

/** `npm run bench -- advice` goes through thousands. */
const CASES = Number(process.env.ADVICE_CASES ?? 200);
/** Where a law gets few cases, so does the one that measures written cases again. */
const EVERY = CASES < 100 ? 10 : 1;

describe(`laws on ${CASES} drawn cases each`, () => {
  test.each(Object.keys(LAWS))('%s', (law) => expect(broken(law, CASES)).toEqual([]), 60_000);
});

test('8: measured again within its ±, the first thing stays in four of five, and those that flip are close calls', () => {
  const random = seeded(7);
  const written = WRITTEN_CASES.filter((_written, at) => at % EVERY === 0);
  const again = written.map((each) => staysOrIsClose(caseOf(each), random));
  expect(again.filter((each) => each === 'stays').length).toBeGreaterThanOrEqual(0.8 * again.length);
  expect(written.filter((_written, at) => again[at] === 'flips').map(({ name }) => name)).toEqual([]);
});

test('sentences make claims that can be checked', () => {
  const claims = WRITTEN_CASES.map((written) => claimsIn(judge(caseOf(written), 0)));
  expect(claims.filter((count) => count > 0).length).toBeGreaterThan(0.7 * WRITTEN_CASES.length);
});
