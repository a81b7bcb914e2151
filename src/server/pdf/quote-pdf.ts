import { priceOf } from '../../core/cost';
import type { JobState, Quote } from '../../core/job';
import { formatMoney } from '../../core/money';
import type { Workshop } from '../../core/workshop';
import { Flow } from './flow';
import { letterhead } from './letterhead';
import { EDGE, FAINT } from './sheet';

const minutes = (m: number) => `${Math.round(m)} min`;

/** A quote on paper, with a place to accept it. */
export async function quotePdf(
  job: JobState,
  quote: Quote,
  { workshop, logo }: { workshop: Workshop; logo: Uint8Array | null },
): Promise<Uint8Array> {
  const flow = new Flow(`${job.tag} quote`, `${job.tag}, quote of ${quote.at.slice(0, 10)}`);
  letterhead(flow, workshop, logo);
  flow.text('Quote', { size: 10, ink: FAINT, after: 0 });
  flow.text(job.map.name, { size: 20, weight: '700', after: 0 });
  const about = [
    `Job ${job.tag}`,
    job.identity?.mark,
    `${job.map.maker} ${job.map.model}`.trim(),
    job.identity?.owner,
    quote.at.slice(0, 10),
  ];
  flow.text(about.filter(Boolean).join(', '), { size: 10, ink: FAINT, after: 4 });
  if (job.intake?.symptom) flow.text(`“${job.intake.symptom}”`);
  flow.heading(quote.lines.length > 1 ? 'Ways that can be chosen' : 'What is offered');
  for (const [i, l] of quote.lines.entries()) {
    flow.row(
      [
        { text: `${i + 1}. ${l.what}`, share: 0.74, weight: '700' },
        { text: formatMoney(priceOf(l, quote.ratePerHour), quote.currency), share: 0.26, weight: '700' },
      ],
      11,
    );
    const said = [
      l.way,
      l.minutes > 0 && `${minutes(l.minutes)} at ${formatMoney(quote.ratePerHour, quote.currency)} an hour`,
      l.parts > 0 && `${l.way === 'refer' ? 'their price' : 'parts'} ${formatMoney(l.parts, quote.currency)}`,
      l.days !== undefined && `to wait for: ${l.days} ${l.days === 1 ? 'day' : 'days'}`,
      l.chance !== undefined && `chance that it mends the unit: about ${Math.round(l.chance * 100)} %`,
    ];
    flow.text(said.filter(Boolean).join('; '), { size: 9.5, ink: FAINT, after: 1 });
    if (l.leaves) flow.text(`Leaves open: ${l.leaves}`, { size: 9.5, after: 4 });
    else flow.space(3);
  }
  if (quote.notCovered) {
    flow.heading('Not covered');
    flow.text(quote.notCovered);
  }
  flow.heading('How it holds');
  flow.text(`Until ${quote.validUntil}. Prices without tax.`);
  if (quote.needed) flow.text('Nothing is mended before it is accepted.');
  flow.heading('Accepted');
  const { answer } = quote;
  if (answer)
    flow.text(
      answer.line === null
        ? `Refused by ${answer.who}, ${answer.at.slice(0, 10)}.`
        : `Way ${answer.line + 1}, by ${answer.who}, ${answer.at.slice(0, 10)}.`,
    );
  else {
    flow.room(60);
    flow.space(34);
    flow.pdf
      .lineWidth(0.6)
      .strokeColor(EDGE)
      .moveTo(flow.left, flow.y)
      .lineTo(flow.left + flow.width * 0.6, flow.y)
      .stroke();
    flow.space(4);
    flow.text(quote.lines.length > 1 ? 'Way, name, day' : 'Name, day', { size: 9.5, ink: FAINT });
  }
  return flow.end();
}
