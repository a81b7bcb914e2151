import { describe, expect, it } from 'vitest';
import { Refusal } from '../refusal';
import { reportOf } from '../report';
import { deriveChecks, type UnitMap } from '../unit';
import { bareEnds, fold, foldOn, history, openPoints, preparationsOf, provingLines, summarise } from '.';
import { bench, kiosk } from './bench.test.fixture';

const MAP = kiosk(
  [
    { id: 'A1', name: 'main board', kind: 'board' },
    { id: 'M1', name: 'ticket motor', kind: 'motor' },
    { id: 'B1', name: 'drive pack', kind: 'battery', leads: ['main', 'balance'] },
  ],
  { hazards: ['cell pack'] },
);
const PACK = MAP.hazards.find((h) => h.kind === 'cell pack')?.id ?? '';
const OTHER = '01M2JS9ZC08V33PPE0SBJHZZZZ';
type Bench = ReturnType<typeof bench>;
type Entry = Parameters<Bench['tell']>[0];

/** A unit that is taken in, nothing planned. */
function takenIn(map: UnitMap = MAP): Bench {
  const b = bench(map);
  b.takenIn();
  return b;
}
/** What the history says of the last entry. */
const said = (b: Bench) => history(b.events()).at(-1)?.text;
/** Lines of the report that hold these words. */
const reported = (b: Bench, words: string) =>
  reportOf(b.state(), b.events()).flatMap((s) =>
    s.lines
      .filter((l) => l.text.includes(words))
      .map((l) => `${s.title}: ${l.text}${l.result ? ` = ${l.result}` : ''}`),
  );
/** What an entry is refused with, and where; the job is as it was. */
function refused(b: Bench, e: Entry): string {
  const before = b.state();
  try {
    b.tell(e);
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    expect(b.state()).toBe(before);
    return `${error.path} ${error.message}`.trim();
  }
  return 'taken';
}

describe('what is still owed', () => {
  const owed = (what: string, due?: string): Entry => ({
    type: 'owed.noted',
    owed: 'follow-up',
    what,
    ...(due ? { due } : {}),
  });
  it('stands until it is done, with its day', () => {
    const b = takenIn();
    b.tell(owed(' a call to the pier office ', '2026-12-01'));
    b.tell(owed('the old board sent back'));
    const [call, board] = b.state().owed;
    expect(call).toMatchObject({ kind: 'follow-up', what: 'a call to the pier office', due: '2026-12-01' });
    expect(board).not.toHaveProperty('due');
    expect(said(b)).toBe('Owed, follow-up: the old board sent back');
    expect(reported(b, 'a call')).toEqual([
      'Handed over: Owed, follow-up: a call to the pier office, by 2026-12-01 = open',
    ]);
    expect(summarise(b.state()).owing?.map(({ what, due }) => [what, due])).toEqual([
      ['a call to the pier office', '2026-12-01'],
      ['the old board sent back', undefined],
    ]);
    b.tell({ type: 'owed.settled', owed: call?.id ?? '' });
    expect(said(b)).toBe('Done, no longer owed: a call to the pier office');
    expect(reported(b, 'a call')).toEqual([
      'Handed over: Owed, follow-up: a call to the pier office, by 2026-12-01 = done 2026-11-26',
    ]);
    expect(summarise(b.state()).owing?.map(({ what }) => what)).toEqual(['the old board sent back']);
    expect(b.state().owed.map((o) => Boolean(o.settled))).toEqual([true, false]);
    expect(refused(b, { type: 'owed.settled', owed: call?.id ?? '' })).toBe(
      '/owed a call to the pier office: that is done already',
    );
    b.tell({ type: 'owed.settled', owed: board?.id ?? '' });
    expect(summarise(b.state())).not.toHaveProperty('owing');
  });
  it('is said in words, by a day there is', () => {
    const b = takenIn();
    expect(refused(b, owed('  '))).toBe('/what say what is owed, and to whom');
    expect(refused(b, owed('a call', '2026-02-30'))).toMatch(/^\/due /);
    expect(refused(b, { type: 'owed.settled', owed: OTHER })).toBe('/owed nothing like that is owed');
  });
});

