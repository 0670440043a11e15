import {
  estimateBuild,
  LEG_TEST_UNCERTAINTY,
  MEASURED_UNCERTAINTY,
  type Build,
  type BuildFigureName,
  type EstimateAs,
} from '../../body';
import { testedBody, type Body, type TurningBody } from '../../turn';

/** A body that a method is tried on. */
export interface TriedBody {
  heightCm: number;
  name: string;
  body: Body;
}

/**
 * A body of this height with the usual breadths of one, all taken as if by tape.
 * @param heightCm cm
 * @param estimateAs whose breadths
 * @param legs tested legs; null where untested
 * @returns mm
 */
export function usualBody(heightCm: number, estimateAs: EstimateAs, legs: TurningBody | null = null): Body {
  const height = heightCm * 10;
  const usual = estimateBuild({ height, estimateAs, junior: false });
  const taped = (name: BuildFigureName, value: number): [BuildFigureName, Build[BuildFigureName]] => [
    name,
    { value, source: 'measured', uncertainty: MEASURED_UNCERTAINTY[name] },
  ];
  const build = Object.fromEntries([
    taped('height', height),
    taped('shoulderBreadth', usual.shoulderBreadth.value),
    taped('hipBreadth', usual.hipBreadth.value),
    taped('shoeLength', usual.shoeLength.value),
    taped('shoeBreadth', usual.shoeBreadth.value),
  ]) as Build;
  return { build, legs };
}

const both = <Value>(value: Value) => ({ lead: value, trail: value });

/**
 * Legs that turn alike on both sides, with the trunk not tested.
 * @param turnIn degrees
 * @param turnOut degrees
 * @param naturalToeOut degrees
 * @returns the legs as they were tested
 */
export function evenLegs(turnIn: number, turnOut: number, naturalToeOut: number): TurningBody {
  const tested = (value: number) => both({ value, uncertainty: LEG_TEST_UNCERTAINTY });
  const legs = { turnIn: tested(turnIn), turnOut: tested(turnOut), trunk: { back: null, through: null } };
  return testedBody(legs, both(naturalToeOut));
}

/** Legs that hardly turn in and feet that point well out, and legs that turn in far (starting values). */
export const STIFF_LEGS = evenLegs(5, 25, 25);
export const MOBILE_LEGS = evenLegs(45, 50, 5);

const SHORTEST_CM = 140;
const TALLEST_CM = 205;
const STEP_CM = 5;

const HEIGHTS = Array.from(
  { length: (TALLEST_CM - SHORTEST_CM) / STEP_CM + 1 },
  (_, at) => SHORTEST_CM + at * STEP_CM,
);

/** Bodies from 140 to 205 cm, with legs not tested, stiff and mobile. */
export const TRIED_BODIES: readonly TriedBody[] = HEIGHTS.flatMap((heightCm) =>
  (['woman', 'man'] as const).flatMap((estimateAs) =>
    (
      [
        [null, ''],
        [STIFF_LEGS, ', stiff legs'],
        [MOBILE_LEGS, ', mobile legs'],
      ] as const
    ).map(([legs, note]) => ({
      heightCm,
      name: `a ${estimateAs} of ${heightCm} cm${note}`,
      body: usualBody(heightCm, estimateAs, legs),
    })),
  ),
);
