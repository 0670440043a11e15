import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { Matrix, inverse } from 'ml-matrix';
import {
  BREADTH_FITS,
  breadthFromHeight,
  estimateBuild,
  footLengthFromSize,
  InputError,
  predict,
  SD_IN_95_PERCENT,
  shoeLengthFromSize,
  sizeFromFootLength,
  type LinearFit,
} from '..';

interface Person {
  male: number;
  height: number;
  biacromial: number;
  bitrochanteric: number;
}

/** Heinz et al. 2003; see test/data/README.md. */
function people(): Person[] {
  const [header, ...lines] = readFileSync(join(__dirname, '../test/data/body-dimensions.csv'), 'utf8')
    .trim()
    .split('\n');
  const column = (name: string) => header!.split(',').indexOf(name);
  return lines.map((line) => {
    const cells = line.split(',');
    return {
      male: cells[column('sex')] === 'male' ? 1 : 0,
      height: Number(cells[column('height_cm')]),
      biacromial: Number(cells[column('biacromial_cm')]),
      bitrochanteric: Number(cells[column('bitrochanteric_cm')]),
    };
  });
}

const ADULTS = people();
const ROWS = {
  height: (person: Person) => [1, person.height],
  heightAndSex: (person: Person) => [1, person.height, person.male],
};
type Breadth = 'biacromial' | 'bitrochanteric';
type Rows = keyof typeof ROWS;

/** Least squares by ml-matrix, a general library: the reference the product's figures are held to. */
function fitted(from: Person[], breadth: Breadth, rows: Rows): LinearFit {
  const x = new Matrix(from.map(ROWS[rows]));
  const y = Matrix.columnVector(from.map((person) => person[breadth]));
  const inverseGram = inverse(x.transpose().mmul(x));
  const coefficients = inverseGram.mmul(x.transpose()).mmul(y);
  const residuals = Matrix.sub(y, x.mmul(coefficients)).to1DArray();
  const degreesOfFreedom = from.length - x.columns;
  return {
    coefficients: coefficients.to1DArray(),
    residualSd: Math.sqrt(residuals.reduce((sum, value) => sum + value ** 2, 0) / degreesOfFreedom),
    degreesOfFreedom,
    inverseGram: inverseGram.to2DArray(),
  };
}

const CASES: [Breadth, Rows][] = [
  ['biacromial', 'height'],
  ['biacromial', 'heightAndSex'],
  ['bitrochanteric', 'height'],
  ['bitrochanteric', 'heightAndSex'],
];

describe('breadths from height, against the 507 adults', () => {
  test('all 507 are there', () => expect(ADULTS).toHaveLength(507));

  test.each(CASES)('%s from %s: the coefficients are those of least squares', (breadth, rows) => {
    const reference = fitted(ADULTS, breadth, rows);
    const ours = BREADTH_FITS[breadth][rows];
    reference.coefficients.forEach((value, index) => expect(ours.coefficients[index]).toBeCloseTo(value, 6));
    expect(ours.residualSd).toBeCloseTo(reference.residualSd, 6);
    expect(ours.degreesOfFreedom).toBe(reference.degreesOfFreedom);
    reference.inverseGram
      .flat()
      .forEach((value, index) => expect(ours.inverseGram.flat()[index]).toBeCloseTo(value, 6));
  });

  test.each(CASES)(
    '%s from %s: 95%% intervals hold about 95%% of people held out, in ten folds',
    (breadth, rows) => {
      let inside = 0;
      for (let fold = 0; fold < 10; fold += 1) {
        const held = ADULTS.filter((_, index) => index % 10 === fold);
        const fit = fitted(
          ADULTS.filter((_, index) => index % 10 !== fold),
          breadth,
          rows,
        );
        for (const person of held) {
          const { value, sd } = predict(fit, ROWS[rows](person));
          if (Math.abs(person[breadth] - value) <= SD_IN_95_PERCENT * sd) inside += 1;
        }
      }
      const coverage = inside / ADULTS.length;
      expect(coverage).toBeGreaterThan(0.93);
      expect(coverage).toBeLessThan(0.97);
    },
  );

  test('a man of 178 cm: 41.28 cm, 37.92 to 44.63 (docs/models.md, section 2)', () => {
    const { value, sd } = breadthFromHeight('biacromial', 1780, 'man');
    expect(value / 10).toBeCloseTo(41.28, 1);
    // With the t quantile of 504 degrees of freedom, 1.9647, as the interval was worked.
    expect((value - 1.9647 * sd) / 10).toBeCloseTo(37.92, 1);
    expect((value + 1.9647 * sd) / 10).toBeCloseTo(44.63, 1);
  });
});

