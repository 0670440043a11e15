import { Matrix, solve } from 'ml-matrix';
import { marginal, inverseOf, posterior, studentQuantile, type NormalInverseGamma } from '../statistics';
import {
  causesOf,
  DRIFT_FROM,
  generalPrior,
  personalPath,
  predictedPath,
  straightLine,
  type PathShot,
} from './personal';
import {
  flareToeKept,
  normals,
  pathOnArc,
  seeded,
  setBallAlong,
  setSetback,
  dropFoot,
  MEASURED_BEFORE,
  startingSetup,
  type Setup,
} from '..';
import { build } from '../test/example';

/** Nothing known beforehand: what is left is ordinary least squares. */
const knowingNothing = (size: number): NormalInverseGamma => ({
  mean: Array<number>(size).fill(0),
  precision: Array.from({ length: size }, () => Array<number>(size).fill(0)),
  shape: -size / 2,
  rate: 0,
});

const START = { ...startingSetup(build(), 37), measured: MEASURED_BEFORE };

/** Feet set back, ball moved and load moved, all of it as asked. */
function setupWith(setback: number, ballAlong: number, leadHeelToe: number): Setup {
  const address = setBallAlong(setSetback(START.address, setback, dropFoot), ballAlong);
  return { ...START, address, balance: { ...START.balance, leadHeelToe } };
}

const random = seeded(71);
const normal = normals(random);
const between = (least: number, most: number) => least + (most - least) * random();
const anySetup = () => setupWith(between(-40, 90), between(20, 110), between(35, 65));

interface Truth {
  b: [number, number, number, number];
  scatter: number;
}

const truePath = ({ b }: Truth, setup: Setup) => {
  const { closed, toeward, ball } = causesOf(setup);
  return b[0] + b[1] * closed + b[2] * toeward + b[3] * ball;
};

const shotsOf = (truth: Truth, count: number, setups: () => Setup = anySetup): PathShot[] =>
  Array.from({ length: count }, () => {
    const setup = setups();
    return { setup, clubLengthInches: 37, path: truePath(truth, setup) + truth.scatter * normal() };
  });

/** Rows of the regression with the usual club, with as many coefficients as the prior has. */
const rows = (shots: readonly PathShot[], size = 5) =>
  shots.map(({ setup }) => {
    const { closed, toeward, ball } = causesOf(setup);
    return [1, closed, toeward, ball, 0].slice(0, size);
  });

test('the worked figures of a setup: closed by the toe line, load from the middle, ball forward of a usual one', () => {
  // Unflared would be set by hand; here the line is the setback over how far apart the toes are.
  const causes = causesOf(setupWith(0, 50, 50));
  expect(causes.closed).toBeCloseTo(0, 9);
  expect(causes.toeward).toBe(0);
  expect(causes.ball).toBeCloseTo(0, 9);
  expect(causesOf(setupWith(0, 20, 60))).toMatchObject({ toeward: 10 });
  expect(causesOf(setupWith(0, 20, 60)).ball).toBeCloseTo(30, 9);
  expect(causesOf(setupWith(60, 50, 50)).closed).toBeGreaterThan(5);
});

test('an inverse is one', () => {
  const matrix = [
    [4, 1, 2],
    [1, 3, 0.5],
    [2, 0.5, 5],
  ];
  const product = new Matrix(matrix).mmul(new Matrix(inverseOf(matrix))).to2DArray();
  product.forEach((row, at) =>
    row.forEach((value, column) => expect(value).toBeCloseTo(at === column ? 1 : 0, 12)),
  );
});

