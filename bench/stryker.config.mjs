/**
 * Mutants of one file of the judgement, or of what it stands on: each has to be killed by the written cases, a few drawn
 * cases a law, or a test beside it. `npm run bench -- mutants` goes file by file, and keeps what each came to.
 */
const { MUTATED, MUTANTS_KEPT } = process.env;
if (!MUTATED || !MUTANTS_KEPT) throw new Error('MUTATED is missing: `npm run bench -- mutants` sets it.');

export default {
  testRunner: 'jest',
  coverageAnalysis: 'perTest',
  incremental: true,
  incrementalFile: `test-results/mutants/${MUTANTS_KEPT}`,
  tempDirName: 'test-results/mutants/work',
  concurrency: 2,
  timeoutMS: 20_000,
  disableTypeChecks: false,
  allowConsoleColors: false,
  reporters: ['clear-text'],
  clearTextReporter: { logTests: false, allowColor: false, reportTests: false, reportMutants: false },
  mutate: MUTATED.split(','),
  jest: {
    configFile: 'bench/mutants.jest.config.mjs',
    enableFindRelatedTests: true,
  },
  ignorePatterns: ['.data', 'docs', 'test-results', 'app/dist', 'server/dist'],
};
