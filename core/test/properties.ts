import fc from 'fast-check';

// The same cases on every run, so that a failure is the change's own; FAST_CHECK_SEED looks at others.
fc.configureGlobal({
  seed: Number(process.env.FAST_CHECK_SEED ?? 20_261_125),
  numRuns: 300,
  interruptAfterTimeLimit: 20_000,
});
