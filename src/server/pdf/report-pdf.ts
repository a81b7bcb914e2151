import type { Receipt } from '../../core/job';
import type { OwnersPage, ReadingTwice, ReportSection } from '../../core/report';
import { formatReading } from '../../core/unit';
import type { Workshop } from '../../core/workshop';
import { Flow } from './flow';
import { letterhead } from './letterhead';
import { EDGE, FAINT, INK, MM } from './sheet';

const day = (at: string) => at.slice(0, 10);
const moment = (at: string) => `${at.slice(0, 10)} ${at.slice(11, 16)}`;

/** What stands on paper beside the words: pictures as JPEG, in the order of the page. */
export interface Pictured {
  workshop: Workshop;
  logo: Uint8Array | null;
  pictures: { caption: string; bytes: Uint8Array; wide: number }[];
}

function head(flow: Flow, page: OwnersPage, title: string): void {
  flow.text(title, { size: 10, ink: FAINT, after: 0 });
  flow.text(page.unit, { size: 20, weight: '700', after: 0 });
  const handed = page.handedOver;
  flow.text(
    [
      `Job ${page.tag}`,
      page.about,
      page.owner,
      `taken in ${day(page.takenIn)}`,
      handed && `handed over ${day(handed.at)} to ${handed.to}: ${handed.result}`,
    ]
      .filter(Boolean)
      .join(', '),
    { size: 10, ink: FAINT, after: 4 },
  );
}

/** A reading before and after, drawn on the span it can lie in. */
function strip(flow: Flow, r: ReadingTwice): void {
  flow.room(34);
  const [w, h] = [flow.width * 0.46, 9];
  const values = [r.low, r.high, r.before, r.after].filter((v): v is number => v !== undefined);
  const [lo, hi] = [Math.min(...values), Math.max(...values)];
  const x = (v: number) => flow.left + ((v - lo) / (hi - lo || 1)) * w;
  const said = [
    r.before !== undefined && `before ${formatReading(r.before, r.unit)}`,
    r.after !== undefined && `after ${formatReading(r.after, r.unit)}`,
    `wanted ${r.nominal} ± ${formatReading(r.tolerance, r.unit)}`,
  ];
  flow.text(`${r.what}: ${said.filter(Boolean).join(', ')}`, { size: 9.5, after: 2 });
  const { y, pdf } = flow;
  pdf.lineWidth(0.5).strokeColor(EDGE).rect(flow.left, y, w, h).stroke();
  const from = Math.max(lo, r.nominal - r.tolerance);
  const to = Math.min(hi, r.nominal + r.tolerance);
  pdf
    .fillColor('#dbe4c3')
    .rect(x(from), y, Math.max(1, x(to) - x(from)), h)
    .fill();
  if (r.before !== undefined)
    pdf
      .lineWidth(1.2)
      .strokeColor(INK)
      .dash(2, { space: 1.5 })
      .moveTo(x(r.before), y - 2)
      .lineTo(x(r.before), y + h + 2)
      .stroke()
      .undash();
  if (r.after !== undefined)
    pdf
      .lineWidth(2)
      .strokeColor(INK)
      .moveTo(x(r.after), y - 2)
      .lineTo(x(r.after), y + h + 2)
      .stroke();
  flow.space(h + 7);
}

function signed(flow: Flow, receipt: Receipt): void {
  const width = 60 * MM;
  const height = receipt.lines.length ? Math.min(30 * MM, width / receipt.wide) : 0;
  flow.room(height + 26);
  const top = flow.y + 4;
  for (const l of receipt.lines) {
    const at = (k: number) => [flow.left + (l[k] ?? 0) * width, top + (l[k + 1] ?? 0) * height] as const;
    flow.pdf
      .lineWidth(1.1)
      .strokeColor(INK)
      .moveTo(...at(0));
    for (let k = 2; k + 1 < l.length; k += 2) flow.pdf.lineTo(...at(k));
    // A dot has no length: it is drawn as a short stroke.
    if (l.length === 2) flow.pdf.lineTo(at(0)[0] + 0.6, at(0)[1]);
    flow.pdf.stroke();
  }
  flow.y = top + height + 2;
  flow.rule();
  flow.text(`${receipt.name}, ${moment(receipt.at)}`, { size: 9.5 });
}

