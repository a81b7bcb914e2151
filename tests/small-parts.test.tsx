import { afterEach, describe, expect, it, vi } from 'vitest';
import {
  CHEMISTRY_ROWS,
  type ChemistryClass,
  CLASS_ROWS,
  rowOfClass,
  sameChargeVolts,
} from '../src/core/chemistry';
import { type FitVerdict, worstOf } from '../src/core/fit';
import { Type } from '../src/core/schema/words';
import { SUMS, sumsOver } from '../src/core/sums';
import { bandOf, CELL_WHATS } from '../src/core/sums/cells/kinds';
import { photoPrinter } from '../src/demo/units/photo-printer';
import { CSV, file, fileName } from '../src/server/answer';
import { plugLabels } from '../src/server/plug-labels';
import { runsOf } from '../src/server/print-fonts';
import { tagOf } from '../src/server/read-job';
import { kept } from '../src/ui/kept';

describe('the row of a class of chemistry', () => {
  const classes = Object.keys(CLASS_ROWS) as ChemistryClass[];
  it.each(classes)('%s does not depend on the order of the rows', (name) => {
    const row = rowOfClass(CHEMISTRY_ROWS, name);
    expect(row?.chemistry).toBe(CLASS_ROWS[name]);
    expect(rowOfClass([...CHEMISTRY_ROWS].reverse(), name)).toBe(row);
  });
  it('is the first by name where the usual one was taken away, and none where there is none', () => {
    const rows = CHEMISTRY_ROWS.filter((r) => r.chemistry !== 'AGM 12 V');
    expect(rowOfClass(rows, 'lead-acid')?.chemistry).toBe('lead-acid 12 V');
    expect(rowOfClass([], 'NiMH')).toBeUndefined();
    expect(rowOfClass(CHEMISTRY_ROWS, undefined)).toBeUndefined();
  });
  it.each([
    [4.2, 4.2, true],
    [4.2, 4.22, true],
    [4.2, 4.225, false],
    [4.35, 4.4, false],
    [4.2, 4.35, false],
  ])('%s V and %s V are of one charge class: %s', (a, b, same) => {
    expect(sameChargeVolts(a, b)).toBe(same);
    expect(sameChargeVolts(b, a)).toBe(same);
  });
});

describe('what a volume can hold', () => {
  it('is said by the chemistry rows, those in force where somebody changed them', () => {
    const row = rowOfClass(CHEMISTRY_ROWS, 'LFP');
    expect(bandOf('LFP', 100)).toMatchObject({
      typical: [row?.usualFrom, row?.usualTo],
      ceiling: row?.credibleTo,
    });
    const rows = CHEMISTRY_ROWS.map((r) => (r.class === 'LFP' ? { ...r, credibleTo: 999 } : r));
    expect(bandOf('LFP', 100, rows).ceiling).toBe(999);
    expect(bandOf('li-ion pouch', 4.9).ceiling).toBe(800);
    expect(bandOf('li-ion pouch', 5).ceiling).toBe(950);
    expect(bandOf('18650', 16).ceiling).toBe(800);
    expect(() => bandOf('zinc', 1)).toThrow('is none of');
    expect(CELL_WHATS).toHaveLength(7);
  });
  it('the sums over the rows in force are the same sums', () => {
    expect(sumsOver()).toBe(SUMS);
    expect(sumsOver(CHEMISTRY_ROWS).map((s) => s.name)).toEqual(SUMS.map((s) => s.name));
    const rows = CHEMISTRY_ROWS.map((r) =>
      r.class === 'LFP' ? { ...r, credibleTo: 2000, usualTo: 1500 } : r,
    );
    const sum = sumsOver(rows).find((s) => s.name === 'cell-density');
    const given = { what: 'LFP', volts: 3.2, ampHours: 10, volumeMl: 30 };
    expect(sum?.compute(given).values.verdict).toBe('credible');
    expect(SUMS.find((s) => s.name === 'cell-density')?.compute(given).values.verdict).toBe('not credible');
  });
});

