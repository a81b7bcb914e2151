import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Refusal } from '../refusal';
import { answerSum, SUMS, type Sum, sensitivityOf, type Value } from '.';
import { decade, nearestOf, SERIES } from './electric/e-series';

const sum = (name: string): Sum => {
  const s = SUMS.find((x) => x.name === name);
  if (!s) throw new Error(`no sum ${name}`);
  return s;
};
const ask = (name: string, given: Record<string, Value>) =>
  answerSum(sum(name), given) as Record<string, Value>;
const why = (name: string, given: Record<string, Value>): { message: string; path: string } => {
  try {
    ask(name, given);
  } catch (error) {
    if (error instanceof Refusal) return error;
    throw error;
  }
  throw new Error('it was answered');
};

describe('every sum', () => {
  it.each(SUMS.map((s) => [s.name, s] as const))('%s gives the answer of its example', (_n, s) => {
    const answer = answerSum(s, s.example.given) as Record<string, Value>;
    for (const [k, v] of Object.entries(s.example.answer)) {
      if (typeof v === 'number') expect(answer[k], k).toBeCloseTo(v, 8);
      else expect(answer[k], k).toEqual(v);
    }
    expect(answer.formula).not.toMatch(/NaN|Infinity|undefined/);
    expect(String(answer.source).length).toBeGreaterThan(5);
    const outputs = new Set(s.outputs.map((o) => o.name));
    for (const k of Object.keys(answer))
      expect(outputs.has(k) || ['formula', 'source', 'say', 'caution'].includes(k), k).toBe(true);
  });

  it('names are those of the interface, each once', () => {
    expect(new Set(SUMS.map((s) => s.name)).size).toBe(SUMS.length);
    for (const s of SUMS) expect(s.name).toMatch(/^[a-z]+(-[a-z]+)*$/);
  });

  it('never answers NaN or Infinity: bad figures are refused', () => {
    const figure = fc.oneof(
      fc.double(),
      fc.constantFrom(0, -1, 1e-300, 1e300, Number.NaN, Number.POSITIVE_INFINITY),
    );
    for (const s of SUMS) {
      const inputs = fc.record(
        Object.fromEntries(
          s.inputs.map((i) => [
            i.name,
            i.kind === 'number'
              ? figure
              : i.kind === 'numbers'
                ? fc.array(figure, { maxLength: 5 })
                : fc.constantFrom(...(i.options ?? ['BN', 'x']), ''),
          ]),
        ),
        { requiredKeys: [] },
      );
      fc.assert(
        fc.property(inputs, (given) => {
          let answer: Record<string, Value>;
          try {
            answer = answerSum(s, given as Record<string, Value>) as Record<string, Value>;
          } catch (error) {
            if (error instanceof Refusal) return;
            throw error;
          }
          for (const v of Object.values(answer))
            if (typeof v === 'number') expect(Number.isFinite(v)).toBe(true);
          expect(answer.formula).not.toMatch(/NaN|Infinity/);
        }),
        { numRuns: 60 },
      );
    }
  });
});

describe('fasteners', () => {
  // ISO 898-1 and ISO 724, table of nominal stress areas (from memory).
  it.each([
    ['M2', 2.07],
    ['M2.5', 3.39],
    ['M3', 5.03],
    ['M4', 8.78],
    ['M5', 14.2],
    ['M6', 20.1],
    ['M8', 36.6],
    ['M10', 58],
    ['M12', 84.3],
  ])('%s has %d mm²', (thread, area) => {
    expect(ask('stress-area', { thread }).areaMm2).toBe(area);
  });
  it('M3 of class 8.8 into steel is about 1.3 N·m, and plastic has no figure of its own', () => {
    expect(ask('torque', { thread: 'M3', propertyClass: '8.8', K: 0.2 }).torqueNm).toBeCloseTo(1.313, 3);
    const plastic = ask('torque', { thread: 'M3', propertyClass: '8.8', into: 'plastic' });
    expect(plastic.torqueNm).toBeNull();
    expect(plastic.say).toContain('stop at first resistance');
    expect(ask('torque', { thread: 'M3', into: 'plastic', makerFigure: 0.5 }).torqueNm).toBe(0.5);
    expect(why('torque', { thread: 'M7', propertyClass: '8.8' }).path).toBe('/thread');
  });
});