describe('what is put in for the first time', () => {
  const draft = (name: string, kind: 'part' | 'plug' | 'fastener', count: number | null = 1) => ({
    kind,
    name,
    count,
    place: { kind: 'shelf' as const },
  });
  it('is owed and proven like the rest, and a cover that is not off closes over it', () => {
    const b = takenIn();
    b.tell({ type: 'item.to-fit', text: 'fit fan', item: draft('fan', 'part') });
    expect(said(b)).toBe('To be fitted: 1 × fan');
    b.tell({ type: 'item.to-fit', text: 'fit door', item: draft('door', 'part') });
    const { items, covers } = b.state().ledger;
    expect(items.map((i) => [i.name, i.assembly, i.cover])).toEqual([
      ['fan', true, undefined],
      ['door', true, MAP.access[0]?.id],
    ]);
    expect(covers.map((c) => c.state)).toEqual(['open']);
    expect(items[0]?.inside).toEqual([MAP.access[0]?.id]);
  });
  it('a cover that is off already, and a plug that is called like one, open nothing', () => {
    const b = takenIn();
    b.tell({ type: 'item.to-fit', text: 'plug door', item: draft('door', 'plug') });
    expect(b.state().ledger.covers).toEqual([]);
    const off = bench(kiosk([{ id: 'A1', name: 'main board', kind: 'board' }]));
    off.planned('A1');
    off.line('lift door > shelf');
    const { covers } = off.state().ledger;
    expect(covers).toHaveLength(1);
    expect(refused(off, { type: 'item.to-fit', text: 'fit door', item: draft('door', 'part') })).toMatch(
      /^\/item\/name door is off already/,
    );
    off.tell({ type: 'item.to-fit', text: 'several clips', item: draft('clips', 'fastener', null) });
    expect(said(off)).toBe('To be fitted: several × clips');
    expect(off.state().ledger.covers).toEqual(covers);
  });
});

describe('what is taken along', () => {
  it('is named once whatever its case, and can be left out again', () => {
    const b = takenIn();
    const kit = (what: string, along: boolean): Entry => ({ type: 'kit.noted', what, along });
    b.tell(kit(' Torch ', true));
    b.tell(kit('spare cup', true));
    b.tell(kit('torch', true));
    expect(b.state().kit).toEqual(['spare cup', 'torch']);
    expect(said(b)).toBe('Into the kit: torch');
    b.tell(kit('TORCH', false));
    expect(b.state().kit).toEqual(['spare cup']);
    expect(said(b)).toBe('Out of the kit: TORCH');
    expect(refused(b, kit('torch', false))).toBe('/what torch is not in the kit');
    expect(refused(b, kit('  ', true))).toBe('/what say what is taken along');
  });
});

describe('a look before anything is measured', () => {
  const look = (found: boolean, note?: string): Entry => ({
    type: 'look.answered',
    look: 'trial start',
    found,
    ...(note === undefined ? {} : { note }),
  });
  const ask = 'Start it once as its owner does: does it fail here too?';
  it('keeps its last answer, and says it', () => {
    const b = takenIn();
    b.tell(look(true, ' twice '));
    expect(said(b)).toBe(`${ask} it works here: twice`);
    expect(reported(b, ask)).toEqual([`Found: ${ask} = it works here: twice`]);
    b.tell({ type: 'look.answered', look: 'warmed up', found: false });
    b.tell(look(false, '  '));
    expect(b.state().looked.map((l) => [l.look, l.found, l.note])).toEqual([
      ['warmed up', false, undefined],
      ['trial start', false, undefined],
    ]);
    expect(said(b)).toBe(`${ask} it fails here too`);
  });
  it('comes after taking in', () => {
    expect(refused(bench(MAP), look(true))).toMatch(/take the unit in first/);
  });
});