test('with nothing known beforehand it is ordinary least squares, intervals and all (reference: ml-matrix)', () => {
  const shots = shotsOf({ b: [1, 0.4, -0.2, -0.03], scatter: 2 }, 40);
  const x = new Matrix(rows(shots, 4));
  const y = Matrix.columnVector(shots.map(({ path }) => path));
  const reference = solve(x, y).to1DArray();
  const belief = posterior(
    knowingNothing(4),
    rows(shots, 4),
    shots.map(({ path }) => path),
  );
  belief.mean.forEach((value, at) => expect(value).toBeCloseTo(reference[at]!, 8));
  const left = Matrix.sub(y, x.mmul(Matrix.columnVector(reference))).to1DArray();
  const scatter2 = left.reduce((sum, each) => sum + each ** 2, 0) / (40 - 4);
  const inverse = inverseOf(x.transpose().mmul(x).to2DArray());
  for (const at of [0, 1, 2, 3]) {
    const { scale, degreesOfFreedom: freedom } = marginal(
      belief,
      [0, 1, 2, 3].map((index) => Number(index === at)),
    );
    expect(freedom).toBe(36);
    expect(scale).toBeCloseTo(Math.sqrt(scatter2 * inverse[at]![at]!), 8);
  }
});

test('the update is the same shot by shot as all at once', () => {
  const shots = shotsOf({ b: [0, 0.5, -0.1, -0.02], scatter: 2 }, 12);
  const together = posterior(
    generalPrior(37),
    rows(shots),
    shots.map(({ path }) => path),
  );
  const oneByOne = shots.reduce(
    (belief: NormalInverseGamma, shot) => posterior(belief, rows([shot]), [shot.path]),
    generalPrior(37),
  );
  together.mean.forEach((value, at) => expect(oneByOne.mean[at]).toBeCloseTo(value, 8));
  expect(oneByOne.rate).toBeCloseTo(together.rate, 6);
});

/** How often a 95% interval of degrees a degree closed holds the truth, over so many students. */
function coverage(students: number, truth: () => Truth, prior: () => NormalInverseGamma): number {
  let held = 0;
  for (let student = 0; student < students; student += 1) {
    const of = truth();
    const shots = shotsOf(of, 24);
    const size = prior().mean.length;
    const {
      mean: value,
      scale,
      degreesOfFreedom: freedom,
    } = marginal(
      posterior(
        prior(),
        rows(shots, size),
        shots.map(({ path }) => path),
      ),
      [0, 1, 0, 0, 0].slice(0, size),
    );
    if (Math.abs(value - of.b[1]) <= scale * studentQuantile(0.025, freedom)) held += 1;
  }
  return held / students;
}

const onPrior = (): Truth => {
  const scatter = 2;
  const ball = pathOnArc({ radius: 1650, planeAngle: 60 }, 1);
  return {
    b: [3 * normal(), 0.5 + 0.3 * normal(), -0.1 + 0.1 * normal(), ball + Math.abs(ball) * normal()],
    scatter,
  };
};

/** Students the general guess does not know of: hardly bent by the line, or bent three times over. */
const offPrior = (): Truth => ({
  b: [between(-8, 8), random() < 0.5 ? -0.2 : 1.4, between(-0.4, 0.3), between(-0.1, 0.1)],
  scatter: between(1, 5),
});

test('a 95% interval holds the truth of 500 students in 92 to 98 of 100, knowing nothing beforehand', () => {
  const flat = coverage(
    500,
    () => (random() < 0.5 ? onPrior() : offPrior()),
    () => knowingNothing(4),
  );
  expect(flat).toBeGreaterThanOrEqual(0.92);
  expect(flat).toBeLessThanOrEqual(0.98);
});

test('with the general guess: as often for students it knows of; reported for those it does not', () => {
  const on = coverage(500, onPrior, () => generalPrior(37));
  const off = coverage(500, offPrior, () => generalPrior(37));
  console.info(`coverage of the personal slope with the general guess: on it ${on}, off it ${off}`);
  expect(on).toBeGreaterThanOrEqual(0.92);
  // Far off the guess two dozen shots cannot undo it; what is left is told by how many shots it rests on.
  expect(off).toBeGreaterThan(0.6);
});

test('before any shot it is the general guess and says so; shots from one setup teach no slope', () => {
  const none = personalPath([], 37);
  expect(none.slopes.map(({ value }) => value)).toEqual([0.5, -0.1, expect.closeTo(-0.0174, 3)]);
  expect(none.slopes.every(({ guess }) => guess)).toBe(true);
  const alike = personalPath(
    shotsOf({ b: [2, 1, 0, 0], scatter: 2 }, 60, () => START),
    37,
  );
  expect(alike.slopes.every(({ guess }) => guess)).toBe(true);
  const varied = personalPath(shotsOf({ b: [2, 0.8, 0, 0], scatter: 2 }, 60), 37);
  expect(varied.slopes[0]).toMatchObject({ cause: 'closed', guess: false });
  expect(varied.slopes[0]!.interval[0]).toBeLessThan(0.8);
  expect(varied.slopes[0]!.interval[1]).toBeGreaterThan(0.8);
});

