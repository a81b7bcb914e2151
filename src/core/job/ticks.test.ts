import { describe, expect, it } from 'vitest';
import { reportOf } from '../report';

import { isReached, openPoints, pictureOf, picturesOf, ticksOf, ticksOfItem } from '.';
import { bench, kiosk } from './bench.test.fixture';

const map = kiosk([
  { id: 'A1', name: 'main board', kind: 'board' },
  { id: 'M1', name: 'ticket motor', kind: 'motor' },
]);
const picture = (of?: string) => ({
  type: 'photo.added' as const,
  file: 'a'.repeat(64),
  caption: '',
  width: 100,
  height: 80,
  ...(of ? { of } : {}),
});
const asked = (b: ReturnType<typeof bench>, stop: Parameters<typeof ticksOf>[1]) =>
  ticksOf(b.state(), stop).filter((t) => !t.done);

describe('ticks that Mulch asks at their time', () => {
  it('a picture of the plugs: from the first cover off to the first plug out, unless one was taken', () => {
    const b = bench(map);
    b.planned('A1');
    expect(asked(b, 'open up')).toEqual([]);
    b.line('lift door > shelf');
    expect(asked(b, 'open up')).toMatchObject([{ id: 'picture of the plugs', picture: true }]);
    b.tell(picture());
    expect(asked(b, 'open up')).toEqual([]);

    const other = bench(map);
    other.planned('A1');
    other.line('lift door > shelf');
    other.line('unplug motor lead');
    expect(asked(other, 'open up')).toEqual([]);
  });
  it('new adhesive where heat or solvent freed something, until the last cover is closed', () => {
    const b = bench(map);
    b.planned('A1');
    b.line('lift door > shelf');
    expect(asked(b, 'close up').map((t) => t.id)).not.toContain('fresh adhesive');
    b.line('heat door edge 2 min');
    expect(asked(b, 'close up').map((t) => t.id)).not.toContain('fresh adhesive');
    b.line('pry glass with card');
    expect(asked(b, 'close up')).toContainEqual(
      expect.objectContaining({ id: 'fresh adhesive', picture: false, done: false }),
    );
    b.tell({ type: 'tick.done', tick: 'fresh adhesive' });
    expect(asked(b, 'close up').map((t) => t.id)).not.toContain('fresh adhesive');
  });
  it('a picture before a cover hides what was mended: one from before does not answer it', () => {
    const b = bench(map);
    b.planned('A1');
    b.line('lift door > shelf');
    b.tell(picture());
    b.tell({ type: 'part.removed', name: 'old main board' });
    b.tell({ type: 'part.fitted', name: 'new main board' });
    expect(asked(b, 'close up')).toMatchObject([{ id: 'picture before it is covered' }]);
    b.tell({ type: 'tick.done', tick: 'picture before it is covered' });
    expect(asked(b, 'close up')).toEqual([]);
  });
});

