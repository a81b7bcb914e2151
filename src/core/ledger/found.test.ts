import { describe, expect, it } from 'vitest';
import { candidatesFor, EMPTY_LEDGER, type Ledger, miss, readLine, take, writeOff } from '.';

const off = (l: Ledger, text: string, id: string): Ledger => {
  const { verb, item } = readLine(text);
  return take(l, { verb, text, item }, { id, at: '2026-11-26T09:00:00Z' });
};
let ledger = EMPTY_LEDGER;
ledger = off(ledger, '4 x M3x8 PH1 rear cover > cup 1', 'a');
ledger = off(ledger, '6 x M3x12 PH1 top cover > cup 2', 'b');
ledger = off(ledger, '2 x M4x8 PH2 hinge > cup 3', 'c');
ledger = off(ledger, '3 x M3x8 T10 shield > cup 4', 'd');
ledger = off(ledger, 'unplug J7 24p', 'e');
const ids = (said: string, l = ledger) => candidatesFor(l.items, said).map((c) => c.item.id);

describe('a screw found on the floor', () => {
  it('is matched to where all that is said of it agrees, then to where most does', () => {
    expect(ids('M3x8 PH1')[0]).toBe('a');
    expect(ids('M3x8 PH1')).toEqual(['a', 'b', 'd']);
    expect(candidatesFor(ledger.items, 'M3x8 PH1')[1]?.why).toBe('thread, drive agree; length differ');
    expect(ids('M4x8')).toEqual(['c']);
  });
  it('a place that misses one comes first among equals', () => {
    expect(ids('M3x8')).toEqual(['a', 'd', 'b']);
    const missed = miss(ledger, 'd', 1);
    expect(ids('M3x8', missed)).toEqual(['d', 'a', 'b']);
    expect(candidatesFor(missed.items, 'M3x8')[0]?.wanted).toBe(true);
  });
  it('nothing is guessed where nothing agrees or nothing is said', () => {
    expect(ids('M5x20')).toEqual([]);
    expect(ids('')).toEqual([]);
    expect(ids('something shiny')).toEqual([]);
    const gone = writeOff(ledger, 'c', { count: 2, reason: 'stripped', replacement: 'new' });
    expect(ids('M4x8', gone)).toEqual([]);
  });
});
