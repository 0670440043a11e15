/** What lies outside of the picture, as the plan has its ground. */
const OUTSIDE = [58, 64, 56, 255] as const;

/** Four bytes a pixel, row by row. */
interface Pixels {
  data: Uint8ClampedArray;
  width: number;
  height: number;
}

/**
 * A picture seen through a homography: each pixel between the four of the picture that are nearest to where it lies.
 * @param picture the one to look at
 * @param toPicture from a pixel of the new picture to one of it, nine numbers by rows
 * @param size of the new picture
 * @returns the new picture
 */
export function laidFlat(
  { data, width, height }: Pixels,
  toPicture: readonly number[],
  size: { width: number; height: number },
): ImageData {
  const flat = new ImageData(size.width, size.height);
  const [a, b, c, d, e, f, g, h, i] = toPicture as [
    number,
    number,
    number,
    number,
    number,
    number,
    number,
    number,
    number,
  ];
  for (let row = 0; row < size.height; row += 1) {
    for (let column = 0; column < size.width; column += 1) {
      const [u, v] = [column + 0.5, row + 0.5];
      const w = g * u + h * v + i;
      const x = (a * u + b * v + c) / w - 0.5;
      const y = (d * u + e * v + f) / w - 0.5;
      const at = 4 * (row * size.width + column);
      const [left, top] = [Math.floor(x), Math.floor(y)];
      if (left < 0 || top < 0 || left + 1 >= width || top + 1 >= height) {
        flat.data.set(OUTSIDE, at);
        continue;
      }
      const [right, down] = [x - left, y - top];
      const from = 4 * (top * width + left);
      for (let channel = 0; channel < 4; channel += 1) {
        const upper = (1 - right) * data[from + channel]! + right * data[from + 4 + channel]!;
        const below = from + 4 * width + channel;
        const lower = (1 - right) * data[below]! + right * data[below + 4]!;
        flat.data[at + channel] = (1 - down) * upper + down * lower;
      }
    }
  }
  return flat;
}