test('where the path goes on other feet, and the line that would straighten it', () => {
  const truth: Truth = { b: [-4, 0.8, 0, 0], scatter: 1 };
  const path = personalPath(shotsOf(truth, 200), 37);
  const square = setupWith(0, 50, 50);
  const predicted = predictedPath(path, square);
  expect(predicted.value).toBeCloseTo(-4, 0);
  expect(predicted.interval[0]).toBeLessThan(predicted.value);
  const straight = straightLine(path, square)!;
  // Four degrees to make up at 0.8 a degree.
  expect(straight.closed).toBeCloseTo(5, 0);
  expect(straight.interval[0]).toBeLessThan(5);
  expect(straight.interval[1]).toBeGreaterThan(5);
  // A foot flared with its toe kept moves no toe line, and so no path.
  const flared = { ...square, address: flareToeKept(square.address, 'lead', 30) };
  expect(predictedPath(path, flared).value).toBeCloseTo(predicted.value, 0);
});

/** A driver, a 6-iron and a wedge, the ball further forward with the longer ones, and closed as may be. */
const THREE_CLUBS = [45.5, 37.5, 35.5];
const withItsClub = (truth: Truth, perInch: number, count: number): PathShot[] =>
  Array.from({ length: count }, (_, at) => {
    const clubLengthInches = THREE_CLUBS[at % 3]!;
    const setup = setupWith(between(-40, 90), 60 - 6 * (clubLengthInches - 37), between(45, 55));
    const path = truePath(truth, setup) + perInch * (clubLengthInches - 37) + truth.scatter * normal();
    return { setup, clubLengthInches, path };
  });

test('a ball further forward with a longer club is not taken for an effect of the ball', () => {
  // Half a degree less for each inch of club, and nothing by the ball: 5 in 100 may fall outside 95%, not most.
  let ballHeld = 0;
  let pathHeld = 0;
  const students = 60;
  for (let student = 0; student < students; student += 1) {
    const path = personalPath(withItsClub({ b: [1, 0.5, -0.1, -0.0174], scatter: 2 }, -0.5, 60), 45.5);
    const [least, most] = path.slopes[2]!.interval;
    if (least <= -0.0174 && -0.0174 <= most) ballHeld += 1;
    const setup = setupWith(0, 60 - 6 * 8.5, 50);
    const predicted = predictedPath(path, setup);
    const truth = 1 - 0.0174 * causesOf(setup).ball - 0.5 * 8.5;
    if (predicted.interval[0] <= truth && truth <= predicted.interval[1]) pathHeld += 1;
  }
  expect(ballHeld / students).toBeGreaterThanOrEqual(0.9);
  expect(pathHeld / students).toBeGreaterThanOrEqual(0.9);
});

test('feet that are taken with one club are not taken for what that club does: the path holds for clubs hit and not hit', () => {
  const held = { hit: 0, other: 0 };
  const students = 150;
  for (let student = 0; student < students; student += 1) {
    const off = new Map([35, 36.5, 38, 43, 45.5].map((club) => [club, 1.5 * normal()]));
    const truth: Truth = { b: [between(-4, 4), between(0.3, 0.7), 0, 0], scatter: 2 };
    // Each club has feet of its own, which hardly vary.
    const usual = new Map([...off.keys()].map((club) => [club, between(-30, 60)]));
    const stood = (club: number) => setupWith(usual.get(club)! + 10 * normal(), 50, 50);
    const pathOf = (setup: Setup, club: number) => truePath(truth, setup) + off.get(club)!;
    const shots = [35, 36.5, 38, 43].flatMap((club) =>
      Array.from({ length: 10 }, (): PathShot => {
        const setup = stood(club);
        return { setup, clubLengthInches: club, path: pathOf(setup, club) + truth.scatter * normal() };
      }),
    );
    for (const [which, club] of [
      ['hit', 38],
      ['other', 45.5],
    ] as const) {
      const setup = stood(club);
      const { interval } = predictedPath(personalPath(shots, club), setup);
      const path = pathOf(setup, club);
      if (interval[0] <= path && path <= interval[1]) held[which] += 1;
    }
  }
  // 95 of 100 but for three standard errors.
  expect(held.hit / students).toBeGreaterThan(0.9);
  expect(held.other / students).toBeGreaterThan(0.9);
});