describe('names, moves and things over a pack', () => {
  it('a name that was learned is read from then on', () => {
    const b = takenIn();
    const name = (words: string, means: string): Entry => ({ type: 'name.learned', said: words, means });
    b.tell(name(' the brain ', 'A1'));
    expect(b.state().aliases).toEqual([{ said: 'the brain', means: 'A1' }]);
    expect(said(b)).toBe('“ the brain ” is A1');
    expect(refused(b, name('  ', 'A1'))).toBe('/said say what it is called');
    expect(refused(b, name('the brain', 'A9'))).toBe('/means A9 is nothing of this unit');
  });
  it('a move of the way in is left out once, and only one that there is', () => {
    const map: UnitMap = {
      ...MAP,
      moves: [{ id: 'm1', text: 'lift door > shelf', minutes: 1 } as NonNullable<UnitMap['moves']>[number]],
    };
    const b = takenIn(map);
    b.tell({ type: 'move.skipped', move: 'm1' });
    expect(said(b)).toBe('Left out: lift door > shelf');
    expect(b.state().followed).toEqual(['m1']);
    expect(refused(b, { type: 'move.skipped', move: 'm1' })).toBe('/move that move is done already');
    expect(refused(b, { type: 'move.skipped', move: 'm2' })).toBe(
      '/move m2 is no move of this unit’s way in',
    );
  });
  it('what lies over the plug of a pack is kept once, in the map of the job', () => {
    const b = takenIn();
    const over = (thing: string, hazard = PACK): Entry => ({ type: 'pack.freed-by', hazard, thing });
    const under = () => b.state().map.hazards.find((h) => h.id === PACK)?.clear.under;
    b.tell(over(' shield '));
    b.tell(over('SHIELD'));
    expect(under()).toEqual(['shield']);
    b.tell(over('fan'));
    expect(under()).toEqual(['shield', 'fan']);
    expect(b.state().whole.hazards).toEqual(b.state().map.hazards);
    expect(said(b)).toBe(`Over ${MAP.hazards.find((h) => h.id === PACK)?.name}: fan`);
    expect(refused(b, over('  '))).toBe('/thing say what lies over it');
    const outside = takenIn(kiosk([{ id: 'A1', name: 'board', kind: 'board' }], { hazards: ['mains'] }));
    const mains = outside.state().map.hazards[0];
    expect(refused(outside, over('fan', mains?.id))).toBe(`/hazard ${mains?.name} is not cleared inside`);
  });
  it('a pack is swollen, or is not after all; nothing else can swell', () => {
    const b = takenIn();
    const name = MAP.hazards.find((h) => h.id === PACK)?.name;
    const swells = (swollen: boolean, hazard = PACK): Entry => ({ type: 'swelling.noted', hazard, swollen });
    b.tell(swells(true));
    b.tell(swells(true));
    expect(b.state().swollen).toEqual([PACK]);
    expect(said(b)).toBe(`${name} is swollen: no heat, no lever, outside with it`);
    expect(reported(b, 'swollen')).toHaveLength(2);
    b.tell(swells(false));
    expect(b.state().swollen).toEqual([]);
    expect(said(b)).toBe(`${name} is not swollen`);
    expect(reported(b, 'swollen')).toEqual([]);
    const other = takenIn(kiosk([{ id: 'A1', name: 'board', kind: 'board' }], { hazards: ['mains'] }));
    expect(refused(other, swells(true, other.state().map.hazards[0]?.id))).toMatch(/^\/hazard .* is no pack/);
  });
  it('a move is corrected that there is', () => {
    const b = bench(kiosk([{ id: 'A1', name: 'main board', kind: 'board' }]));
    b.planned('A1');
    b.line('lift door > shelf');
    const move = b.state().ledger.moves.at(-1)?.id ?? '';
    const corrected = (id: string): Entry => ({
      type: 'move.corrected',
      move: id,
      verb: 'lift',
      text: 'lift door > floor',
      item: { kind: 'part', name: 'door', count: 1, place: { kind: 'shelf', label: 'floor' } },
    });
    expect(refused(b, corrected(OTHER))).toBe('/move there is no such move to correct');
    b.tell(corrected(move));
    expect(said(b)).toBe('Corrected: lift door > floor');
    expect(b.state().ledger.items.map((i) => i.place.label)).toEqual(['floor']);
  });
});

