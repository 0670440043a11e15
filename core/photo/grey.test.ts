import { greyAt, greyFrom, shrunk, type Grey } from './grey';

const grey = (width: number, height: number, of: (x: number, y: number) => number): Grey => ({
  width,
  height,
  data: Uint8Array.from({ length: width * height }, (_, at) => of(at % width, Math.floor(at / width))),
});

test('colours become the luma of ITU-R BT.601: red 0.299, green 0.587, blue 0.114', () => {
  const { data } = greyFrom(new Uint8Array([255, 0, 0, 255, 0, 255, 0, 255, 0, 0, 255, 255]), 3, 1);
  expect([...data]).toEqual([77, 149, 29]);
});

test('a grey lies between the four pixels around it, and nowhere outside', () => {
  const ramp = grey(4, 4, (x, y) => 10 * x + 40 * y);
  expect(greyAt(ramp, 1.5, 2.5)).toBe(90);
  expect(greyAt(ramp, 2, 3)).toBeCloseTo(10 * 1.5 + 40 * 2.5, 9);
  expect(greyAt(ramp, 0.2, 2)).toBeNaN();
  expect(greyAt(ramp, 3.8, 2)).toBeNaN();
});

test.each([
  [6, 4],
  [7, 5],
  [12, 3],
])('shrunk to %i by %i each pixel is the mean of those it covers', (width, height) => {
  const whole = grey(12, 10, (x, y) => (x * 17 + y * 29) % 251);
  const small = shrunk(whole, width, height);
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) {
      const covered = [...whole.data].filter(
        (_, at) =>
          Math.floor(((at % 12) * width) / 12) === x && Math.floor((Math.floor(at / 12) * height) / 10) === y,
      );
      const mean = covered.reduce((sum, value) => sum + value, 0) / covered.length;
      expect(small.data[y * width + x]).toBe(Math.round(mean));
    }
});
