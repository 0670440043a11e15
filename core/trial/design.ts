import { seeded, shuffle } from '../statistics';
import { InputError } from '../units';
import { ARMS, type Arm } from './types';

/** How long a trial is: the whole of it, or a quick try that only shows a large change. */
export const TRIAL_LENGTHS = ['full', 'quick'] as const;
export type TrialLength = (typeof TRIAL_LENGTHS)[number];

interface LooksOfTrial {
  /** Shots a side at each look; after the last the trial is over. */
  shots: readonly number[];
  /** One-sided level of each. */
  levels: readonly number[];
  /** What an interval leaves out on either side at each. */
  tails: readonly number[];
}

/**
 * A full trial's levels were settled by simulation with drift, warm-up, block effects and mishits: with no effect
 * they keep at most 5 in 100 trials, all looks counted. A quick try has one look, at 5 in 100. Intervals are repeated ones
 * (Jennison and Turnbull 1989, J. Royal Statistical Society B 51:305–361, from memory): where a trial was stopped for what it
 * showed, one that leaves out 2.5% either side holds too rarely: in 92% where there is no effect. Half of each look's level would
 * hold at all looks together; 0.65 of it holds at the one that ends a trial, by simulation in 95 to 97% whatever the effect.
 */
export const TRIAL_LOOKS: Record<TrialLength, LooksOfTrial> = {
  full: { shots: [12, 18, 24], levels: [0.0282, 0.0135, 0.0135], tails: [0.0183, 0.0088, 0.0088] },
  quick: { shots: [5], levels: [0.05], tails: [0.025] },
};
export type Look = 1 | 2 | 3;

/**
 * Whether nothing comes after a look.
 * @param length of the trial
 * @param look 1 to 3
 * @returns whether it is the last
 * @example isLastLook('quick', 1) // true
 */
export const isLastLook = (length: TrialLength, look: number): boolean =>
  look >= TRIAL_LOOKS[length].shots.length;

/** Shots hit from one setup before it may change: short, so that drift favours neither. */
export const BLOCK_SIZES = [1, 2] as const;
export type BlockSize = (typeof BLOCK_SIZES)[number];

/** What fixes the order of a trial's shots before the first of them. */
export interface Design {
  /** Drawn when the trial is declared, and kept with it. */
  seed: number;
  blockSize: BlockSize;
  length: TrialLength;
}

/**
 * Blocks a side that each look adds to what the look before it had.
 * @param design the block size, and how long the trial is
 * @returns blocks, one figure for each look
 * @example blocksAdded({ blockSize: 2, length: 'full' }) // [6, 3, 3]
 */
export function blocksAdded({ blockSize, length }: Pick<Design, 'blockSize' | 'length'>): number[] {
  const { shots } = TRIAL_LOOKS[length];
  return shots.map((each, at) => (each - (shots[at - 1] ?? 0)) / blockSize);
}

/**
 * The order of blocks, stage by stage: as many of A as of B before each look, every such order as
 * likely as any other.
 * @throws InputError when the seed is not a whole number of 32 bits.
 * @param design the seed and the block size
 * @returns one order of arms for each look
 */
export function drawOrder({ seed, ...dealt }: Design): Arm[][] {
  if (!Number.isInteger(seed) || seed < 0 || seed > 0xffffffff) {
    throw new InputError('seed', 'a whole number of 32 bits', String(seed));
  }
  const random = seeded(seed);
  return blocksAdded(dealt).map((each) =>
    shuffle(
      ARMS.flatMap((arm) => Array.from({ length: each }, () => arm)),
      random,
    ),
  );
}

/** How a shot of a trial is placed in its order; warm-up shots stand outside it. */
export type Place = { warmUp: true } | { warmUp: false; block: number; arm: Arm };

export interface Placed {
  place: Place;
  /** Which day's sitting it was hit in, from 0. */
  sitting: number;
}

/** What is to be done next. */
export type Next =
  | { kind: 'warm-up'; left: number }
  | { kind: 'shot'; arm: Arm; block: number; inBlock: number; toLook: number; changed: boolean }
  | { kind: 'look'; look: Look };

/**
 * How many shots of the order a look needs, both sides together.
 * @param length of the trial
 * @param look 1 to 3
 * @returns shots
 * @example shotsAt('quick', 1) // 10
 */
export const shotsAt = (length: TrialLength, look: Look): number => 2 * TRIAL_LOOKS[length].shots[look - 1]!;

/**
 * Warm-up shots a sitting still wants: none once a shot of its order was hit.
 * @param warmUps shots at the start of a sitting that count for nothing
 * @param shots the shots there are
 * @param sitting which day’s, from 0
 * @returns shots
 * @example warmUpsLeft(3, [], 0) // 3
 */
export function warmUpsLeft(
  warmUps: number,
  shots: readonly { place: { warmUp: boolean }; sitting: number }[],
  sitting: number,
): number {
  const now = shots.filter((shot) => shot.sitting === sitting);
  return now.every(({ place }) => place.warmUp) ? Math.max(0, warmUps - now.length) : 0;
}

/**
 * What comes next, by the shots there are: the sitting's warm-up first, then the order, and a look
 * wherever one is due that has not been taken.
 * @param design the seed and the block size
 * @param warmUps shots at the start of each sitting
 * @param shots the shots there are
 * @param sitting which day’s, from 0
 * @param looksTaken 0 to 2
 * @returns the next shot, warm-up or look
 */
export function nextOf(
  design: Design,
  warmUps: number,
  shots: readonly Placed[],
  sitting: number,
  looksTaken: number,
): Next {
  const inOrder = shots.filter(({ place }) => !place.warmUp);
  const look = (looksTaken + 1) as Look;
  const toLook = shotsAt(design.length, look) - inOrder.length;
  if (toLook <= 0) return { kind: 'look', look };
  const left = warmUpsLeft(warmUps, shots, sitting);
  if (left > 0) return { kind: 'warm-up', left };
  const order = drawOrder(design).flat();
  const block = Math.floor(inOrder.length / design.blockSize);
  const inBlock = (inOrder.length % design.blockSize) + 1;
  const changed = inBlock === 1 && (block === 0 || order[block] !== order[block - 1]);
  return { kind: 'shot', arm: order[block]!, block, inBlock, toLook, changed };
}