describe('ticks of one’s own', () => {
  it('come up at their stop or with their thing, hold the hand over as open, and are reported once made', () => {
    const b = bench(map);
    b.planned('A1');
    b.line('lift door > shelf');
    const door = b.item('door');
    b.tell({ type: 'tick.noted', text: ' clean the seat ', stop: 'swap' });
    b.tell({ type: 'tick.noted', text: 'grease the seal', stop: 'close up', item: door });
    const swap = () => ticksOf(b.state(), 'swap').map((t) => [t.text, t.done]);
    expect(swap()).toEqual([['clean the seat', false]]);
    expect(ticksOf(b.state(), 'close up')).toEqual([]);
    expect(ticksOfItem(b.state(), door)).toMatchObject([{ text: 'grease the seal', done: false }]);
    b.tell({ type: 'part.removed', name: 'old main board' });
    b.tell({ type: 'part.fitted', name: 'new main board' });
    expect(openPoints(b.state()).map((p) => p.what)).toEqual(
      expect.arrayContaining(['not ticked: clean the seat', 'not ticked: grease the seal']),
    );
    b.tell({ type: 'tick.done', tick: ticksOf(b.state(), 'swap')[0]?.id ?? '' });
    expect(swap()).toEqual([['clean the seat', true]]);
    const tick = ticksOfItem(b.state(), door)[0]?.id ?? '';
    b.tell({ type: 'tick.done', tick });
    expect(() => b.tell({ type: 'tick.done', tick })).toThrow('ticked already');
    expect(openPoints(b.state()).map((p) => p.what)).not.toContain('not ticked: grease the seal');
    const notes = reportOf(b.state(), b.events()).find((s) => s.title === 'Notes')?.lines;
    expect(notes).toMatchObject([
      { text: 'clean the seat', result: 'ticked' },
      { text: 'grease the seal', result: 'ticked' },
    ]);
    expect(ticksOfItem(b.state(), door)).toMatchObject([{ done: true }]);
  });
  it('what is no tick, an empty one, or one of a thing that is not there is refused', () => {
    const b = bench(map);
    expect(() => b.tell({ type: 'tick.done', tick: 'tea' })).toThrow('no such tick');
    expect(() => b.tell({ type: 'tick.noted', text: ' ', stop: 'swap' })).toThrow('say what');
    expect(() => b.tell({ type: 'tick.noted', text: 'x', stop: 'swap', item: 'nothing' })).toThrow(
      'not in the tray',
    );
  });
});

describe('pictures of a thing', () => {
  it('are those taken for it and those with a pin on it or on its name', () => {
    const b = bench(map);
    b.planned('A1');
    b.line('lift door > shelf');
    const door = b.item('door');
    b.tell(picture(door));
    b.tell(picture());
    expect(picturesOf(b.state(), { id: door, name: 'door' })).toHaveLength(1);
    const second = b.state().photos[1]?.id ?? '';
    b.tell({ type: 'pin.placed', photo: second, x: 0.5, y: 0.5, on: 'DOOR' });
    expect(picturesOf(b.state(), { id: door, name: 'door' }).map((p) => p.id)).toContain(second);
    expect(() => b.tell(picture('nothing'))).toThrow('not in the tray');
  });
  it('the next one is of the move in hand: what came off last, and on the way back what goes back next', () => {
    const b = bench(map);
    b.planned('A1');
    expect(pictureOf(b.state(), 'open up')).toBeUndefined();
    b.line('4 x M3x8 PH1 door > cup 1');
    b.line('lift door > shelf');
    expect(pictureOf(b.state(), 'open up')).toBe(b.item('door'));
    expect(pictureOf(b.state(), 'close up')).toBe(b.item('door'));
    expect(pictureOf(b.state(), 'trace')).toBeUndefined();
    b.tell({ type: 'item.returned', item: b.item('door'), count: 1, state: 'fitted' });
    expect(pictureOf(b.state(), 'open up')).toBe(b.state().ledger.items[0]?.id);
    expect(pictureOf(b.state(), 'close up')).toBe(b.state().ledger.items[0]?.id);
  });
});

describe('off again', () => {
  it('says why in the log and the report, and says nothing where nothing was said', () => {
    const b = bench(map);
    b.planned('M1');
    b.line('lift door > shelf');
    const door = b.item('door');
    b.tell({ type: 'item.returned', item: door, count: 1, state: 'fitted' });
    b.tell({ type: 'item.taken', item: door, count: 1, why: 'lead pinched under it' });
    const lines = () =>
      reportOf(b.state(), b.events()).find((s) => s.title === 'Came off and went back')?.lines ?? [];
    expect(lines().find((l) => l.text.includes('off again'))?.result).toBe('lead pinched under it');
    b.tell({ type: 'item.returned', item: door, count: 1, state: 'fitted' });
    b.tell({ type: 'item.taken', item: door, count: 1 });
    expect(lines().filter((l) => l.text.includes('off again'))).toHaveLength(1);
  });
});

describe('whether hands reach what is planned', () => {
  it('only with a plan and every cover over it off', () => {
    const b = bench(map);
    expect(isReached(b.state())).toBe(false);
    b.planned('A1');
    expect(isReached(b.state())).toBe(false);
    b.line('lift door > shelf');
    expect(isReached(b.state())).toBe(true);
  });
});
