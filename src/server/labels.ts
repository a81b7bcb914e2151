import QRCode from 'qrcode';
import type { JobState } from '../core/job';
import { placeTag, placeWords, specOf, tally } from '../core/ledger';
import { jobPath } from '../schemas/job-path';
import { EDGE, line, MM, openSheet, PAGE, type Sheet } from './pdf/sheet';
import { Problem } from './problem';

/** Three by eight labels of 64 × 34 mm on a sheet of A4. */
const COLUMNS = 3;
const ROWS = 8;
const LABEL = { width: 64 * MM, height: 34 * MM };
const MARGIN = { x: (PAGE.width - COLUMNS * LABEL.width) / 2, y: (PAGE.height - ROWS * LABEL.height) / 2 };
const QR = 24 * MM;

export interface Label {
  /** large: where it is kept */
  head: string;
  lines: string[];
  /** what its code opens */
  link: string;
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
      head: placeTag(i.place),
      lines: [
        `${i.count === null ? 'several' : tally(i).off} × ${specOf(i)}`,
        i.from ? `from ${i.from}` : placeWords(i.place),
        `${job.tag}, ${job.map.name}`,
      ],
      link: `${origin}${jobPath(job.id, 'open up')}?item=${encodeURIComponent(i.id)}`,
    }));
}

async function draw(pdf: Sheet, label: Label, x: number, y: number, lacking: Set<string>) {
  pdf.lineWidth(0.5).strokeColor(EDGE).rect(x, y, LABEL.width, LABEL.height).stroke();
  const png = await QRCode.toBuffer(label.link, { errorCorrectionLevel: 'M', margin: 1, scale: 6 });
  pdf.image(png, x + LABEL.width - QR - 2 * MM, y + (LABEL.height - QR) / 2, { width: QR, height: QR });
  const room = LABEL.width - QR - 7 * MM;
  const left = x + 3 * MM;
  line(pdf, label.head, { x: left, y: y + 4 * MM, size: 15, weight: '700', room }, lacking);
  label.lines.forEach((text, k) => {
    const weight = k === 0 ? '700' : '400';
    line(pdf, text, { x: left, y: y + (13 + k * 5.5) * MM, size: 9, weight, room }, lacking);
  });
}

/**
 * Labels on sheets of A4, each with a code that opens its thing in the tray. A sign that no shipped font
 * has is printed by its number, and said at the foot of the sheet.
 *
 * @throws Problem 422 when there is nothing to label
 */
export async function labelSheet(labels: Label[], title: string): Promise<Uint8Array> {
  if (labels.length === 0)
    throw new Problem(422, 'No labels', 'nothing is off the unit: there is nothing to label');
  const { pdf, bytes } = openSheet(title);
  const perPage = COLUMNS * ROWS;
  for (let p = 0; p * perPage < labels.length; p++) {
    const lacking = new Set<string>();
    pdf.addPage();
    for (const [i, label] of labels.slice(p * perPage, (p + 1) * perPage).entries())
      await draw(
        pdf,
        label,
        MARGIN.x + (i % COLUMNS) * LABEL.width,
        MARGIN.y + Math.floor(i / COLUMNS) * LABEL.height,
        lacking,
      );
    if (lacking.size) {
      const foot = `Not in the shipped fonts, printed by number: ${[...lacking].join(' ')}`;
      const at = { x: MARGIN.x, y: PAGE.height - MARGIN.y + 3 * MM, size: 9, weight: '400' as const };
      line(pdf, foot, { ...at, room: COLUMNS * LABEL.width }, new Set());
    }
  }
  return bytes();
}