function pictures(flow: Flow, list: Pictured['pictures']): void {
  if (list.length === 0) return;
  flow.heading('Pictures');
  const gap = 6;
  const width = (flow.width - gap) / 2;
  for (let i = 0; i < list.length; i += 2) {
    const pair = list.slice(i, i + 2);
    const height = Math.min(70 * MM, Math.max(...pair.map((p) => width / p.wide)));
    flow.room(height + 18);
    pair.forEach((p, k) => {
      flow.picture(p.bytes, { width, height, x: flow.left + k * (width + gap), hold: true });
    });
    flow.space(height + 3);
    flow.row(
      pair.map((p) => ({ text: p.caption || 'picture', share: 0.5, ink: FAINT })),
      9,
    );
  }
}

const bullets = (flow: Flow, title: string, lines: string[]): void => {
  if (lines.length === 0) return;
  flow.heading(title);
  for (const l of lines) flow.text(l, { after: 1 });
};

/** The owner’s page as a PDF. */
export async function ownersPdf(
  page: OwnersPage,
  { workshop, logo, pictures: shown }: Pictured,
): Promise<Uint8Array> {
  const flow = new Flow(`${page.tag} ${page.unit}`, `${page.tag}, ${page.unit}`);
  letterhead(flow, workshop, logo);
  head(flow, page, 'Repair report');
  bullets(flow, 'What was wrong', page.wrong);
  bullets(flow, 'What was done', page.done);
  bullets(
    flow,
    'What was fitted',
    page.fitted.map((f) => [f.name, f.stamps].filter(Boolean).join(', ')),
  );
  if (page.shown.length) {
    flow.heading('Shown to work');
    for (const s of page.shown)
      flow.row([
        { text: s.what, share: 0.6 },
        { text: s.result, share: 0.4, weight: '700' },
      ]);
  }
  if (page.readings.length) {
    flow.heading('Readings before and after');
    for (const r of page.readings) strip(flow, r);
  }
  bullets(flow, 'What to watch', page.watch);
  bullets(
    flow,
    'Still owed',
    page.owed.map((o) =>
      [o.what, o.due && `by ${o.due}`, o.settled && `done ${day(o.settled.at)}`].filter(Boolean).join(', '),
    ),
  );
  if (page.warrantyUntil) bullets(flow, 'Warranty', [`Of this workshop, until ${page.warrantyUntil}.`]);
  pictures(flow, shown);
  if (page.receipt) signed(flow, page.receipt);
  return flow.end();
}

/** The whole report of the workshop as a PDF. */
export async function workshopPdf(
  page: OwnersPage,
  sections: ReportSection[],
  { workshop, logo, pictures: shown }: Pictured,
): Promise<Uint8Array> {
  const flow = new Flow(`${page.tag} ${page.unit}`, `${page.tag}, ${page.unit}`);
  letterhead(flow, workshop, logo);
  head(flow, page, 'Workshop report');
  for (const s of sections) {
    flow.heading(s.title);
    for (const l of s.lines)
      flow.row([
        { text: l.at ? moment(l.at) : '', share: 0.18, ink: FAINT },
        { text: l.text, share: 0.46 },
        { text: l.result ?? '', share: 0.36, weight: '700' },
      ]);
  }
  if (page.readings.length) {
    flow.heading('Readings before and after');
    for (const r of page.readings) strip(flow, r);
  }
  pictures(flow, shown);
  if (page.receipt) signed(flow, page.receipt);
  return flow.end();
}