describe('the quote', () => {
  const quote = (more: Partial<Extract<Entry, { type: 'quote.made' }>> = {}): Entry => ({
    type: 'quote.made',
    lines: [
      { way: 'like for like', what: ' a new board ', minutes: 30, parts: 2500 },
      { way: 'better one', what: 'a sealed board', minutes: 45, parts: 5000 },
    ],
    currency: 'EUR',
    ratePerHour: 6000,
    validUntil: '2026-12-10',
    needed: true,
    ...more,
  });
  const answer = (line: number | null, who = ' the harbour ', note?: string): Entry => ({
    type: 'quote.answered',
    line,
    who,
    ...(note === undefined ? {} : { note }),
  });
  it('is priced by minutes and parts, sent, and answered', () => {
    const b = takenIn();
    b.tell(quote({ notCovered: '  ' }));
    // 30 min at 60 EUR an hour and 25 EUR of parts; 45 min and 50 EUR.
    expect(said(b)).toMatch(/a new board , .*55[.,]00.*; a sealed board, .*95[.,]00/);
    expect(b.state().quote).toMatchObject({ sent: [], answer: null, needed: true });
    expect(b.state().quote).not.toHaveProperty('notCovered');
    expect(b.state().quote?.lines.map((l) => l.what)).toEqual(['a new board', 'a sealed board']);
    expect(reported(b, 'Quoted').map((l) => l.replaceAll('\u00a0', ' '))).toEqual([
      expect.stringMatching(
        /^Planned: Quoted, like for like: {2}a new board {2}= .*55[.,]00.*, until 2026-12-10$/,
      ),
      expect.stringMatching(/^Planned: Quoted, better one: a sealed board = .*95[.,]00.*, until 2026-12-10$/),
    ]);
    b.tell({ type: 'quote.sent', to: ' the harbour ', how: ' by letter ' });
    b.tell({ type: 'quote.sent', to: 'the office', how: '' });
    expect(b.state().quote?.sent.map(({ to, how }) => [to, how])).toEqual([
      ['the harbour', 'by letter'],
      ['the office', ''],
    ]);
    expect(said(b)).toBe('Quote sent to the office');
    expect(reported(b, 'sent to')).toEqual([
      'Planned: Quote sent to the harbour = by letter',
      'Planned: Quote sent to the office',
    ]);
    b.tell(answer(1, undefined, ' soon '));
    expect(b.state().quote?.answer).toMatchObject({ line: 1, who: 'the harbour', note: 'soon' });
    expect(said(b)).toBe('Quote accepted by  the harbour : a sealed board');
    expect(reported(b, 'accepted')).toEqual(['Planned: Quote accepted: a sealed board = the harbour, soon']);
    b.tell(answer(null, 'Ines', '  '));
    expect(b.state().quote?.answer).toMatchObject({ line: null, who: 'Ines' });
    expect(b.state().quote?.answer).not.toHaveProperty('note');
    expect(said(b)).toBe('Quote refused by Ines');
    // A new one takes the place of the old: only that stands in the report.
    b.tell(quote({ validUntil: '2026-12-24', notCovered: ' paint ' }));
    expect(b.state().quote).toMatchObject({ answer: null, notCovered: 'paint' });
    expect(reported(b, 'Quoted')).toHaveLength(2);
  });
  it('holds to its last day, and not over it', () => {
    const b = takenIn();
    b.tell(quote({ validUntil: '2026-11-26' }));
    b.tell(answer(0));
    b.tell(quote({ validUntil: '2026-11-27' }));
    // Two days on.
    b.tell({ type: 'note.added', text: 'waits' }, 2 * 24 * 60);
    expect(refused(b, answer(0))).toBe('/line it held until 2026-11-27: make it anew');
    expect(refused(b, answer(null))).toBe('taken');
    expect(refused(b, quote({ validUntil: '2026-11-27' }))).toMatch(/^\/validUntil its last day lies behind/);
  });
  it('is refused where it was typed', () => {
    expect(refused(bench(MAP), quote())).toMatch(/take the unit in first/);
    const b = takenIn();
    expect(refused(b, { type: 'quote.sent', to: 'x', how: '' })).toBe('make the quote first');
    expect(refused(b, answer(null))).toBe('make the quote first');
    expect(refused(b, quote({ lines: [] }))).toMatch(/^\/lines a quote offers at least one way/);
    expect(refused(b, quote({ validUntil: '2026-13-01' }))).toMatch(/^\/validUntil /);
    expect(refused(b, quote({ currency: 'EU' }))).toMatch(/^\/currency /);
    const line = { way: 'retire' as const, what: 'parts', minutes: 1, parts: 1 };
    expect(refused(b, quote({ lines: [line, { ...line, what: ' ' }] }))).toBe(
      '/lines/1/what say what is done',
    );
    expect(refused(b, quote({ lines: [line, { ...line, parts: -1 }] }))).toMatch(/^\/lines\/1\/parts /);
    b.tell(quote());
    expect(refused(b, answer(2))).toBe('/line that way is not in the quote');
    expect(refused(b, answer(0, '  '))).toBe('/who say who answered');
    expect(refused(b, { type: 'quote.sent', to: '  ', how: 'x' })).toBe('/to say to whom it went');
  });
});