describe('wire and ends', () => {
  // ASTM B258 table: diameters in mm (from memory).
  it.each([
    [0, 8.251],
    [10, 2.588],
    [16, 1.291],
    [20, 0.8118],
    [24, 0.5106],
    [30, 0.2546],
    [36, 0.127],
  ])('%i AWG is %d mm', (awg, mm) => {
    expect(ask('wire', { awg }).diameterMm).toBeCloseTo(mm, 3);
  });
  it('2/0 is written as it is said', () => {
    expect(ask('wire', { awg: '2/0' }).diameterMm).toBeCloseTo(9.266, 3);
    expect(why('wire', { awg: 'thin' }).path).toBe('/awg');
    expect(why('wire', {}).path).toBe('/awg');
    expect(why('wire', { awg: 16, areaMm2: 1 }).path).toBe('/areaMm2');
  });
  it('IEC 60228: 1 mm² of copper is near 18.1 Ω/km at most, 1.5 near 12.1, 2.5 near 7.41', () => {
    for (const [areaMm2, most] of [
      [1, 18.1],
      [1.5, 12.1],
      [2.5, 7.41],
    ] as const) {
      const r = ask('wire', { areaMm2 }).ohmPerKm as number;
      expect(r).toBeLessThan(most);
      expect(r).toBeGreaterThan(most * 0.93);
    }
  });
  it('warm copper has more: 39.3 % at 120 °C', () => {
    const cold = ask('wire', { awg: 20 }).ohmPerKm as number;
    expect((ask('wire', { awg: 20, celsius: 120 }).ohmPerKm as number) / cold).toBeCloseTo(1.393, 9);
  });
  it('ferrules: 16 AWG takes 1.5 mm², 20 AWG 0.5 (common practice), two of 0.75 their own grey twin', () => {
    expect(ask('ferrule-awg', { awg: 16 }).nominalMm2).toBe(1.5);
    expect(ask('ferrule-awg', { awg: 20 }).nominalMm2).toBe(0.5);
    expect(ask('ferrule', { areaMm2: 1.31 }).nominalMm2).toBe(1.5);
    // Twin colours, DIN 46228-4, from memory; the tube is sized by the sum of both.
    expect(ask('ferrule-twin', { areaMm2: 0.75 })).toMatchObject({
      nominalMm2: 0.75,
      colour: 'grey',
      tubeMm2: 1.5,
    });
    expect(ask('ferrule-twin', { areaMm2: 2.5 })).toMatchObject({ colour: 'blue', tubeMm2: 5 });
    expect(ask('ferrule-twin', { areaMm2: 1.05 }).nominalMm2).toBe(1);
    expect(ask('ferrule-twin', { areaMm2: 1.06 }).nominalMm2).toBe(1.5);
    expect(why('ferrule-twin', { areaMm2: 17 }).message).toContain('over the largest ferrule, 16 mm²');
    expect(ask('ferrule', { areaMm2: 0.5 }).colour).toBe('white');
    expect(why('ferrule', { areaMm2: 70 }).message).toContain('over the largest ferrule');
  });
  it('IEC 60757 letters and the ten digits of IEC 60062', () => {
    const ten = ['BK', 'BN', 'RD', 'OG', 'YE', 'GN', 'BU', 'VT', 'GY', 'WH'];
    ten.forEach((letters, digit) => {
      expect(ask('colour-code', { letters }).digit).toBe(digit);
    });
    expect(ask('colour-code', { letters: 'gnye' }).caution).toContain('protective');
    expect(why('colour-code', { letters: 'XX' }).path).toBe('/letters');
  });
  it('10 MΩ of wire is no wire', () => {
    expect(
      why('wire-drop', { areaMm2: 1e-9, oneWayMetres: 100, amps: 1, supplyVolts: 24 }).message,
    ).toContain('more than');
  });
});

