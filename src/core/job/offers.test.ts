import { describe, expect, it } from 'vitest';

import { offerFits, partWanted } from '.';
import { bench, kiosk } from './bench.test.fixture';

const unit = kiosk(
  [
    { id: 'A2', name: 'plug-in board', kind: 'board' },
    { id: 'B1', name: 'keep-alive cell', kind: 'battery', leads: ['red'], cells: 1 },
    { id: 'W1', name: 'ribbon 26-way', kind: 'cable' },
  ],
  { hazards: ['cell pack'] },
);
const wanted = (element: string, part: string, model?: string) =>
  partWanted(bench({ ...unit, ...(model ? { model } : {}) }).state(), element, part);

describe('what a catalogue is asked, and which of its offers can be for this part', () => {
  it('the letter of its place is not asked for: A2 is another thing in another unit', () => {
    expect(wanted('A2', 'A2 plug-in board').words).toBe('plug-in board');
    expect(wanted('A2', 'A2 plug-in board', 'KV-7').words).toBe('plug-in board KV-7');
  });
  it('a pack of another voltage is not offered for a cell, from both sides of its span', () => {
    const cell = wanted('B1', 'B1 keep-alive cell');
    expect(cell.volts?.from).toBeGreaterThan(2);
    expect(cell.volts?.to).toBeLessThan(4.5);
    expect(offerFits('cell 3.7 V', cell)).toBe(true);
    expect(offerFits('pack 7.2 V 2-way plug', cell)).toBe(false);
    expect(offerFits('button cell 1.5 V', cell)).toBe(false);
    expect(offerFits('cell with tags', cell)).toBe(true);
  });
  it('a part that says its own voltage goes by that', () => {
    const relay = wanted('A2', 'relay 48 V');
    expect(offerFits('relay 48 V, 30 A', relay)).toBe(true);
    expect(offerFits('relay 24 V, 30 A', relay)).toBe(false);
  });
  it('a board marked for another model, or a lead with other contacts, is none of this unit', () => {
    expect(offerFits('control board PB-3, issue C', wanted('A2', 'A2 plug-in board'))).toBe(false);
    expect(offerFits('control board PB-3, issue C', wanted('A2', 'A2 control board', 'PB-3'))).toBe(true);
    expect(offerFits('lead RJ45, 2 m', wanted('W1', 'W1 network lead'))).toBe(true);
    expect(offerFits('converter RS-485', wanted('A2', 'A2 plug-in board'))).toBe(true);
    expect(offerFits('ribbon 10-way 120 mm', wanted('W1', 'W1 ribbon 26-way'))).toBe(false);
    expect(offerFits('ribbon 26-way 400 mm', wanted('W1', 'W1 ribbon 26-way'))).toBe(true);
  });
});
