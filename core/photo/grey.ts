/**
 * A picture in greys, row by row, 0 black to 255 white. A point of it is given in pixels from the top left corner of
 * the first pixel, whose middle is at (0.5, 0.5).
 */
export interface Grey {
  width: number;
  height: number;
  data: Uint8Array | Uint8ClampedArray;
}

/**
 * A picture in greys from one in colours, by the luma of ITU-R BT.601.
 * @param rgba red, green, blue and alpha of each pixel, 0 to 255
 * @param width pixels
 * @param height pixels
 * @returns the greys
 */
export function greyFrom(rgba: Uint8ClampedArray | Uint8Array, width: number, height: number): Grey {
  const data = new Uint8Array(width * height);
  for (let at = 0, from = 0; at < data.length; at += 1, from += 4)
    data[at] = (rgba[from]! * 77 + rgba[from + 1]! * 150 + rgba[from + 2]! * 29 + 128) >> 8;
  return { width, height, data };
}

/**
 * The grey at a point, between the four pixels around it.
 * @param grey the picture
 * @param x pixels
 * @param y pixels
 * @returns 0 to 255; NaN outside the picture
 */
export function greyAt({ width, height, data }: Grey, x: number, y: number): number {
  const [column, row] = [x - 0.5, y - 0.5];
  const [left, top] = [Math.floor(column), Math.floor(row)];
  if (left < 0 || top < 0 || left + 1 >= width || top + 1 >= height) return NaN;
  const [right, down] = [column - left, row - top];
  const at = top * width + left;
  const above = data[at]! + right * (data[at + 1]! - data[at]!);
  const below = data[at + width]! + right * (data[at + width + 1]! - data[at + width]!);
  return above + down * (below - above);
}

/**
 * A picture made narrower, lower or both, each new pixel the mean of those it covers.
 * @param grey the picture
 * @param width of the new one, at most as wide, pixels
 * @param height of the new one, at most as high, pixels
 * @returns the new picture
 */
export function shrunk(grey: Grey, width: number, height: number): Grey {
  const columns = Int32Array.from({ length: grey.width }, (_, x) => Math.floor((x * width) / grey.width));
  const wide = new Uint32Array(width);
  for (const column of columns) wide[column]! += 1;
  const data = new Uint8Array(width * height);
  const sums = new Uint32Array(width);
  let [row, rows] = [0, 0];
  for (let y = 0, at = 0; y < grey.height; y += 1) {
    for (let x = 0; x < grey.width; x += 1, at += 1) sums[columns[x]!]! += grey.data[at]!;
    rows += 1;
    const next = Math.floor(((y + 1) * height) / grey.height);
    if (next === row) continue;
    for (let x = 0; x < width; x += 1) data[row * width + x] = Math.round(sums[x]! / (wide[x]! * rows));
    sums.fill(0);
    [row, rows] = [next, 0];
  }
  return { width, height, data };
}