describe('signed for', () => {
  const sign = (name: string, lines: number[][] = []): Entry => ({
    type: 'receipt.signed',
    name,
    wide: 3,
    lines,
  });
  it('by a name, with the lines of a hand; the last one stands', () => {
    const b = takenIn();
    b.tell(sign(' Ada Quay ', [[0, 0, 1, 1]]));
    expect(b.state().receipt).toMatchObject({ name: 'Ada Quay', wide: 3, lines: [[0, 0, 1, 1]], by: 'Ines' });
    b.tell(sign('Ben Slip'));
    expect(said(b)).toBe('Signed for by Ben Slip');
    expect(reported(b, 'Signed')).toEqual(['Handed over: Signed for by = Ben Slip']);
  });
  it('not by nobody, not with half a point, not with a picture of a thousand strokes', () => {
    const b = takenIn();
    expect(refused(b, sign(' '))).toBe('/name say who signs');
    expect(
      refused(
        b,
        sign('Ada', [
          [0, 0],
          [0, 0, 1],
        ]),
      ),
    ).toMatch(/^\/lines\/1 a line is drawn through points/);
    const stroke = Array.from({ length: 1000 }, () => 0.5);
    expect(
      refused(
        b,
        sign(
          'Ada',
          Array.from({ length: 8 }, () => stroke),
        ),
      ),
    ).toBe('taken');
    expect(refused(b, sign('Ada', [...Array.from({ length: 8 }, () => stroke), [0, 0]]))).toMatch(
      /^\/lines that is more than a signature/,
    );
  });
});