describe('batteries', () => {
  it('three of 12 V 17 Ah in parallel are 51 Ah (common practice)', () => {
    expect(ask('pack', { series: 1, parallel: 3, cellVolts: 12, cellAmpHours: 17 }).ampHours).toBe(51);
    expect(why('pack', { series: 1.5, parallel: 1, cellVolts: 1, cellAmpHours: 1 }).path).toBe('/series');
  });
  it('Peukert, worked example: 100 Ah at 20 h, 10 A, k 1.2 gives 8.7 h', () => {
    // By hand: 20 · (100/(10·20))^1.2 = 20 · 0.5^1.2 = 8.7055.
    expect(ask('runtime-peukert', { ampHours: 100, ratedHours: 20, amps: 10, k: 1.2 }).hours).toBeCloseTo(
      8.7055,
      4,
    );
    expect(ask('runtime-peukert', { ampHours: 100, ratedHours: 20, amps: 5, k: 1.2 }).hours).toBeCloseTo(
      20,
      9,
    );
  });
  it('claims beyond what a volume holds are not credible', () => {
    const v = (what: string, volts: number, ampHours: number, volumeMl?: number) =>
      ask('cell-density', { what, volts, ampHours, ...(volumeMl ? { volumeMl } : {}) }).verdict;
    expect(v('li-ion pouch', 3.7, 1.2, 4.2)).toBe('not credible');
    expect(v('li-ion pouch', 3.7, 0.5, 4.2)).toBe('credible');
    expect(v('li-ion pouch', 3.7, 0.75, 4.2)).toBe('above typical');
    expect(v('18650', 3.6, 9.9)).toBe('not credible');
    expect(v('18650', 3.6, 3.5)).toBe('credible');
    expect(v('21700', 3.6, 6)).toBe('not credible');
    expect(v('CR2032', 3, 0.22)).toBe('credible');
    expect(v('AGM', 12, 20, 2000)).toBe('above typical');
  });
  it('charge left falls with the voltage and never leaves 0 to 100', () => {
    for (const chemistry of ['lead-acid 12 V', 'AGM 12 V', 'li-ion cell', 'LFP cell', 'NiMH cell'])
      fc.assert(
        fc.property(
          fc.double({ min: 0.5, max: 0.97, noNaN: true }),
          fc.double({ min: 0, max: 0.03, noNaN: true }),
          (x, d) => {
            const top = {
              'lead-acid 12 V': 12.73,
              'AGM 12 V': 12.85,
              'li-ion cell': 4.2,
              'LFP cell': 3.5,
              'NiMH cell': 1.42,
            }[chemistry] as number;
            const p = ask('charge-left', { chemistry, restVolts: top * x }).percent as number;
            const q = ask('charge-left', { chemistry, restVolts: top * (x + d) }).percent as number;
            expect(p).toBeGreaterThanOrEqual(0);
            expect(q).toBeLessThanOrEqual(100);
            expect(q).toBeGreaterThanOrEqual(p);
          },
        ),
      );
    const flat = ask('charge-left', { chemistry: 'LFP cell', restVolts: 3.3 });
    expect((flat.percentHigh as number) - (flat.percentLow as number)).toBeGreaterThan(8);
    expect(ask('charge-left', { chemistry: 'li-ion cell', restVolts: 11.46, series: 3 }).percent).toBeCloseTo(
      50,
      6,
    );
    expect(why('charge-left', { chemistry: 'li-ion cell', restVolts: 12 }).message).toContain('in series');
  });
  it('the rest as named', () => {
    expect(ask('runtime-energy', { wattHours: 200, depth: 0.8, efficiency: 0.9, watts: 40 }).hours).toBe(3.6);
    expect(why('runtime-energy', { wattHours: 200, depth: 80, efficiency: 0.9, watts: 40 }).path).toBe(
      '/depth',
    );
    expect(
      ask('discharge-to', { volts: 3.7, ampHours: 2, fromPercent: 75, toPercent: 25, amps: 0.5 }).hours,
    ).toBe(2);
    expect(
      why('discharge-to', { volts: 3.7, ampHours: 2, fromPercent: 20, toPercent: 25, amps: 1 }).path,
    ).toBe('/toPercent');
    expect(why('internal-resistance', { volts0: 12, amps0: 1, volts1: 11, amps1: 1 }).path).toBe('/amps1');
    expect(ask('cell-spread', { cells: [3.9, 3.95] })).toMatchObject({ spreadMv: 50, warn: false });
    expect(ask('transport', { cellVolts: 3.7, cellAmpHours: 6 }).overCellThreshold).toBe(true);
    expect(ask('transport', { packVolts: 25.9, packAmpHours: 3.8 }).overPackThreshold).toBe(false);
  });
});

