import QRCode from 'qrcode';
import type { Label } from './labels';
import { Problem } from './problem';

/** A flag wraps round the lead at its middle: the same on both halves, mm. */
const FLAG = { half: 32, height: 13, wrap: 8 };
const GAP = 3;
const COLUMNS = 2;
const MARGIN = 10;
const QR = 12;
/** Modules left white round a code. */
const QUIET = 3;

const escaped = (text: string) => text.replace(/[&<>"']/g, (c) => `&#${c.charCodeAt(0)};`);

/** One half of a flag: the mark large, where it goes, and the code. */
async function half(label: Label, x: number, y: number): Promise<string> {
  const { modules } = QRCode.create(label.link, { errorCorrectionLevel: 'M' });
  const n = modules.size;
  const m = QR / (n + 2 * QUIET);
  let cells = '';
  for (let r = 0; r < n; r++)
    for (let c = 0; c < n; c++)
      if (modules.get(r, c))
        cells += `M${((c + QUIET) * m).toFixed(3)} ${((r + QUIET) * m).toFixed(3)}h${m.toFixed(3)}v${m.toFixed(3)}h-${m.toFixed(3)}z`;
  return `<g transform="translate(${x} ${y})"><text x="1.5" y="5.4" font-size="5" font-weight="700">${escaped(label.head)}</text>${label.lines
    .slice(0, 2)
    .map((l, i) => `<text x="1.5" y="${8.6 + i * 2.9}" font-size="2.4">${escaped(l)}</text>`)
    .join(
      '',
    )}<path transform="translate(${FLAG.half - QR - 0.5} ${(FLAG.height - QR) / 2})" d="${cells}" shape-rendering="crispEdges"/></g>`;
}

/**
 * Wrap-around flags for cables as one drawing in millimetres: printed, cut, folded round the lead.
 *
 * @throws Problem 422 when there is nothing to label
 */
export async function flagSheet(labels: Label[], title: string): Promise<string> {
  if (labels.length === 0) throw new Problem(422, 'No labels', 'no plug of this unit needs a label');
  const wide = 2 * FLAG.half + FLAG.wrap;
  const width = MARGIN * 2 + COLUMNS * wide + (COLUMNS - 1) * GAP;
  const rows = Math.ceil(labels.length / COLUMNS);
  const height = MARGIN * 2 + rows * FLAG.height + (rows - 1) * GAP;
  const flags = await Promise.all(
    labels.map(async (label, i) => {
      const x = MARGIN + (i % COLUMNS) * (wide + GAP);
      const y = MARGIN + Math.floor(i / COLUMNS) * (FLAG.height + GAP);
      const fold = x + FLAG.half;
      return `<g><rect x="${x}" y="${y}" width="${wide}" height="${FLAG.height}" fill="none" stroke="#8a6c42" stroke-width="0.2"/><path d="M${fold} ${y}v${FLAG.height}M${fold + FLAG.wrap} ${y}v${FLAG.height}" stroke="#8a6c42" stroke-width="0.2" stroke-dasharray="1 1"/>${await half(label, x, y)}${await half(label, fold + FLAG.wrap, y)}</g>`;
    }),
  );
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}" font-family="sans-serif" fill="#271c14"><title>${escaped(title)}</title>${flags.join('')}</svg>\n`;
}
