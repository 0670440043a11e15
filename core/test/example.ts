import type { OwnLadder } from '../ladder';
import { SHOULDERS_AND_NEUTRAL } from '../method/presets';
import { MEASURED_BEFORE } from '..';
import type { Address, Body, Build, HouseMethod, Setup } from '..';

/** A shoe of 290 by 105 mm on feet 500 mm apart, level, and the ball 50 mm inside the lead heel. */
export const address = (
  over: Partial<{ leadFlare: number; trailFlare: number; width: number; shoe: number }> = {},
): Address => {
  const { leadFlare = 0, trailFlare = 0, width = 500, shoe = 290 } = over;
  return {
    shoe: { length: shoe, breadth: 105 },
    lead: { heel: { x: 50, y: -900 }, flare: leadFlare },
    trail: { heel: { x: 50 - width, y: -900 }, flare: trailFlare },
  };
};

export const setup = (over: Parameters<typeof address>[0] = {}): Setup => ({
  address: address(over),
  balance: { leadShare: 50, leadHeelToe: 50, trailHeelToe: 50 },
  measured: MEASURED_BEFORE,
});

const figure = (value: number, source: 'measured' | 'estimated' = 'measured', uncertainty = 8) => ({
  value,
  source,
  uncertainty,
});

/** Outer shoulders 480 mm, sole 290 by 105 mm, all by tape. */
export const build = (over: Partial<Build> = {}): Build => ({
  height: figure(1780, 'measured', 10),
  shoulderBreadth: figure(480),
  hipBreadth: figure(330),
  shoeLength: figure(290, 'measured', 3),
  shoeBreadth: figure(105, 'measured', 3),
  ...over,
});

export const estimated = (value: number, uncertainty: number) => figure(value, 'estimated', uncertainty);

export const method: HouseMethod = { id: 'm', version: 1, ...SHOULDERS_AND_NEUTRAL };

export const body = (over: Partial<Build> = {}): Body => ({ build: build(over), legs: null });

/** A ladder of an academy's own: how far back the ball may lie. */
export const ownLadder = (over: Partial<OwnLadder> = {}): OwnLadder => ({
  id: 'own-ball-back',
  name: 'Ball back',
  figure: 'ballAlong',
  purpose: 'Finds how far back the ball may lie.',
  passes: 'the strike is clean.',
  passing: 'up to',
  swing: 'half swing',
  first: 0,
  last: 120,
  step: 20,
  minors: true,
  ...over,
});
