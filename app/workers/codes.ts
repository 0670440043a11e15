import type { CodeReader } from '@pedastance/core/photo';
import { prepareZXingModule, readBarcodes } from 'zxing-wasm/reader';

/** The reader's WebAssembly ships with the app. */
const WASM = '/wasm/zxing_reader.wasm';
const MOST_SHEETS = 4;

prepareZXingModule({ overrides: { locateFile: () => WASM } });

/** Reads the QR codes of a picture (ISO/IEC 18004). */
export const readCodes: CodeReader = async ({ width, height, data }) => {
  const pixels = new ImageData(width, height);
  const rgba = new Uint32Array(pixels.data.buffer);
  for (let at = 0; at < data.length; at += 1) rgba[at] = 0xff000000 | (data[at]! * 0x010101);
  const found = await readBarcodes(pixels, {
    formats: ['QRCode'],
    tryHarder: true,
    maxNumberOfSymbols: MOST_SHEETS,
  });
  return found
    .filter(({ isValid }) => isValid)
    .map(({ text, isMirrored, position: { topLeft, topRight, bottomRight, bottomLeft } }) => ({
      words: text,
      mirrored: isMirrored,
      corners: [topLeft, topRight, bottomRight, bottomLeft],
    }));
};
