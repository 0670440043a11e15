import { PRESETS } from '../method/presets';
import {
  asPlayed,
  bandsFor,
  setupAsTaught,
  STARTING_GIVES,
  USUAL_GOAL,
  type Bands,
  type FitProblem,
  type Setup,
  type TurningBody,
} from '..';
import { body as studentBody, build } from './example';

const angle = (value: number) => ({ value, uncertainty: 5 });

export interface Legs {
  inLead: number;
  inTrail: number;
  outLead: number;
  trunk: number;
}

export const turning = ({ inLead, inTrail, outLead, trunk }: Legs): TurningBody => ({
  legs: {
    turnIn: { lead: angle(inLead), trail: angle(inTrail) },
    turnOut: { lead: angle(outLead), trail: angle(45) },
    trunk: { back: angle(trunk), through: null },
  },
  gives: STARTING_GIVES,
  reaches: {},
  soreKnee: { lead: false, trail: false },
});

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
  body: turning(legs),
  goal: USUAL_GOAL,
  naturalToeOut: null,
  pinned: [],
  ...over,
});