test('a path is a guess until shots narrowed it, for these feet with this club', () => {
  const square = setupWith(0, 50, 50);
  expect(predictedPath(personalPath([], 37), square)).toMatchObject({ guess: true, value: 0 });
  expect(predictedPath(personalPath([], 37), square).deviation).toBeCloseTo(3, 0);
  const shots = shotsOf({ b: [2, 0.5, -0.1, 0], scatter: 2 }, 24);
  expect(predictedPath(personalPath(shots, 37), square).guess).toBe(false);
  expect(predictedPath(personalPath(shots, 45.5), square).guess).toBe(true);
});

test('a line that bends nothing straightens nothing', () => {
  const path = personalPath(shotsOf({ b: [-6, -0.3, 0, 0], scatter: 1 }, 200), 37);
  expect(straightLine(path, setupWith(0, 50, 50))).toBeNull();
});

describe('the drift coming down, once a mat saw ten of the shots', () => {
  const PER_DRIFT = -0.3;
  const USUAL = 8;
  /** Shots that a drift bends, hit from feet whose load at address says nothing of it. */
  const drifting = (count: number): PathShot[] =>
    Array.from({ length: count }, () => {
      const setup = anySetup();
      const drift = USUAL + 6 * normal();
      const path = 1 + 0.5 * causesOf(setup).closed + PER_DRIFT * (drift - USUAL) + 0.8 * normal();
      return { setup, clubLengthInches: 37, path, drift };
    });
  const causesIn = (shots: readonly PathShot[]) => personalPath(shots, 37).slopes.map(({ cause }) => cause);

  test('takes the place of the load at address, never beside it', () => {
    const shots = drifting(DRIFT_FROM);
    expect(causesIn(shots)).toEqual(['closed', 'drift', 'ball']);
    const oneLess = shots.map(({ drift, ...shot }, at) => (at === 0 ? shot : { ...shot, drift: drift! }));
    expect(causesIn(oneLess)).toEqual(['closed', 'toeward', 'ball']);
    expect(personalPath(oneLess, 37).usualDrift).toBeNull();
  });

  test('is found, and its interval holds the truth of nearly all', () => {
    const told = Array.from({ length: 200 }, () => personalPath(drifting(24), 37).slopes[1]!);
    const held = told.filter(({ interval: [low, high] }) => low <= PER_DRIFT && PER_DRIFT <= high).length;
    expect(held).toBeGreaterThanOrEqual(184);
    expect(told.filter(({ guess }) => !guess).length).toBeGreaterThan(190);
  });

  // The same rows put together by hand: drifts from their mean, and a shot that no mat saw as a usual one.
  test('is counted from the usual one, which a shot without a drift is taken for', () => {
    const seen = drifting(12);
    const shots = [...seen, ...shotsOf({ b: [1, 0.5, 0, 0], scatter: 1 }, 6)];
    const usual = seen.reduce((sum, { drift }) => sum + drift!, 0) / seen.length;
    const byHand = posterior(
      generalPrior(37, true, 1),
      shots.map(({ setup, drift }) => {
        const { closed, ball } = causesOf(setup);
        return [1, closed, drift === undefined ? 0 : drift - usual, ball, 0, 1];
      }),
      shots.map(({ path }) => path),
    );
    const told = personalPath(shots, 37);
    byHand.mean.forEach((value, at) => expect(told.mean[at]).toBeCloseTo(value, 9));
    // Today's feet are told with the usual drift: where their load lies says nothing more.
    const [back, forward] = [30, 70].map((along) => predictedPath(told, setupWith(0, 50, along)).value);
    expect(back).toBeCloseTo(forward!, 9);
  });
});
