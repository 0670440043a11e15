import { PRESETS } from '../method/presets';
import { asPlayed, bandsFor, setupAsTaught, USUAL_GOAL, type Bands, type FitProblem, type Setup } from '..';
import { body as studentBody, build } from './example';
import { bodyOf, type TestedLegs } from './turning';

export type Legs = Omit<TestedLegs, 'outTrail'>;

export const iron = asPlayed({ club: '7-iron', shot: 'full' });
export const method = (key = 'shoulders-and-neutral') => ({
  id: key,
  version: 1,
  ...PRESETS.find((preset) => preset.key === key)!.contents,
});
export const bands = (key?: string): Bands => bandsFor(method(key), studentBody(), iron);
export const taught = (): Setup => setupAsTaught(method(), studentBody(), iron);

export const problemOf = (legs: Legs, over: Partial<FitProblem> = {}): FitProblem => ({
  setup: taught(),
  build: build(),
  bands: bands(),
  body: bodyOf(legs),
  goal: USUAL_GOAL,
  pinned: [],
  barred: [],
  limited: [],
  ...over,
});
