/** Runs first what kills the most mutants: the written cases, then the laws, then the rest as Jest would. */
import Jest from '@jest/test-sequencer';

const FIRST = ['advice/told.test.ts', 'advice/laws.test.ts'];

const rank = ({ path }) => {
  const at = FIRST.findIndex((name) => path.endsWith(name));
  return at < 0 ? FIRST.length : at;
};

export default class extends Jest.default {
  sort(tests) {
    return super.sort(tests).sort((a, b) => rank(a) - rank(b));
  }
}
