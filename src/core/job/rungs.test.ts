import { describe, expect, it } from 'vitest';
import type { Description } from '../unit';
import { onlyNew, remedyOptions, rungsOf, traceRequest } from '.';
import { bench, kiosk } from './bench.test.fixture';

const rows: Description['rows'] = [
  { id: 'A1', name: 'input board', kind: 'board' },
  { id: 'W1', name: 'grey ribbon', kind: 'cable' },
  { id: 'W2', name: 'lamp lead', kind: 'cable' },
];
const kinds = (b: ReturnType<typeof bench>, id: string) =>
  remedyOptions(b.state(), id, 0.5).map((o) => o.remedy.kind);
const asked = (b: ReturnType<typeof bench>, id: string) =>
  traceRequest(b.state())
    .elements.find((e) => e.id === id)
    ?.remedies?.map((r) => r.id);
const measured = (b: ReturnType<typeof bench>, outcome: 'ok' | 'bad') =>
  b.tell({ type: 'check.recorded', check: 'continuity:W1', outcome, source: 'meter' });

describe('a lead with an open core', () => {
  it('is only mended by a new one, in the plan and in what is advised, and no other lead is', () => {
    const b = bench(kiosk(rows));
    b.takenIn();
    b.line('lift door');
    expect(kinds(b, 'W1')).toEqual(['reseat', 'clean', 'replace']);
    expect(onlyNew(b.state(), 'W1')).toBeNull();
    measured(b, 'bad');
    expect(kinds(b, 'W1')).toEqual(['replace']);
    expect(asked(b, 'W1')).toEqual(['replace']);
    expect(onlyNew(b.state(), 'W1')).toMatch(/core/);
    expect(kinds(b, 'W2')).toEqual(['reseat', 'clean', 'replace']);
    expect(asked(b, 'W2')).toEqual(['reseat', 'clean', 'replace']);
  });
  it('is one whose cores pass once they were measured again', () => {
    const b = bench(kiosk(rows));
    b.takenIn();
    b.line('lift door');
    measured(b, 'bad');
    measured(b, 'ok');
    expect(kinds(b, 'W1')).toEqual(['reseat', 'clean', 'replace']);
  });
  it('keeps what was tried before it was measured: the log speaks of it', () => {
    const b = bench(kiosk(rows));
    b.takenIn();
    b.line('lift door');
    measured(b, 'bad');
    const state = b.state();
    const tried = {
      id: '01M2JS9ZC08V33PPE0SBJHWRA7',
      at: state.openedAt,
      by: 'Ines',
      tried: { element: 'W1', remedy: 'reseat' },
    };
    expect(
      traceRequest({ ...state, trace: [...state.trace, tried] }).elements.find((e) => e.id === 'W1')
        ?.remedies,
    ).toMatchObject([{ id: 'reseat' }, { id: 'replace' }]);
  });
  it('keeps its ladder where no new one is on it', () => {
    const b = bench(kiosk(rows));
    b.takenIn();
    b.line('lift door');
    measured(b, 'bad');
    const w1 = b.state().map.elements.find((e) => e.id === 'W1');
    if (!w1) throw new Error('no lead');
    const old = { ...w1, remedies: w1.remedies.filter((r) => r.kind !== 'replace') };
    expect(rungsOf(b.state(), old)).toEqual(old.remedies);
  });
});
