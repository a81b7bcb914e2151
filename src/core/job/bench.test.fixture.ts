import { readLine } from '../ledger';
import { type Description, describeUnit, type UnitMap } from '../unit';
import { type BenchEvent, fold, type JobEvent, type JobRecord, judge, namesOf } from '.';

type Told = BenchEvent extends infer E ? (E extends BenchEvent ? Omit<E, 'id' | 'at' | 'by'> : never) : never;

/** A job told line by line, as at a bench: every entry is judged, and the clock moves on. */
export function bench(map: UnitMap, by = 'Ines') {
  let n = 0;
  let time = Date.parse('2026-11-26T09:00:00Z');
  const stamp = (minutes: number) => {
    time += minutes * 60_000;
    return {
      id: `01M2JS9ZC08V33PPE0SBJH${String(1000 + n++)}`,
      at: new Date(time).toISOString(),
      by,
    };
  };
  let record: JobRecord = fold([
    { ...stamp(0), type: 'job.opened', job: '01M2JS9ZC08V33PPE0SBJHWRA6', tag: 'T-1', map },
  ]);
  const tell = (e: Told, minutes = 1) => {
    record = judge(record, { ...stamp(minutes), ...e } as JobEvent);
  };
  const line = (text: string, minutes = 1, move?: string) => {
    const moves = readLine(text, { kind: 'shelf' }, namesOf(record.state)).moves;
    moves.forEach((said, k) => {
      tell({ type: 'move.recorded', ...said, ...(move && k === moves.length - 1 ? { move } : {}) }, minutes);
    });
  };
  /** the thing of the tray by its name, or by where its screws came from */
  const item = (name: string): string => {
    const found = record.state.ledger.items.findLast(
      (i) => (i.kind === 'fastener' ? i.from === name : i.name === name) && !i.fresh,
    );
    if (!found) throw new Error(`${name} is not in the tray`);
    return found.id;
  };
  const screws = (from: string): string => {
    const found = record.state.ledger.items.findLast((i) => i.kind === 'fastener' && i.from === from);
    if (!found) throw new Error(`no screws of ${from}`);
    return found.id;
  };
  /** its first function fails; what else was said of it, where that matters */
  const takenIn = (more: Partial<Extract<Told, { type: 'intake.recorded' }>> = {}) => {
    const fn = map.functions[0]?.id ?? '';
    tell({ type: 'intake.recorded', function: fn, symptom: 'silent', pattern: 'always', keep: [], ...more });
  };
  const planned = (element: string, remedy = 'replace') => {
    takenIn();
    tell({ type: 'plan.chosen', element, remedy, why: 'looked at' });
  };
  return {
    tell,
    line,
    item,
    screws,
    takenIn,
    planned,
    state: () => record.state,
    events: () => record.events,
    record: () => record,
  };
}

/** A unit described in a minute, with what a test wants of it. */
export const kiosk = (rows: Description['rows'], more: Partial<Description> = {}): UnitMap =>
  describeUnit({
    name: 'Pier kiosk',
    maker: '',
    model: '',
    does: 'prints a ticket',
    cover: 'door',
    coverMinutes: 3,
    hazards: [],
    rows,
    ...more,
  });
