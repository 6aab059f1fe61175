import { PDFDocument, rgb, StandardFonts } from 'pdf-lib';
import { printable } from '../../../formats/pdfText';
import { layOutLabel, type LabelText } from './label';
import type { LabelSize } from './labelSizes';

/** Points of a PDF in a millimetre. */
const POINTS = 72 / 25.4;

/**
 * Labels as a PDF: a page each on a roll, or as many on a page as the sheet has.
 * @param skip labels of the first sheet that are used already
 */
export async function labelsPdf(labels: readonly LabelText[], size: LabelSize, skip = 0): Promise<Uint8Array> {
  const document = await PDFDocument.create();
  document.setTitle('Labels');
  const fonts = {
    plain: await document.embedFont(StandardFonts.Helvetica),
    bold: await document.embedFont(StandardFonts.HelveticaBold),
    mono: await document.embedFont(StandardFonts.CourierBold),
  };
  const { sheet } = size;
  const perPage = sheet ? sheet.columns * sheet.rows : 1;
  const paper = sheet ?? size;
  let page = document.addPage([paper.width * POINTS, paper.height * POINTS]);
  labels.forEach((label, index) => {
    const place = (sheet ? skip : 0) + index;
    if (place > 0 && place % perPage === 0 && index > 0)
      page = document.addPage([paper.width * POINTS, paper.height * POINTS]);
    const slot = place % perPage;
    const left = sheet ? sheet.left + (slot % sheet.columns) * sheet.stepX : 0;
    const top = sheet ? sheet.top + Math.floor(slot / sheet.columns) * sheet.stepY : 0;
    const { squares, squareSide, texts } = layOutLabel(label, size);
    for (const { x, y } of squares)
      page.drawRectangle({
        x: (left + x) * POINTS,
        y: (paper.height - top - y - squareSide) * POINTS,
        width: squareSide * POINTS,
        height: squareSide * POINTS,
        color: rgb(0, 0, 0),
      });
    for (const { x, y, size: font, bold, mono, text } of texts)
      page.drawText(printable(text), {
        x: (left + x) * POINTS,
        y: (paper.height - top - y) * POINTS,
        size: font * POINTS,
        font: mono ? fonts.mono : bold ? fonts.bold : fonts.plain,
      });
  });
  return document.save();
}
