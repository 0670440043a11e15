import { readFileSync } from 'node:fs';
import { sheetOf, sheetSvg, type CodeReader, type Grey, type Paper } from '@pedastance/core/photo';
import sharp from 'sharp';
import { prepareZXingModule, readBarcodes } from 'zxing-wasm/reader';
import { photograph, type Picture } from '../../server/devices/camera/render';
import type { Laid } from '../../server/devices/camera/scene';

const PER_MM = 6;

/** A sheet's own drawing as a raster that can be laid on the ground. */
export async function printed(paper: Paper): Promise<Laid['raster']> {
  const sheet = sheetOf(paper);
  const [width, height] = [Math.round(sheet.width * PER_MM), Math.round(sheet.height * PER_MM)];
  const svg = sheetSvg(sheet)
    .replace(/width="[\d.]+mm" height="[\d.]+mm"/, `width="${width}" height="${height}"`)
    .replace('shape-rendering="crispEdges"', '');
  const data = await sharp(Buffer.from(svg)).removeAlpha().toColourspace('b-w').raw().toBuffer();
  return { width, height, data: new Uint8Array(data), perMm: PER_MM };
}

export async function openReader(): Promise<void> {
  const wasm = readFileSync(require.resolve('zxing-wasm/reader/zxing_reader.wasm'));
  const wasmBinary = wasm.buffer.slice(wasm.byteOffset, wasm.byteOffset + wasm.byteLength) as ArrayBuffer;
  await prepareZXingModule({ overrides: { wasmBinary }, fireImmediately: true });
}

export const readCodes: CodeReader = async ({ width, height, data }) => {
  const rgba = new Uint8ClampedArray(4 * width * height);
  for (let at = 0; at < data.length; at += 1) {
    rgba[4 * at] = rgba[4 * at + 1] = rgba[4 * at + 2] = data[at]!;
    rgba[4 * at + 3] = 255;
  }
  const found = await readBarcodes({ data: rgba, width, height, colorSpace: 'srgb' } as ImageData, {
    formats: ['QRCode'],
    tryHarder: true,
    maxNumberOfSymbols: 4,
  });
  return found
    .filter(({ isValid }) => isValid)
    .map(({ text, isMirrored, position: { topLeft, topRight, bottomRight, bottomLeft } }) => ({
      words: text,
      mirrored: isMirrored,
      corners: [topLeft, topRight, bottomRight, bottomLeft],
    }));
};

export const asJpeg = ({ width, height, data }: Picture, quality: number): Promise<Buffer> =>
  sharp(Buffer.from(data), { raw: { width, height, channels: 3 } })
    .jpeg({ quality })
    .toBuffer();

export async function greyOf(jpeg: Buffer): Promise<Grey> {
  const { data, info } = await sharp(jpeg).toColourspace('b-w').raw().toBuffer({ resolveWithObject: true });
  return { width: info.width, height: info.height, data: new Uint8Array(data) };
}

export { photograph };
