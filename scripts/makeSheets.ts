// The sheets to be printed, as PDF of their paper's very size and as SVG.
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { drawSheet, PAPER_NAMES, sheetOf, sheetSvg, type Sheet } from '@pedastance/core/photo';
import { PDFDocument, rgb, StandardFonts } from 'pdf-lib';

const MM_PER_INCH = 25.4;
/** A point of PDF is a 72nd of an inch (ISO 32000-1, section 8.3.2.3). */
const points = (mm: number): number => (mm * 72) / MM_PER_INCH;
const BLACK = rgb(0, 0, 0);

async function pdfOf(sheet: Sheet): Promise<Uint8Array> {
  const pdf = await PDFDocument.create();
  pdf.setTitle(`Pedastance sheet, ${sheet.paper}`);
  // The same sheet is the same file, whenever it is made.
  pdf.setCreationDate(new Date(0));
  pdf.setModificationDate(new Date(0));
  // Viewers that heed it print at the size that it has.
  pdf.catalog.getOrCreateViewerPreferences().setPrintScaling('None' as never);
  const font = await pdf.embedFont(StandardFonts.Helvetica);
  const page = pdf.addPage([points(sheet.width), points(sheet.height)]);
  const { boxes, words } = drawSheet(sheet);
  for (const { x, y, width, height } of boxes)
    page.drawRectangle({
      x: points(x),
      y: points(sheet.height - y - height),
      width: points(width),
      height: points(height),
      color: BLACK,
    });
  for (const { x, y, size, words: text } of words)
    page.drawText(text, {
      x: points(x),
      y: points(sheet.height - y),
      size: points(size),
      font,
      color: BLACK,
    });
  // Plain objects: the oldest viewer reads them.
  return pdf.save({ useObjectStreams: false });
}

async function makeSheets(folder: string): Promise<void> {
  mkdirSync(folder, { recursive: true });
  for (const paper of PAPER_NAMES) {
    const sheet = sheetOf(paper);
    const name = join(folder, `sheet-${paper.toLowerCase()}`);
    writeFileSync(`${name}.pdf`, await pdfOf(sheet));
    writeFileSync(`${name}.svg`, sheetSvg(sheet));
  }
}

void makeSheets(process.argv[2]!);