describe('electric', () => {
  it('RC discharge, text-book: one time constant leaves 36.8 %, five leave 0.67 %', () => {
    // Source: any text-book of electronics, v = V·e^(−t/RC).
    const one = ask('discharge', { ohms: 1000, farads: 1e-3, volts0: 100, volts1: 100 / Math.E });
    expect(one.seconds).toBeCloseTo(1, 9);
    const five = ask('discharge', { ohms: 1000, farads: 1e-3, volts0: 100, volts1: 100 * Math.exp(-5) });
    expect(five.seconds).toBeCloseTo(5, 9);
    expect(one.joules).toBe(5);
  });
  it('the resistor for a time is of the series and not slower than asked', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1e-6, max: 0.1, noNaN: true }),
        fc.double({ min: 60, max: 450, noNaN: true }),
        fc.double({ min: 0.1, max: 60, noNaN: true }),
        (farads, volts0, seconds) => {
          const a = ask('discharge', { farads, volts0, volts1: 5, seconds });
          expect(a.seconds as number).toBeLessThanOrEqual(seconds * (1 + 1e-9));
          expect(a.seconds as number).toBeGreaterThan(seconds * 0.85);
        },
      ),
    );
    expect(why('discharge', { ohms: 1, farads: 1, volts0: 5, volts1: 5 }).path).toBe('/volts1');
  });
  it('E-series of IEC 60063', () => {
    expect(decade('E12')).toEqual([1, 1.2, 1.5, 1.8, 2.2, 2.7, 3.3, 3.9, 4.7, 5.6, 6.8, 8.2]);
    expect(decade('E96').slice(0, 5)).toEqual([1, 1.02, 1.05, 1.07, 1.1]);
    expect(decade('E192')).toContain(9.2);
    for (const s of SERIES) expect(decade(s)).toHaveLength(Number(s.slice(1)));
    fc.assert(
      fc.property(fc.constantFrom(...SERIES), fc.double({ min: 1e-3, max: 1e7, noNaN: true }), (s, x) => {
        const n = nearestOf(s, x);
        const all = [-2, -1, 0, 1, 2].flatMap((d) =>
          decade(s).map((v) => v * 10 ** (Math.floor(Math.log10(x)) + d)),
        );
        const best = Math.min(...all.map((v) => Math.abs(Math.log(v / x))));
        expect(Math.abs(Math.log(n / x))).toBeCloseTo(best, 6);
      }),
    );
  });
  it('bands are read back as they are written', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 10, max: 99 }),
        fc.integer({ min: -2, max: 7 }),
        fc.constantFrom(1, 2, 5, 10),
        (n, power, tolerancePercent) => {
          const ohms = Number((n * 10 ** power).toPrecision(6));
          const { bands } = ask('resistor-bands', { ohms, tolerancePercent, bands: 4 });
          const back = ask('resistor-read', { bands: bands as string[] });
          expect(back.ohms).toBeCloseTo(ohms, 9);
          expect(back.tolerancePercent).toBe(tolerancePercent);
        },
      ),
    );
    expect(ask('resistor-read', { bands: ['black'] }).ohms).toBe(0);
    expect(ask('resistor-read', { bands: ['brown', 'black', 'black', 'red', 'brown', 'red'] })).toMatchObject(
      {
        ohms: 10_000,
        tolerancePercent: 1,
        ppmPerK: 50,
      },
    );
    expect(why('resistor-read', { bands: ['gold', 'red', 'red', 'red'] }).message).toContain(
      'read from the other end',
    );
    expect(why('resistor-bands', { ohms: 4750, tolerancePercent: 1, bands: 4 }).message).toContain(
      'more digits',
    );
  });
  it('IEC 60751 table: Pt100 at −200, −100, 0, 100, 200, 850 °C', () => {
    for (const [t, r] of [
      [-200, 18.52],
      [-100, 60.26],
      [0, 100],
      [100, 138.51],
      [200, 175.86],
      [850, 390.48],
    ] as const) {
      expect(ask('rtd', { ohms0: 100, celsius: t }).ohms).toBeCloseTo(r, 1);
      expect(
        ask('rtd', { ohms0: 100, ohms: ask('rtd', { ohms0: 100, celsius: t }).ohms as number }).celsius,
      ).toBeCloseTo(t, 6);
    }
    expect(why('rtd', { ohms0: 100, celsius: 900 }).path).toBe('/celsius');
  });
  it('a 100 kΩ B3950 thermistor: 25, 100 and 170 °C (tables of makers, from memory)', () => {
    const r = (celsius: number) => ask('ntc', { ohms25: 100_000, beta: 3950, celsius }).ohms as number;
    expect(r(25)).toBe(100_000);
    expect(r(100)).toBeGreaterThan(6200);
    expect(r(100)).toBeLessThan(7100);
    expect(ask('ntc', { ohms25: 100_000, beta: 3950, ohms: r(170) }).celsius).toBeCloseTo(170, 8);
    expect(
      ask('ntc-steinhart-hart', { A: 0.001129148, B: 0.000234125, C: 8.76741e-8, ohms: 10_000 }).celsius,
    ).toBeCloseTo(25, 3);
  });
  it('audio levels: 0 dBu is 0.7746 V, +4 dBu 1.2277 V, 0 dBV is 2.218 dBu', () => {
    expect(ask('audio-level', { dBu: 0 }).volts).toBeCloseTo(0.7746, 4);
    expect(ask('audio-level', { dBu: 4 }).volts).toBeCloseTo(1.2277, 4);
    expect(ask('audio-level', { volts: 1 }).dBu).toBeCloseTo(2.2185, 4);
    expect(ask('audio-level', { voltsIn: 1, voltsOut: 10 }).gainDb).toBe(20);
    expect(why('audio-level', { volts: 1, dBu: 0 }).path).toBe('/volts');
  });
  it('serial levels by TIA-232-F and the logic families', () => {
    const k = (idleVolts: number, activeVolts: number) => {
      const a = ask('serial-level', { idleVolts, activeVolts });
      return [a.kind, a.inverted];
    };
    expect(k(-9, 9)).toEqual(['RS-232', false]);
    expect(k(-5.4, 5.4)).toEqual(['RS-232', false]);
    expect(k(5, 0.1)).toEqual(['5 V logic', false]);
    expect(k(0, 5)).toEqual(['5 V logic', true]);
    expect(k(3.3, 0)).toEqual(['3.3 V logic', false]);
    expect(k(2, -2)).toEqual(['RS-485', false]);
    expect(k(0.1, 0.2)).toEqual(['not known', null]);
  });
  it('stepper drivers by their makers’ formulas, 0.70 to 0.80 V to start (common practice)', () => {
    expect(ask('stepper-current', { driver: '4988', vref: 0.8, senseOhms: 0.1 }).amps).toBeCloseTo(1, 9);
    expect(ask('stepper-current', { driver: '8825', vref: 0.5, senseOhms: 0.1 }).amps).toBeCloseTo(1, 9);
    const rms = ask('stepper-current', { driver: '2208', vref: 1.2, senseOhms: 0.11 });
    expect(rms.amps).toBeCloseTo((0.325 / 0.13 / Math.SQRT2) * (1.2 / 2.5), 9);
    expect(rms.meaning).toBe('r.m.s.');
  });
  it('Ohm’s law from any two of the four', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1e-3, max: 1e3, noNaN: true }),
        fc.double({ min: 1e-3, max: 1e3, noNaN: true }),
        (volts, amps) => {
          const all: Record<string, number> = { volts, amps, ohms: volts / amps, watts: volts * amps };
          const names = Object.keys(all);
          for (const a of names)
            for (const b of names) {
              if (a >= b) continue;
              const got = ask('ohms', { [a]: all[a] as number, [b]: all[b] as number });
              for (const n of names) expect((got[n] as number) / (all[n] as number)).toBeCloseTo(1, 8);
            }
        },
      ),
    );
    expect(why('ohms', { volts: 1 }).path).toBe('/amps');
    expect(why('ohms', { volts: 1, amps: 1, ohms: 1 }).path).toBe('/ohms');
  });
  it('fuses come in the steps of IEC 60127', () => {
    expect(ask('fuse', { amps: 1.1 })).toMatchObject({ above: 1.25, below: 1 });
    expect(ask('fuse', {}).steps).toContain(3.15);
  });
});

