/**
 * Mutants of the judgement and of what it stands on: each has to be killed by the written cases, a few drawn cases a law, or a test
 * beside it. Incremental: a run that was stopped goes on where it was (`test-results/mutants` keeps it). `npm run bench -- mutants`.
 */
const rooms = (process.env.MUTATED ?? 'advice,turn,reading,setup').split(',');

export default {
  testRunner: 'jest',
  coverageAnalysis: 'perTest',
  incremental: true,
  incrementalFile: 'test-results/mutants/incremental.json',
  tempDirName: 'test-results/mutants/work',
  concurrency: 2,
  timeoutMS: 20_000,
  disableTypeChecks: false,
  allowConsoleColors: false,
  reporters: ['clear-text', 'json'],
  jsonReporter: { fileName: 'test-results/mutants/mutants.json' },
  clearTextReporter: { logTests: false, allowColor: false, reportTests: false, reportMutants: false },
  mutate: rooms.flatMap((room) => [`core/${room}/**/*.ts`, `!core/${room}/**/*.test.ts`]),
  jest: {
    configFile: 'bench/mutants.jest.config.mjs',
    enableFindRelatedTests: true,
  },
  ignorePatterns: ['.data', 'docs', 'test-results', 'app/dist', 'server/dist'],
};
