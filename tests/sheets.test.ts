import { describe, expect, it } from 'vitest';
import { Refusal } from '../src/core/refusal';
import { type UnitMap, validateMap } from '../src/core/unit';
import { DEMO_UNITS } from '../src/demo/jobs';
import { SHEETS } from '../src/features/units/editor/sheets/index';

const units = DEMO_UNITS.map(({ map }) => [map.name, map] as const);
const rows = (map: UnitMap, i: number) => Array.from({ length: i }, (_, k) => [map, k] as const);
const refused = (f: () => unknown): string => {
  try {
    f();
    return '';
  } catch (error) {
    if (error instanceof Refusal) return error.message;
    throw error;
  }
};

describe('tables of the map editor', () => {
  it.each(units)('%s: typing what stands in a cell changes nothing', (_n, map) => {
    for (const sheet of SHEETS)
      for (const [m, i] of rows(map, sheet.count(map)))
        for (const c of sheet.columns) {
          // Choosing a kind again brings the usual of that kind; everything else is as it was.
          if (c.head === 'Kind' || c.head === 'Home' || c.idle?.(m, i)) continue;
          const again = c.write(m, i, c.read(m, i));
          expect(JSON.parse(JSON.stringify(again)), `${sheet.title}, ${c.head}, row ${i + 1}`).toEqual(
            JSON.parse(JSON.stringify(m)),
          );
        }
  });

  it.each(units)('%s: a row added and taken away leaves the map as it was', (_n, map) => {
    for (const sheet of SHEETS) {
      const more = sheet.add(map);
      expect(sheet.count(more)).toBe(sheet.count(map) + 1);
      const back = sheet.remove(more, sheet.count(map));
      for (const s of SHEETS) expect(s.count(back), s.title).toBe(s.count(map));
      validateMap(back);
    }
  });

  it.each(units)('%s: taking any row away leaves nothing that speaks of it by mistake', (_n, map) => {
    for (const sheet of SHEETS)
      for (const [m, i] of rows(map, sheet.count(map))) {
        const less = sheet.remove(m, i);
        expect(sheet.count(less)).toBeLessThan(sheet.count(m));
        const reason = refused(() => validateMap(less));
        // Only what a person has to decide is left open: a move another waits for, the last function, the last element tested.
        if (reason)
          expect(reason).toMatch(
            /no move|at least one thing|at least one element|nothing it should do|put|tests?|variant/,
          );
      }
  });

  it('a cell that cannot be read says why, and the map stays', () => {
    const [, map] = units[0] as (typeof units)[number];
    const column = (sheet: string, head: string) => {
      const c = SHEETS.find((s) => s.id === sheet)?.columns.find((x) => x.head === head);
      if (!c) throw new Error(`no column ${head}`);
      return c;
    };
    const says = (sheet: string, head: string, typed: string, on = map) =>
      refused(() => column(sheet, head).write(on, 0, typed));
    expect(says('elements', 'Weight', '0')).toContain('over 0');
    expect(says('elements', 'Weight', 'heavy')).toContain('not a reading');
    expect(says('elements', 'Mark', map.elements[1]?.id ?? '')).toContain('taken');
    expect(says('elements', 'Ladder', 'glue 3 min 50 %')).toContain('is not read');
    expect(says('elements', 'Ladder', 'replace 3 min 150 %')).toContain('up to 100');
    expect(says('elements', 'Hearsay: weight, worth, who', '6, 3')).toContain('say who says so');
    expect(says('taps', 'Minutes', '-1')).toContain('over 0');
    expect(says('access', 'Short name', ' ')).toContain('give the cover a name');
    expect(says('hazards', 'Proven: at, under, unit', 'inlet')).not.toBe('');
    const checks = { ...map, checks: [{ id: 'c', name: 'c', exercises: ['A1'], minutes: 1 }] };
    expect(says('checks', 'Several answers', 'only one', checks)).toContain('two at least');
    const plugged = DEMO_UNITS.find((u) => u.map.headers)?.map as UnitMap;
    expect(says('headers', 'Contacts, from 1', 'GND;;A', plugged)).toContain('contact 2 is empty');
  });

  it('a ladder, hearsay and several answers are read back as they are written', () => {
    const map = DEMO_UNITS[0]?.map as UnitMap;
    const ladder = SHEETS[0]?.columns.find((c) => c.head === 'Ladder');
    const next = ladder?.write(map, 0, 'reseat 2 min 50 %; replace 30 min 95 %') as UnitMap;
    expect(next.elements[0]?.remedies.map((r) => [r.kind, r.minutes, r.fixes])).toEqual([
      ['reseat', 2, 0.5],
      ['replace', 30, 0.95],
    ]);
    expect(ladder?.read(next, 0)).toBe('reseat 2 min 50 %; replace 30 min 95 %');
  });
});
