import type { LinearFit } from '../statistics/linearFit';

/**
 * Bony shoulder and hip breadth (cm) from height (cm), by least squares over 507 adults.
 * Data: Heinz, Peterson, Johnson & Kerk 2003, Exploring Relationships in Body Dimensions,
 * J. Statistics Education 11(2). A test fits them again from the data.
 */
export const BREADTH_FITS = {
  biacromial: {
    height: {
      coefficients: [-2.869279736, 0.2435421134],
      residualSd: 2.029165395,
      degreesOfFreedom: 505,
      inverseGram: [
        [0.6560819868, -0.003821988585],
        [-0.003821988585, 2.233203233e-5],
      ],
    },
    heightAndSex: {
      coefficients: [14.46683239, 0.1336564329, 3.017654492],
      residualSd: 1.705839505,
      degreesOfFreedom: 504,
      inverseGram: [
        [1.146552698, -0.006930857951, 0.08537503309],
        [-0.006930857951, 4.20377324e-5, -0.0005411532609],
        [0.08537503309, -0.0005411532609, 0.01486102249],
      ],
    },
  },
  bitrochanteric: {
    height: {
      coefficients: [14.05032676, 0.1047665646],
      residualSd: 1.777507371,
      degreesOfFreedom: 505,
      inverseGram: [
        [0.6560819868, -0.003821988585],
        [-0.003821988585, 2.233203233e-5],
      ],
    },
    heightAndSex: {
      coefficients: [10.98470812, 0.1241981181, -0.5336247133],
      residualSd: 1.768553949,
      degreesOfFreedom: 504,
      inverseGram: [
        [1.146552698, -0.006930857951, 0.08537503309],
        [-0.006930857951, 4.20377324e-5, -0.0005411532609],
        [0.08537503309, -0.0005411532609, 0.01486102249],
      ],
    },
  },
} satisfies Record<string, Record<'height' | 'heightAndSex', LinearFit>>;
