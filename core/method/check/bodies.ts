import {
  estimateBuild,
  MEASURED_UNCERTAINTY,
  type Body,
  type Build,
  type BuildFigureName,
  type EstimateAs,
  type LegTest,
} from '../../body';

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
export function usualBody(heightCm: number, estimateAs: EstimateAs, legs: LegTest | null = null): Body {
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

const both = (value: number) => ({ lead: value, trail: value });

/** Legs that hardly turn in and feet that point well out, and legs that turn in far (starting values). */
export const STIFF_LEGS: LegTest = { naturalToeOut: both(25), turnIn: both(5), turnOut: both(25) };
export const MOBILE_LEGS: LegTest = { naturalToeOut: both(5), turnIn: both(45), turnOut: both(50) };

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