describe('sensitivity', () => {
  it('says which figure matters: 5 % on the resistor moves the time by 5 %', () => {
    const s = sensitivityOf(sum('discharge'), { ohms: 1000, farads: 1e-3, volts0: 100, volts1: 5 });
    const r = s.find((x) => x.input === 'ohms');
    expect(r?.output).toBe('seconds');
    expect(r?.higher).toBeCloseTo(5, 6);
    expect(r?.lower).toBeCloseTo(-5, 6);
    expect(sensitivityOf(sum('colour-code'), { letters: 'BN' })).toEqual([]);
  });
});

describe('figures that cannot be are said, from both sides of their border', () => {
  const says = (name: string, given: Record<string, Value>) => {
    const { say = '', caution = '' } = ask(name, given) as { say?: string; caution?: string };
    return `${say} ${caution}`;
  };
  it('a cell over full is overcharged and has no percentage; a full one has', () => {
    expect(ask('charge-left', { chemistry: 'li-ion cell', restVolts: 4.2 }).percent).toBe(100);
    const over = ask('charge-left', { chemistry: 'li-ion cell', restVolts: 4.4 });
    expect(over.percent).toBeNull();
    expect(over.say).toMatch(/overcharged.*Stop charging/);
  });
  it('another class of charge voltage fails whichever way', () => {
    const answer = (oldChargeV: number, newChargeV: number) =>
      ask('fit-voltage-class', { oldChargeV, newChargeV }).answer;
    expect([answer(4.35, 4.2), answer(4.2, 4.35), answer(4.2, 4.2), answer(4.4, 4.45)]).toEqual([
      'fail',
      'fail',
      'pass',
      'fail',
    ]);
  });
  it('a maker’s torque far from the screw’s own is asked about, and plastic asks no strength', () => {
    // M3 of class 8.8 dry into steel: about 1.3 N·m (core formula), so 60 is N·cm.
    expect(says('torque', { thread: 'M3', makerFigure: 60 })).toContain('Is the figure in N·cm');
    expect(says('torque', { thread: 'M3', makerFigure: 1.2 })).not.toContain('N·cm');
    expect(says('torque', { thread: 'M3', makerFigure: 6.5 })).not.toContain('N·cm');
    expect(says('torque', { thread: 'M3', makerFigure: 6.6 })).toContain('N·cm');
    expect(ask('torque', { thread: 'M3', into: 'plastic' }).torqueNm).toBeNull();
    expect(ask('torque', { thread: 'M3', into: 'plastic', makerFigure: 0.4 }).torqueNm).toBe(0.4);
  });
  it('a lead battery gives no more than it has below its rated current', () => {
    const hours = (amps: number) =>
      ask('runtime-peukert', { ampHours: 100, ratedHours: 20, amps, k: 1.2 }).hours as number;
    expect(hours(5)).toBeCloseTo(20, 9);
    expect(hours(2)).toBeCloseTo(50, 9);
    expect(hours(5.01)).toBeLessThan(20);
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 200, noNaN: true }), (amps) => {
        expect(hours(amps) * amps).toBeLessThanOrEqual(100 + 1e-6);
      }),
    );
  });
  it.each([
    ['cell-density', { what: 'li-ion pouch', volts: 3.7, ampHours: 1.4, volumeMl: 4.2 }, /No cell holds/],
    ['health', { measuredAh: 2100, ratedAh: 3 }, /cannot be: is one of the two in mAh/],
    ['health', { measuredAh: 3.4, ratedAh: 3 }, /More than rated/],
    ['cell-spread', { cells: [3.9, 3.9, 0.5] }, /dead or shorted/],
    ['stepper-current', { driver: '4988', vref: 2.5, senseOhms: 0.1 }, /more than a small driver/],
    [
      'discharge',
      { ohms: 1000, farads: 0.00047, volts0: 320, volts1: 80 },
      /over 60 V: it is still dangerous/,
    ],
    ['discharge', { ohms: 1, farads: 470, volts0: 12, volts1: 5 }, /is it in µF/],
    ['internal-resistance', { volts0: 12.6, amps0: 0, volts1: 12.6, amps1: 10 }, /did not fall/],
  ] as [string, Record<string, Value>, RegExp][])('%s %j', (name, given, words) => {
    expect(says(name, given)).toMatch(words);
  });
  it.each([
    ['cell-density', { what: 'li-ion pouch', volts: 3.7, ampHours: 0.5, volumeMl: 4.2 }, /No cell holds/],
    ['health', { measuredAh: 3.2, ratedAh: 3 }, /cannot be|More than rated/],
    ['cell-spread', { cells: [3.9, 3.9, 3.5] }, /dead/],
    ['stepper-current', { driver: '4988', vref: 0.8, senseOhms: 0.1 }, /more than a small driver/],
    ['discharge', { ohms: 1000, farads: 0.00047, volts0: 320, volts1: 60 }, /over 60 V/],
    ['internal-resistance', { volts0: 12.6, amps0: 0, volts1: 12.5, amps1: 10 }, /did not fall/],
  ] as [string, Record<string, Value>, RegExp][])('%s %j is not said', (name, given, words) => {
    expect(says(name, given)).not.toMatch(words);
  });
  it('a reversed cell is refused with what it is; transport judges cell and pack', () => {
    expect(why('cell-spread', { cells: [1.2, -0.4] }).message).toContain('reversed');
    expect(
      ask('transport', { cellVolts: 3.6, cellAmpHours: 6, packVolts: 36, packAmpHours: 2 }),
    ).toMatchObject({
      wattHours: 72,
      overCellThreshold: true,
      overPackThreshold: false,
    });
  });
});
