import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  chargeHolds,
  chargeOf,
  firstHazards,
  firstLeadOf,
  leadsOf,
  partFirst,
  workOf,
} from '../src/core/hazard';
import type { Hazard, UnitMap } from '../src/core/unit';
import { photoPrinter } from '../src/demo/units/photo-printer';

const pack = photoPrinter.hazards.find((h) => h.charge) as Hazard;

describe('charge before heat or a lever', () => {
  it('rises with the voltage at rest, and holds until it is under the limit', () => {
    fc.assert(
      fc.property(fc.double({ min: 6.2, max: 8.3, noNaN: true }), (volts) => {
        const here = chargeOf(pack, volts);
        expect(chargeOf(pack, volts + 0.05).percent).toBeGreaterThanOrEqual(here.percent);
        const held = chargeHolds([pack], { [pack.id]: { percent: here.high } });
        expect(held.length === 1).toBe(here.high > 30);
      }),
    );
  });
  it('holds while nothing was read, and not once the pack is out', () => {
    expect(chargeHolds([pack], {})[0]?.why).toBe('how full it is has not been read');
    expect(chargeHolds([pack], {}, ['b1'])).toEqual([]);
    expect(
      chargeHolds(
        photoPrinter.hazards.filter((h) => !h.charge),
        {},
      ),
    ).toEqual([]);
  });
  it('a voltage that two such cells cannot have is refused where it was typed', () => {
    expect(() => chargeOf(pack, 24)).toThrow('series');
    // Over full is no figure: it stays unread, and holds.
    expect(() => chargeOf(pack, 8.8)).toThrow(/^over full: overcharged/);
  });
  it.each([
    ['pry', 'pry rear glass', 'pry'],
    ['lift', 'lift lid with a spudger', 'pry'],
    ['warm', 'warm the edge', 'heat'],
    ['peel', 'peel tape W4', undefined],
    ['undo', '4 x M3x8 PH1 heater cover > cup 1', undefined],
    ['undo', '2 x M3x8 PH1 heat sink > cup 1', undefined],
    ['lift', 'lift heat-shield > shelf', undefined],
    ['lift', 'lift release lever > shelf', undefined],
    ['lift', 'lift glass with a card', 'pry'],
    ['heat', 'heat the lower edge', 'heat'],
  ])('%s, %s: %s', (verb, text, work) => {
    expect(workOf(verb, text)).toBe(work);
  });
});

describe('which lead first', () => {
  const states = firstHazards(photoPrinter.hazards);
  const open = ['rear cover', 'shield plate'];
  it('a pack by itself goes before any other connector, once it is in reach', () => {
    expect(firstLeadOf(photoPrinter)).toBe('battery first');
    expect(partFirst(photoPrinter, { rule: 'battery first', states, off: [], open }, 'W3')?.plug).toBe('W6');
    expect(partFirst(photoPrinter, { rule: 'battery first', states, off: [], open }, 'W6')).toBeNull();
    expect(
      partFirst(photoPrinter, { rule: 'battery first', states, off: [], open: ['rear cover'] }, 'W3'),
    ).toBeNull();
    expect(partFirst(photoPrinter, { rule: 'battery first', states, off: ['w6'], open }, 'W3')).toBeNull();
    expect(partFirst(photoPrinter, { rule: null, states, off: [], open }, 'W3')).toBeNull();
  });
  it('a pack with a lead of its own in one bundle gives that lead first', () => {
    const map: UnitMap = {
      ...photoPrinter,
      plugs:
        photoPrinter.plugs?.map((p) => (p.id === 'W6' || p.id === 'W3' ? { ...p, bundle: 'pack' } : p)) ?? [],
    };
    expect(leadsOf(map, pack)).toEqual({ power: 'W6', signals: ['W3'] });
    expect(firstLeadOf(map)).toBe('signal before power');
    expect(partFirst(map, { rule: 'signal before power', states, off: [], open }, 'W6')?.plug).toBe('W3');
    expect(partFirst(map, { rule: 'signal before power', states, off: ['W3'], open }, 'W6')).toBeNull();
    expect(partFirst(map, { rule: 'signal before power', states, off: [], open }, 'W2')).toBeNull();
    expect(firstLeadOf({ ...map, firstLead: 'battery first' })).toBe('battery first');
  });
  it('nothing is asked of a unit without a pack', () => {
    expect(firstLeadOf({ ...photoPrinter, hazards: [] })).toBeNull();
  });
});
