import PDFDocument from 'pdfkit';
import { printFonts, type Run, runsOf, type Weight } from '../print-fonts';

export const MM = 72 / 25.4;
export const PAGE = { width: 210 * MM, height: 297 * MM };
export const INK = '#261c14';
export const FAINT = '#675646';
export const EDGE = '#b3a694';
export type Sheet = PDFKit.PDFDocument;

/** An A4 document with the shipped print face, and its bytes once it is ended. */
export function openSheet(title: string): { pdf: Sheet; bytes(): Promise<Uint8Array> } {
  const pdf = new PDFDocument({ size: 'A4', margin: 0, autoFirstPage: false, info: { Title: title } });
  const pieces: Uint8Array[] = [];
  const ended = new Promise<void>((done, fail) => {
    pdf.on('data', (piece: Uint8Array) => pieces.push(piece));
    pdf.on('end', done);
    pdf.on('error', fail);
  });
  for (const fonts of Object.values(printFonts()))
    for (const { name, bytes } of fonts) pdf.registerFont(name, bytes);
  return {
    pdf,
    async bytes() {
      pdf.end();
      await ended;
      return Buffer.concat(pieces);
    },
  };
}

/** Width of runs in points. */
export const widthOf = (pdf: Sheet, runs: Run[], size: number): number =>
  runs.reduce((w, r) => w + pdf.font(r.font.name).fontSize(size).widthOfString(r.text), 0);

/** Writes runs on one line; answers where they end. */
export function write(
  pdf: Sheet,
  runs: Run[],
  at: { x: number; y: number; size: number; ink?: string },
): number {
  let { x } = at;
  for (const run of runs) {
    pdf
      .font(run.font.name)
      .fontSize(at.size)
      .fillColor(at.ink ?? INK)
      .text(run.text, x, at.y, { lineBreak: false });
    x += pdf.widthOfString(run.text);
  }
  return x;
}

/** One line of text, shortened where it does not fit; what no font has is added to `lacking`. */
export function line(
  pdf: Sheet,
  text: string,
  at: { x: number; y: number; size: number; weight: Weight; room: number },
  lacking: Set<string>,
): void {
  const whole = runsOf(text, at.weight);
  for (const sign of whole.lacking) lacking.add(sign);
  let { runs } = whole;
  const signs = [...text];
  while (signs.length > 1 && widthOf(pdf, runs, at.size) > at.room) {
    signs.pop();
    runs = runsOf(`${signs.join('')}…`, at.weight).runs;
  }
  write(pdf, runs, at);
}