describe('ticks and pictures of one’s own', () => {
  it('a tick is noted at a stop or on a thing, and made once', () => {
    const b = bench(kiosk([{ id: 'A1', name: 'main board', kind: 'board' }]));
    b.planned('A1');
    b.line('lift door > shelf');
    const door = b.item('door');
    b.tell({ type: 'tick.noted', text: ' gasket dry ', stop: 'close up', item: door });
    expect(said(b)).toBe('To be ticked at close up: gasket dry');
    const [tick] = b.state().ticks;
    expect(tick).toMatchObject({ text: 'gasket dry', stop: 'close up', item: door });
    b.tell({ type: 'tick.noted', text: 'lamp seen', stop: 'prove' });
    expect(b.state().ticks[1]).not.toHaveProperty('item');
    b.tell({ type: 'tick.done', tick: tick?.id ?? '' });
    expect(said(b)).toContain('gasket dry');
    expect(reported(b, 'gasket dry').some((l) => l.endsWith('= ticked'))).toBe(true);
    expect(b.state().ticked.map((t) => t.tick)).toEqual([tick?.id]);
    expect(refused(b, { type: 'tick.done', tick: tick?.id ?? '' })).toBe('/tick it is ticked already');
    expect(refused(b, { type: 'tick.done', tick: 'no such' })).toBe('/tick there is no such tick');
    expect(refused(b, { type: 'tick.noted', text: ' ', stop: 'prove' })).toBe(
      '/text say what is to be ticked',
    );
    expect(refused(b, { type: 'tick.noted', text: 'x', stop: 'prove', item: OTHER })).toBe(
      '/item that thing is not in the tray',
    );
  });
  it('pictures for the owner are of this job, each once', () => {
    const b = takenIn();
    b.tell({ type: 'photo.added', file: 'a'.repeat(64), caption: 'rear', width: 100, height: 80 });
    const photo = b.state().photos[0]?.id ?? '';
    b.tell({ type: 'pictures.chosen', photos: [photo, photo] });
    expect(b.state().ownersPictures).toEqual([photo]);
    b.tell({ type: 'pictures.chosen', photos: [photo] });
    expect(said(b)).toBe('1 picture for the owner’s page');
    b.tell({ type: 'pictures.chosen', photos: [] });
    expect(said(b)).toBe('0 pictures for the owner’s page');
    expect(refused(b, { type: 'pictures.chosen', photos: [photo, OTHER] })).toBe(
      '/photos/1 that picture is not in this job',
    );
  });
});

describe('a remedy', () => {
  it('that was done and did not help goes back to Trace, and says so', () => {
    const b = bench(kiosk([{ id: 'A1', name: 'main board', kind: 'board' }]));
    b.planned('A1', 'reseat');
    b.line('lift door > shelf');
    expect(refused(b, { type: 'remedy.tried' })).toBe('no remedy has been done yet');
    b.tell({ type: 'remedy.done' });
    expect(b.state().fix).toMatchObject({ element: 'A1', remedy: 'reseat' });
    b.tell({ type: 'remedy.tried' });
    expect(b.state()).toMatchObject({ stop: 'trace', plan: null, fix: null, fixes: [] });
    expect(b.state().trace.at(-1)?.tried).toEqual({ element: 'A1', remedy: 'reseat' });
    expect(b.state().failed.map((f) => f.element)).toEqual(['A1']);
    expect(said(b)).toBe('Reseat A1 main board tried, the symptom stayed');
    expect(reported(b, 'Reseat A1')).toContain('Found: Reseat A1 main board = the symptom stayed');
  });
  it('of several is dropped while nothing is out for it', () => {
    const b = takenIn();
    b.tell({ type: 'plan.chosen', element: 'A1', remedy: 'replace', why: 'looked at' });
    expect(refused(b, { type: 'plan.dropped', element: 'M1' })).toBe('/element nothing is planned for M1');
    b.tell({ type: 'plan.dropped', element: 'A1' });
    expect(said(b)).toBe('Not done in this opening: A1');
    expect(b.state().plan).toBeNull();
  });
});

