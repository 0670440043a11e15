// The tests of the rooms that mutants are made in, with five drawn cases a law, stopping at the first failure.
import config from '../jest.config.js';

process.env.ADVICE_CASES = '5';

export default {
  ...config.projects[0],
  bail: 1,
  // What shows that laws can fail says nothing of a mutant.
  testPathIgnorePatterns: ['lawsFind'],
  testMatch: ['advice', 'turn', 'reading', 'setup'].map((room) => `**/${room}/**/*.test.ts`),
};