describe('the worst line decides', () => {
  const line = (verdict: FitVerdict, mustKnow = false) => ({ verdict, mustKnow });
  it.each<[ReturnType<typeof line>[], FitVerdict]>([
    [[], 'pass'],
    [[line('pass'), line('warn')], 'warn'],
    [[line('warn'), line('fits after work')], 'fits after work'],
    [[line('pass'), line('not known')], 'pass'],
    [[line('pass'), line('not known', true)], 'not known'],
    [[line('not known', true), line('fail')], 'fail'],
  ])('%#', (lines, verdict) => {
    expect(worstOf(lines)).toBe(verdict);
    expect(worstOf([...lines].reverse())).toBe(verdict);
  });
});

describe('files that leave', () => {
  it('have names that every system takes', () => {
    expect(fileName('SP-109')).toBe('SP-109');
    expect(fileName('Żuraw №7 / left')).toBe('_uraw_7_left');
    expect(fileName('../../etc')).toBe('.._.._etc');
  });
  it('say what they are, and are not kept by anybody between', async () => {
    const r = file('a,b', CSV, 'x.csv');
    expect(Object.fromEntries(r.headers)).toEqual({
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': 'attachment; filename="x.csv"',
      'cache-control': 'no-store',
    });
    expect(await r.text()).toBe('a,b');
    expect(file('x', CSV, 'x.csv', 'inline').headers.get('content-disposition')).toMatch(/^inline/);
  });
  it('a job without its opening has no tag of its own', () => {
    expect(tagOf([])).toBe('job');
  });
});

describe('texts for print', () => {
  it('are set in the first font that has the sign', () => {
    const { runs, lacking } = runsOf('Ćma μ Ж', '400');
    expect(runs.map((r) => r.text).join('')).toBe('Ćma μ Ж');
    expect(runs.map((r) => r.font.name.split(' ')[0])).toContain('greek');
    expect(runs.map((r) => r.font.name.split(' ')[0])).toContain('cyrillic');
    expect(lacking).toEqual([]);
  });
  it('a sign of no font is numbered and named, a hard space is a space', () => {
    const { runs, lacking } = runsOf('5\u00a0V 箱', '700');
    expect(runs.map((r) => r.text).join('')).toBe('5 V [U+7BB1]');
    expect(lacking).toEqual(['箱']);
  });
  it('plugs that can be taken for each other are labelled with where they go', () => {
    const labels = plugLabels({ id: 'u1', map: photoPrinter }, 'http://x');
    expect(labels.length).toBeGreaterThan(0);
    for (const l of labels) {
      expect(l.lines[0]).toMatch(/^goes to J\d/);
      expect(l.link).toBe(`http://x/units/u1/plugs#${l.head}`);
    }
  });
});

describe('what the browser keeps', () => {
  afterEach(() => vi.unstubAllGlobals());
  const store = (fails = false) => {
    const at = new Map<string, string>();
    const guard = <T,>(work: () => T) => {
      if (fails) throw new Error('full');
      return work();
    };
    vi.stubGlobal('localStorage', {
      getItem: (k: string) => guard(() => at.get(k) ?? null),
      setItem: (k: string, v: string) => guard(() => void at.set(k, v)),
      removeItem: (k: string) => guard(() => void at.delete(k)),
    });
    return at;
  };
  it('is written, read and dropped as it is', () => {
    store();
    expect(kept.read('a')).toBeNull();
    kept.write('a', { volts: '7,2', list: [1] });
    expect(kept.read('a')).toEqual({ volts: '7,2', list: [1] });
    kept.drop('a');
    expect(kept.read('a')).toBeNull();
  });
  it('what cannot be read is begun anew', () => {
    store().set('a', '{broken');
    expect(kept.read('a')).toBeNull();
  });
  it('a browser that keeps nothing, or none at all, does no harm', () => {
    store(true);
    expect(kept.read('a')).toBeNull();
    expect(() => kept.write('a', 1)).not.toThrow();
    expect(() => kept.drop('a')).not.toThrow();
    vi.unstubAllGlobals();
    expect(kept.read('a')).toBeNull();
  });
});

describe('schemas that cannot be fooled', () => {
  it('are written with the builders that reach the browser, and stay plain JSON Schema', () => {
    const schema = Type.Object({ a: Type.Optional(Type.Number()), b: Type.Array(Type.String()) });
    expect(JSON.parse(JSON.stringify(schema))).toEqual({
      type: 'object',
      properties: {
        a: { type: 'number', minimum: -1e15, maximum: 1e15 },
        b: { type: 'array', items: { type: 'string' } },
      },
      required: ['b'],
    });
  });
});
