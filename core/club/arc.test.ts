import { arcOf, pathOnArc } from '..';

test.each([
  // Worked examples of docs/models.md, section 7: 90 mm forward of the low point.
  [{ radius: 1650, planeAngle: 60 }, -1.56],
  [{ radius: 1800, planeAngle: 48 }, -1.92],
])('90 mm forward of the low point of %o is met %s degrees across', (arc, path) =>
  expect(pathOnArc(arc, 90)).toBeCloseTo(path, 2),
);

test('the same by turning a point round the circle in space and looking at its heading from above', () => {
  for (const [forward, length] of [
    [90, 37],
    [-40, 35],
    [65, 45.5],
    [0, 40],
  ] as const) {
    const arc = arcOf(length);
    const plane = (arc.planeAngle * Math.PI) / 180;
    // From the circle's middle: along the target line, and down the plane's slope toward the ball.
    const at = (turn: number) => ({
      x: arc.radius * Math.sin(turn),
      y: arc.radius * Math.cos(turn) * Math.cos(plane),
    });
    const turn = Math.asin(forward / arc.radius);
    const step = 1e-6;
    const before = at(turn - step);
    const after = at(turn + step);
    const heading = (Math.atan2(after.y - before.y, after.x - before.x) * 180) / Math.PI;
    expect(pathOnArc(arc, forward)).toBeCloseTo(heading, 5);
  }
});

test('a mid iron and a driver have the arcs they are stated with', () => {
  expect(arcOf(37)).toEqual({ radius: 1650, planeAngle: 60 });
  expect(arcOf(45.5)).toEqual({ radius: 1800, planeAngle: 48 });
});