describe('what has to be shown beside the failing check', () => {
  const ids = (b: Bench) => provingLines(b.state()).map((l) => l.id);
  it('a message of the unit, what the owner would lose, and media that were out', () => {
    const b = bench(MAP);
    expect(ids(b)).toEqual([]);
    b.takenIn({ unitSays: 'E 12', keep: ['coin count', 'opening hours'] });
    expect(ids(b)).toEqual(['message', 'keep:coin count', 'keep:opening hours']);
    expect(provingLines(b.state())[0]?.before).toBe('E 12');
    b.tell({
      type: 'item.to-fit',
      text: 'card',
      item: { kind: 'media', name: 'card', count: 1, place: { kind: 'shelf' } },
    });
    expect(ids(b).at(-1)).toBe('media');
  });
  it('a battery whose lead was parted takes charge again; another lead asks nothing', () => {
    const map = kiosk([
      { id: 'A1', name: 'main board', kind: 'board' },
      { id: 'B1', name: 'drive pack', kind: 'battery' },
    ]);
    const b = takenIn(map);
    b.tell({
      type: 'item.to-fit',
      text: 'fan',
      item: { kind: 'part', name: 'fan', count: 1, place: { kind: 'shelf' } },
    });
    expect(ids(b)).toEqual([]);
    b.tell({
      type: 'item.to-fit',
      text: 'B1',
      item: { kind: 'part', name: 'B1', count: 1, place: { kind: 'shelf' } },
    });
    expect(ids(b)).toEqual(['charging']);
    expect(provingLines(b.state())[0]?.why).toBe('its plug was parted');
  });
  it('a pack whose lead was parted, by whatever name, is seen to take charge; another lead is no reason', () => {
    const map = kiosk([
      { id: 'A1', name: 'main board', kind: 'board' },
      { id: 'B1', name: 'drive pack', kind: 'battery', leads: ['yellow plug'] },
    ]);
    for (const [lead, asked] of [
      ['yellow plug', ['charging']],
      ['drive pack lead', ['charging']],
      ['B1', ['charging']],
      ['fan lead', []],
    ] as const) {
      const b = takenIn(map);
      b.line(`unplug ${lead}`);
      expect([lead, ids(b)]).toEqual([lead, asked]);
    }
  });
});

describe('leads with bare ends', () => {
  const names = (b: Bench) => bareEnds(b.state()).map((i) => i.name);
  const opened = (more: Parameters<typeof kiosk>[1] = {}, leads?: string[]) => {
    const b = bench(
      kiosk(
        [
          { id: 'A1', name: 'main board', kind: 'board' },
          ...(leads ? [{ id: 'B1', name: 'drive pack', kind: 'battery' as const, leads }] : []),
        ],
        more,
      ),
    );
    b.planned('A1');
    return b;
  };
  it('wait only where a pack is in, or where they are its own', () => {
    const b = opened();
    b.line('lift door > shelf');
    b.line('unsolder red wire');
    expect(b.state().ledger.items.map((i) => i.joint)).toContain('solder joint');
    expect(names(b)).toEqual([]);
    const packed = opened({ hazards: ['cell pack'] }, ['main']);
    packed.tell({
      type: 'gate.passed',
      hazard: packed.state().map.hazards[0]?.id ?? '',
      reason: 'the pack is outside, in its pouch',
    });
    packed.line('lift door > shelf');
    packed.line('unplug main');
    packed.line('unsolder red wire');
    expect(names(packed)).toEqual(['red wire']);
    // Back in it is bare no more.
    packed.tell({ type: 'item.returned', item: packed.item('red wire'), count: 1, state: 'plugged' });
    expect(names(packed)).toEqual([]);
  });
});

describe('folding on', () => {
  it('what reaches back is folded from the beginning, all else from where it was', () => {
    const b = bench(kiosk([{ id: 'A1', name: 'main board', kind: 'board' }]));
    b.planned('A1');
    b.line('lift door > shelf');
    const move = b.state().ledger.moves.at(-1)?.id ?? '';
    b.line('unplug J7');
    b.tell({
      type: 'move.corrected',
      move,
      verb: 'lift',
      text: 'lift door > floor',
      item: { kind: 'part', name: 'door', count: 1, place: { kind: 'shelf', label: 'floor' } },
    });
    b.tell({ type: 'note.added', text: 'one' });
    b.tell({ type: 'undone', event: b.events().at(-1)?.id ?? '' } as unknown as Entry);
    b.tell({ type: 'note.added', text: 'two' });
    const events = b.events();
    for (let end = 1; end <= events.length; end++)
      for (let k = 1; k <= end; k++) {
        const on = foldOn(fold(events.slice(0, k)), events.slice(k, end));
        expect(on.state, `${k} to ${end}`).toEqual(fold(events.slice(0, end)).state);
        expect(on.events).toEqual(events.slice(0, end));
      }
    expect(() => foldOn(fold(events), events.slice(0, 1))).toThrow();
  });
});

