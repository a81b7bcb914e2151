import { createServer, type Server, type Socket } from 'node:net';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { fold, type JobEvent, judge, traceRequest, traceView } from '../src/core/job';
import { deriveChecks } from '../src/core/unit';
import { hearingLoop } from '../src/demo/units/hearing-loop';
import { addressOf } from '../src/server/line';
import { functionFor, readingOf } from '../src/server/meter/functions';
import { readMeter, whoIs } from '../src/server/meter/meter';
import { Problem } from '../src/server/problem';
import { MOODS, standInMeter } from '../src/standins/meter/meter';

const MODEL = 'Quayle & Finch HL-40';
/** A die that falls the same way every time. */
const die = (seed: number) => () => {
  seed = (seed * 1103515245 + 12345) % 2147483648;
  return seed / 2147483648;
};
const problem = async (p: Promise<unknown>): Promise<Problem> => {
  const error = await p.then(
    () => null,
    (e: unknown) => e,
  );
  if (error instanceof Problem) return error;
  throw new Error(`expected a problem, got ${String(error)}`);
};

let meter: Awaited<ReturnType<typeof standInMeter>>;
const start = async (more: Partial<Parameters<typeof standInMeter>[0]> = {}) => {
  meter = await standInMeter({ units: [hearingLoop], hidden: [], random: die(7), ...more });
  return meter.address;
};
afterEach(async () => {
  await meter?.close();
});

describe('the meter link', () => {
  it('reads a point near its nominal while nothing is wrong before it', async () => {
    const address = await start();
    const r = await readMeter(address, { unit: 'V', ac: true, probe: { model: MODEL, tap: 'TP2' } });
    expect(r.reading).toBeGreaterThan(0.675);
    expect(r.reading).toBeLessThan(0.875);
    expect(r.meter).toContain('stand-in');
    expect(await whoIs(address)).toBe(r.meter);
  });

  it('a hidden fault shows after it and not before it', async () => {
    const address = await start({ hidden: [{ model: MODEL, element: 'W7', q: 1 }] });
    const at = async (tap: string) =>
      (await readMeter(address, { unit: 'V', ac: true, probe: { model: MODEL, tap } })).reading;
    expect(await at('TP2')).toBeGreaterThan(0.6);
    expect(await at('TP5')).toBeLessThan(0.2);
    expect(await at('TP6')).toBeGreaterThan(0.6);
  });

  it.each([
    ['silent', 504, 'did not answer READ?'],
    ['nonsense', 502, 'where a number should be'],
    ['drops', 502, 'hung up before it answered READ?'],
    ['over', 422, 'over range'],
  ] as const)('a meter that is %s is said so', async (mood, status, words) => {
    const address = await start({ mood });
    const p = await problem(readMeter(address, { unit: 'V' }, 200));
    expect(p.status).toBe(status);
    expect(p.detail).toContain(words);
    expect(MOODS).toContain(mood);
  });

  it('nothing there, no address, no such function', async () => {
    const address = await start();
    await meter.close();
    expect((await problem(readMeter(address, { unit: 'V' }, 500))).status).toBe(502);
    expect(() => addressOf('meter')).toThrow(Problem);
    expect(() => addressOf('meter:99999')).toThrow(Problem);
    expect(addressOf('[::1]:5025')).toEqual({ host: '::1', port: 5025 });
    expect(() => functionFor('lx')).toThrow(Problem);
  });

  it('answers are turned into the unit of the point', () => {
    expect(readingOf('+8.0E-03', functionFor('mA'), 'mA')).toBeCloseTo(8, 9);
    expect(readingOf('7.746E-01', functionFor('dBu'), 'dBu')).toBeCloseTo(0, 3);
    expect(functionFor('V', true).scpi).toBe('VOLT:AC');
    expect(functionFor('kΩ').scpi).toBe('RES');
  });
});

describe('another thing that listens', () => {
  let server: Server;
  const open = new Set<Socket>();
  let port = 0;
  beforeEach(async () => {
    server = createServer((s) => {
      open.add(s);
      s.on('error', () => {});
      s.on('data', () => s.write('HTTP/1.1 400 Bad Request\r\n'));
    });
    await new Promise<void>((ok) => server.listen(0, '127.0.0.1', ok));
    port = (server.address() as { port: number }).port;
  });
  afterEach(async () => {
    for (const s of open) s.destroy();
    await new Promise((ok) => server.close(ok));
  });
  it('is not taken for a meter', async () => {
    const p = await problem(readMeter(`127.0.0.1:${port}`, { unit: 'V' }, 500));
    expect(p.detail).toContain('is no bench meter');
  });
});

describe('a demo fault', () => {
  it('is really traced by measuring', async () => {
    const address = await start({ hidden: [{ model: MODEL, element: 'W7', q: 1 }] });
    let n = 0;
    const stamp = () => ({
      id: `01M2JS9ZC08V33PPE0SBJHW${String(100 + n++)}`,
      at: new Date(1e12 + n).toISOString(),
      by: 'Ines',
    });
    let record = fold([
      { ...stamp(), type: 'job.opened', job: '01M2JS9ZC08V33PPE0SBJHWRA6', tag: 'T-1', map: hearingLoop },
    ]);
    const tell = (e: object) => {
      record = judge(record, { ...stamp(), ...e } as JobEvent);
    };
    tell({
      type: 'intake.recorded',
      function: 'left',
      symptom: 'silent on the left',
      pattern: 'always',
      keep: [],
    });
    tell({
      type: 'move.recorded',
      verb: 'lift',
      text: 'lift hatch',
      item: { kind: 'part', name: 'service hatch', count: 1, place: { kind: 'shelf' } },
    });
    const measured = new Set<string>();
    for (let guard = 0; guard < 8 && !traceView(record.state).enough; guard++) {
      const next = traceView(record.state).next.find(
        (s) => s.check?.how === 'measure' && !measured.has(s.id) && !s.check.trace.needs?.includes('lid'),
      );
      const check = deriveChecks(record.state.map).find((c) => c.id === next?.id);
      if (!check?.tap?.expect) break;
      measured.add(check.id);
      const { reading } = await readMeter(address, {
        unit: check.tap.expect.unit,
        ...(check.tap.ac ? { ac: true } : {}),
        probe: { model: MODEL, tap: check.tap.id },
      });
      tell({ type: 'check.recorded', check: check.id, reading, source: 'meter' });
    }
    expect(traceView(record.state).suspects[0]?.id).toBe('W7');
    expect(traceRequest(record.state).log?.length).toBeGreaterThan(1);
  });
});
