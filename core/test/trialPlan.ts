import type { TrialPlan } from '../trial';

/** A full trial of the carry, in blocks of two, with nothing beside it. */
export const CARRY_PLAN: TrialPlan = {
  seed: 5,
  blockSize: 2,
  length: 'full',
  primary: 'carry',
  margin: 5,
  mishits: 'left out',
  warmUps: 0,
};