describe('preparations', () => {
  const lined = () => {
    const b = bench(kiosk([{ id: 'A1', name: 'main board', kind: 'board' }]));
    b.planned('A1');
    return b;
  };
  it('are seen to line by line, a line again in its place', () => {
    const b = lined();
    const lines = preparationsOf(b.state());
    const [first, second] = lines.filter((l) => !l.asks);
    b.tell({ type: 'preparation.ticked', line: first?.id ?? '' });
    b.tell({ type: 'preparation.ticked', line: second?.id ?? '', note: '  ' });
    b.tell({ type: 'preparation.ticked', line: first?.id ?? '', note: ' seen twice ' });
    expect(b.state().swap.prepared.map((p) => [p.line, p.note])).toEqual([
      [second?.id, undefined],
      [first?.id, 'seen twice'],
    ]);
    expect(said(b)).toBe(`${first?.ask}: seen twice`);
    expect(refused(b, { type: 'preparation.ticked', line: 'no such' })).toBe(
      '/line no such is no line of the list for A1',
    );
  });
});

describe('a proof', () => {
  it('by a reading keeps it with its unit and what is open; by eye it keeps none', () => {
    const map = kiosk([
      {
        id: 'A1',
        name: 'main board',
        kind: 'board',
        tap: { id: 'TP1', how: 'measure', nominal: 5, tolerance: 0.2, unit: 'V' },
      } as Parameters<typeof kiosk>[0][number],
    ]);
    const b = bench(map);
    b.planned('A1', 'reseat');
    b.line('lift door > shelf');
    b.tell({ type: 'remedy.done' });
    const check = deriveChecks(b.state().map).find((c) => c.tap?.expect);
    if (!check) throw new Error('there is a tap to measure at');
    b.tell({
      type: 'proof.recorded',
      check: check.id,
      reading: 5.02,
      source: 'meter',
      note: 'steady',
    } as Entry);
    expect(b.state().proofs.at(-1)).toMatchObject({
      reading: 5.02,
      unit: 'V',
      outcome: 'ok',
      note: 'steady',
      open: ['door'],
    });
    const symptom = deriveChecks(b.state().map).find((c) => !c.tap);
    b.tell({ type: 'proof.recorded', check: symptom?.id ?? '', outcome: 'ok', source: 'eye' } as Entry);
    expect(b.state().proofs.at(-1)).not.toHaveProperty('reading');
    expect(b.state().proofs.at(-1)).not.toHaveProperty('note');
  });
});

describe('points that are open at Hand over', () => {
  it('are let go with a reason of a few words, and only while they are open', () => {
    const b = takenIn();
    expect(refused(b, { type: 'point.passed', point: 'proof', reason: 'agreed with the owner' })).toBe(
      '/point that is not open',
    );
    b.tell({ type: 'job.referred', to: 'the maker', why: 'warranty' } as Entry);
    for (const point of openPoints(b.state())) {
      expect(refused(b, { type: 'point.passed', point: point.id, reason: ' short ' })).toMatch(
        /^\/reason say why/,
      );
      b.tell({ type: 'point.passed', point: point.id, reason: ' agreed with the owner ' });
      expect(b.state().passedPoints.at(-1)).toMatchObject({
        point: point.id,
        reason: 'agreed with the owner',
      });
      expect(refused(b, { type: 'point.passed', point: point.id, reason: 'agreed again' })).toBe(
        '/point that is not open',
      );
    }
    expect(openPoints(b.state())).toEqual([]);
  });
});
