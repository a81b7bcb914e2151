import { PDFDocument, type PDFFont, rgb, StandardFonts } from 'pdf-lib';
import QRCode from 'qrcode';
import type { JobState } from '../core/job';
import { placeWords, specOf, tally } from '../core/ledger';
import { Problem } from './problem';

const MM = 72 / 25.4;
const PAGE = { width: 210 * MM, height: 297 * MM };
/** Three by eight labels of 64 × 34 mm on a sheet of A4. */
const COLUMNS = 3;
const ROWS = 8;
const LABEL = { width: 64 * MM, height: 34 * MM };
const MARGIN = { x: (PAGE.width - COLUMNS * LABEL.width) / 2, y: (PAGE.height - ROWS * LABEL.height) / 2 };
const QR = 24 * MM;
const INK = rgb(0.15, 0.11, 0.08);

export interface Label {
  /** large: where it is kept */
  head: string;
  lines: string[];
  /** what its code opens */
  link: string;
}

/** What the built-in faces of a PDF have no sign for, in signs that they have. */
const plain = (text: string) =>
  text
    .replaceAll('Ω', 'ohm')
    .replaceAll('μ', 'u')
    .replaceAll('\u00a0', ' ')
    .replace(/[‐-―]/g, '-')
    .replace(/[^\x20-\x7e\xa1-\xff×’‘“”]/g, '?');

function fitted(text: string, font: PDFFont, size: number, width: number): string {
  let t = plain(text);
  if (font.widthOfTextAtSize(t, size) <= width) return t;
  while (t.length > 1 && font.widthOfTextAtSize(`${t}...`, size) > width) t = t.slice(0, -1);
  return `${t}...`;
}

/**
 * One label per thing that is off and kept somewhere.
 *
 * @param job whose tray
 * @param origin address of this Mulch, for the codes
 */
export function labelsOf(job: JobState, origin: string): Label[] {
  return job.ledger.items
    .filter((i) => !i.fresh && i.undoneBy !== 'nothing' && tally(i).off > 0)
    .map((i) => ({
      head: [i.place.kind, i.place.label].filter(Boolean).join(' '),
      lines: [
        `${i.count === null ? 'several' : tally(i).off} × ${specOf(i)}`,
        i.from ? `from ${i.from}` : placeWords(i.place),
        `${job.tag}, ${job.map.name}`,
      ],
      link: `${origin}/jobs/${job.id}/open-up?item=${encodeURIComponent(i.id)}`,
    }));
}

/**
 * Labels on sheets of A4, each with a code that opens its thing in the tray.
 *
 * @throws Problem 422 when there is nothing to label
 */
export async function labelSheet(labels: Label[], title: string): Promise<Uint8Array> {
  if (labels.length === 0)
    throw new Problem(422, 'No labels', 'nothing is off the unit: there is nothing to label');
  const pdf = await PDFDocument.create();
  pdf.setTitle(title);
  const bold = await pdf.embedFont(StandardFonts.HelveticaBold);
  const text = await pdf.embedFont(StandardFonts.Helvetica);
  const perPage = COLUMNS * ROWS;
  for (let p = 0; p * perPage < labels.length; p++) {
    const page = pdf.addPage([PAGE.width, PAGE.height]);
    for (const [i, label] of labels.slice(p * perPage, (p + 1) * perPage).entries()) {
      const x = MARGIN.x + (i % COLUMNS) * LABEL.width;
      const y = PAGE.height - MARGIN.y - (Math.floor(i / COLUMNS) + 1) * LABEL.height;
      page.drawRectangle({
        x,
        y,
        width: LABEL.width,
        height: LABEL.height,
        borderColor: rgb(0.7, 0.65, 0.58),
        borderWidth: 0.5,
      });
      const png = await QRCode.toBuffer(label.link, { errorCorrectionLevel: 'M', margin: 1, scale: 6 });
      page.drawImage(await pdf.embedPng(png), {
        x: x + LABEL.width - QR - 2 * MM,
        y: y + (LABEL.height - QR) / 2,
        width: QR,
        height: QR,
      });
      const room = LABEL.width - QR - 7 * MM;
      page.drawText(fitted(label.head, bold, 15, room), {
        x: x + 3 * MM,
        y: y + LABEL.height - 9 * MM,
        size: 15,
        font: bold,
        color: INK,
      });
      label.lines.forEach((line, k) => {
        page.drawText(fitted(line, k === 0 ? bold : text, 9, room), {
          x: x + 3 * MM,
          y: y + LABEL.height - (16 + k * 5.5) * MM,
          size: 9,
          font: k === 0 ? bold : text,
          color: INK,
        });
      });
    }
  }
  return pdf.save();
}
