// The tests of the room that mutants are made in, the written cases and five drawn cases a law, stopping at the first failure.
import { fileURLToPath } from 'node:url';
import config from '../jest.config.js';

process.env.ADVICE_CASES = '5';

export default {
  ...config.projects[0],
  bail: 1,
  testSequencer: fileURLToPath(new URL('mutantsFirst.mjs', import.meta.url)),
  // What shows that laws can fail says nothing of a mutant.
  testPathIgnorePatterns: ['lawsFind'],
  testMatch: [`**/${process.env.MUTATED?.split('/')[1]}/**/*.test.ts`, '**/advice/{cases,told,laws}.test.ts'],
};