describe('the estimated build', () => {
  test('every figure is marked estimated and carries its own uncertainty', () => {
    const estimates = estimateBuild({ height: 1780, estimateAs: 'man', junior: false });
    for (const figure of Object.values(estimates)) {
      expect(figure.source).toBe('estimated');
      expect(figure.uncertainty).toBeGreaterThan(0);
    }
    // The bony breadth and 90 mm of deltoids.
    expect(estimates.shoulderBreadth.value).toBeCloseTo(413 + 90, -0.5);
  });

  test('knowing the sex narrows the shoulders', () => {
    const known = estimateBuild({ height: 1780, estimateAs: 'man', junior: false });
    const unknown = estimateBuild({ height: 1780, estimateAs: 'not said', junior: false });
    expect(known.shoulderBreadth.uncertainty).toBeLessThan(unknown.shoulderBreadth.uncertainty);
  });

  test('a junior is estimated by shares of height alone', () => {
    const junior = estimateBuild({ height: 1500, estimateAs: 'man', junior: true });
    expect(junior.shoulderBreadth.value).toBe(Math.round(0.259 * 1500));
    expect(junior.hipBreadth.value).toBe(Math.round(0.191 * 1500));
  });
});

describe('shoe sizes', () => {
  test('Mondopoint is the foot length in mm (ISO 9407)', () => {
    for (const length of [180, 235, 270, 310]) {
      expect(footLengthFromSize('Mondopoint', length)).toBe(length);
      expect(sizeFromFootLength('Mondopoint', length)).toBe(length);
    }
  });

  test.each([
    // Nominal, from memory: one row of a usual conversion table for a foot of 270 mm.
    ['EU', 42.5],
    ['UK', 9],
    ['US men', 10],
    ['US women', 11],
  ] as const)('a foot of 270 mm is about %s %s', (system, size) => {
    expect(Math.abs(sizeFromFootLength(system, 270) - size)).toBeLessThanOrEqual(0.5);
    expect(Math.abs(footLengthFromSize(system, size) - 270)).toBeLessThanOrEqual(5);
  });

  test('a Paris point is two thirds of a centimetre, a barleycorn a third of an inch', () => {
    expect(footLengthFromSize('EU', 43) - footLengthFromSize('EU', 42)).toBeCloseTo(20 / 3, 9);
    expect(footLengthFromSize('UK', 9) - footLengthFromSize('UK', 8)).toBeCloseTo(25.4 / 3, 9);
  });

  test('there and back is within half a step', () => {
    for (let length = 190; length <= 320; length += 1) {
      for (const system of ['EU', 'UK', 'US men', 'US women'] as const) {
        expect(
          Math.abs(footLengthFromSize(system, sizeFromFootLength(system, length)) - length),
        ).toBeLessThanOrEqual(2.2);
      }
    }
  });

  test('a shoe is 15 mm longer than the foot, and stays an estimate', () => {
    expect(shoeLengthFromSize('Mondopoint', 270)).toEqual({
      value: 285,
      source: 'estimated',
      uncertainty: 5,
    });
  });

  test('a size no foot has is refused with the range in that system', () => {
    expect(() => footLengthFromSize('EU', 90)).toThrow(InputError);
    expect(() => footLengthFromSize('EU', 90)).toThrow(/shoe size: expected EU 23 to 54.5, found EU 90/);
    expect(() => footLengthFromSize('UK', NaN)).toThrow(/expected a number/);
  });
});
