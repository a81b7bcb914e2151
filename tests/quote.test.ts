import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { describe, expect, it } from 'vitest';
import { quoteHolds, runOf } from '../src/core/job';
import { bench } from '../src/core/job/bench.test.fixture';
import { reportOf } from '../src/core/report';
import { describeUnit } from '../src/core/unit';
import { NEW_WORKSHOP } from '../src/core/workshop';
import { quotePdf } from '../src/server/pdf/quote-pdf';

const bell = describeUnit({
  name: 'Slipway bell',
  maker: '',
  model: '',
  does: 'rings',
  cover: 'lid',
  coverMinutes: 2,
  rows: [
    { id: 'A1', name: 'timer board', kind: 'board' },
    { id: 'W1', name: 'striker lead', kind: 'cable' },
  ],
  hazards: [],
});
const lead = bell.elements.find((e) => e.name === 'striker lead');
const LINE = { way: 'like for like', what: 'New striker lead', minutes: 20, parts: 1250 } as const;
const QUOTE = {
  type: 'quote.made',
  lines: [LINE, { way: 'retire', what: 'Taken down', minutes: 5, parts: 0 }],
  currency: 'EUR',
  ratePerHour: 6000,
  validUntil: '2026-12-24',
  notCovered: 'the striker itself',
  needed: true,
} as const;

/** A bell whose lead is planned, its lid off. */
function planned() {
  const b = bench(bell);
  b.planned(lead?.id ?? '');
  b.line('lift lid > shelf');
  return b;
}
const removed = { type: 'part.removed', name: 'old striker lead' } as const;

describe('a quote', () => {
  it('that work waits for holds every remedy until it is accepted, and the run says so', () => {
    const b = planned();
    expect(quoteHolds(b.state())).toBeNull();
    b.tell(QUOTE as never);
    expect(quoteHolds(b.state())).toBe('the quote is not accepted yet');
    expect(runOf(b.state()).find((r) => r.stop === 'swap')).toMatchObject({
      status: 'held',
      note: expect.stringContaining('the quote'),
    });
    expect(() => b.tell(removed)).toThrow('Held: the quote is not accepted yet');
    b.tell({ type: 'quote.answered', line: null, who: 'M. Wren' });
    expect(() => b.tell(removed)).toThrow('Held: the quote was refused');
    b.tell({ type: 'quote.answered', line: 0, who: 'M. Wren', note: 'by telephone' });
    b.tell(removed);
    expect(b.state().out).not.toBeNull();
  });
  it('holds a remedy that replaces nothing as well', () => {
    const b = bench(bell);
    const reseat = lead?.remedies.find((r) => r.kind !== 'replace')?.id ?? '';
    b.planned(lead?.id ?? '', reseat);
    b.line('lift lid > shelf');
    b.tell(QUOTE as never);
    expect(() => b.tell({ type: 'remedy.done' })).toThrow('Held: the quote is not accepted yet');
    b.tell({ type: 'quote.answered', line: 1, who: 'M. Wren' });
    b.tell({ type: 'remedy.done' });
    expect(b.state().fix).not.toBeNull();
  });
  it('that nothing waits for holds nothing; a new one takes the place of the old, its answer with it', () => {
    const b = planned();
    b.tell({ ...QUOTE, needed: false } as never);
    b.tell(removed);
    b.tell({ type: 'quote.answered', line: 0, who: 'M. Wren' });
    b.tell({ ...QUOTE, lines: [LINE] } as never);
    expect(b.state().quote).toMatchObject({ answer: null, sent: [], lines: [{ what: 'New striker lead' }] });
  });
  it('is answered within its days, from both sides of the last, by somebody, for a way it has', () => {
    const b = planned();
    expect(() => b.tell({ type: 'quote.answered', line: 0, who: 'M' })).toThrow('make the quote first');
    expect(() => b.tell({ type: 'quote.sent', to: 'M', how: '' })).toThrow('make the quote first');
    // The bench of the test works on 26 November.
    expect(() => b.tell({ ...QUOTE, validUntil: '2026-11-25' } as never)).toThrow('lies behind');
    b.tell({ ...QUOTE, validUntil: '2026-11-26' } as never);
    expect(() => b.tell({ type: 'quote.answered', line: 2, who: 'M' })).toThrow('not in the quote');
    expect(() => b.tell({ type: 'quote.answered', line: 0, who: ' ' })).toThrow('say who answered');
    b.tell({ type: 'quote.answered', line: 0, who: 'M' }, 60 * 10);
    const late = planned();
    late.tell({ ...QUOTE, validUntil: '2026-11-26' } as never);
    expect(() => late.tell({ type: 'quote.answered', line: 0, who: 'M' }, 60 * 24)).toThrow(
      'it held until 2026-11-26',
    );
    // A refusal is taken whenever it comes.
    late.tell({ type: 'quote.answered', line: null, who: 'M' }, 60 * 24);
  });
  it.each([
    [{ lines: [{ ...LINE, what: ' ' }] }, 'say what is done'],
    [{ lines: [{ ...LINE, parts: 0.5 }] }, 'amount of money'],
    [{ lines: [] }, 'at least one way'],
    [{ currency: 'eur' }, 'three letters'],
    [{ ratePerHour: 0.5 }, 'amount of money'],
    [{ validUntil: '2026-02-30' }, 'no day of the calendar'],
  ])('%j is refused', (more, why) => {
    expect(() => planned().tell({ ...QUOTE, ...more } as never)).toThrow(why);
  });
  it('stands in the report, the one that holds, with whom it went to and what came back', () => {
    const b = planned();
    b.tell({ ...QUOTE, lines: [{ ...LINE, minutes: 99 }] } as never);
    b.tell(QUOTE as never);
    b.tell({ type: 'quote.sent', to: 'M. Wren', how: 'by post' });
    b.tell({ type: 'quote.answered', line: 0, who: 'M. Wren' });
    const lines = reportOf(b.state(), b.events())
      .find((s) => s.title === 'Planned')
      ?.lines.map((l) => [l.text, l.result?.replaceAll('\u00a0', ' ')]);
    expect(lines).toEqual(
      expect.arrayContaining([
        ['Quoted, like for like: New striker lead', '32.50 EUR, until 2026-12-24'],
        ['Quote sent to M. Wren', 'by post'],
        ['Quote accepted: New striker lead', 'M. Wren'],
      ]),
    );
    expect(JSON.stringify(lines)).not.toContain('111.50');
  });
  it('on paper has every way with its price, its last day, what it does not cover, and its answer', async () => {
    const b = planned();
    b.tell(QUOTE as never);
    const read = async () => {
      const { quote } = b.state();
      if (!quote) throw new Error('no quote');
      const pdf = await quotePdf(b.state(), quote, {
        workshop: { ...NEW_WORKSHOP, name: 'Pier Workshop' },
        logo: null,
      });
      // Outside check: pdf.js.
      const doc = await getDocument({ data: new Uint8Array(pdf), useSystemFonts: false, verbosity: 0 })
        .promise;
      const { items } = await (await doc.getPage(1)).getTextContent();
      return items.map((t) => ('str' in t ? t.str : '')).join('');
    };
    const open = await read();
    for (const words of [
      'Pier Workshop',
      'New striker lead',
      '32.50',
      'Taken down',
      '5.00',
      '2026-12-24',
      'the striker itself',
      'Way, name, day',
    ])
      expect(open).toContain(words);
    b.tell({ type: 'quote.answered', line: 0, who: 'M. Wren' });
    expect(await read()).toContain('Way 1, by M. Wren');
  });
});
