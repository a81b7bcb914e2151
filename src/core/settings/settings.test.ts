import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { flatCable, LATCH_KINDS } from '../flat-cable';
import { jumpers, readDump, settingsDiff } from '.';

const path = (f: () => unknown) => {
  try {
    f();
    return '';
  } catch (error) {
    return (error as { path: string }).path;
  }
};

describe('jumpers', () => {
  const rules = [
    { when: { mains: '230' }, then: { JP1: 'open' as const } },
    { when: { mains: '115' }, then: { JP1: 'closed' as const } },
    { when: { mains: '230', bus: 'last' }, then: { JP2: 'closed' as const } },
  ];
  it('are computed for the unit at hand and compared with what is set', () => {
    const a = jumpers({
      rules,
      options: { mains: '230', bus: 'last' },
      set: { JP1: 'closed', JP2: 'closed' },
    });
    expect(a.required).toEqual({ JP1: 'open', JP2: 'closed' });
    expect(a.differences).toEqual([{ jumper: 'JP1', required: 'open', set: 'closed' }]);
    expect(jumpers({ rules, options: { mains: '115' } }).differences[0]?.set).toBeNull();
  });
  it('rules that contradict each other are named', () => {
    const both = [...rules, { when: {}, then: { JP1: 'closed' as const } }];
    expect(path(() => jumpers({ rules: both, options: { mains: '230' } }))).toBe('/rules/3/then/JP1');
  });
});

describe('dumps of settings', () => {
  it('are read as they are printed', () => {
    const d = readDump(
      '; head\nname = quay 2\ngain: 0.75\nbaud 9600\necho: M92 X80.00 Y400 ; steps\n\nM301 P-1.5\n',
    );
    expect([...d]).toEqual([
      ['name', 'quay 2'],
      ['gain', '0.75'],
      ['baud', '9600'],
      ['M92 X', '80.00'],
      ['M92 Y', '400'],
      ['M301 P', '-1.5'],
    ]);
  });
  it.each<[string, [string, string][]]>([
    ['  >  gain=2', [['gain', '2']]],
    ['  ECHO:gain=2', [['gain', '2']]],
    ['> baud 9600   ;  fast', [['baud', '9600']]],
    ['gain=2; was; 3', [['gain', '2']]],
    ['   gain   =   a b   ', [['gain', 'a b']]],
    ['url=http://x:80/>y', [['url', 'http://x:80/>y']]],
    ['note: echo: on', [['note', 'echo: on']]],
    [
      'M92  X80   Y-4.5',
      [
        ['M92 X', '80'],
        ['M92 Y', '-4.5'],
      ],
    ],
    ['M92.1 X.5', [['M92.1 X', '.5']]],
    ['M92', [['M92', '']]],
    ['a=', [['a', '']]],
    ['a=1\r\na=2\r\n', [['a', '2']]],
    ['# x=1\n // y=2\n  ;z=3\n', []],
  ])('%j is read as %j', (text, settings) => {
    expect([...readDump(text)]).toEqual(settings);
  });
  it.each([
    ['1', '1.0', 'same'],
    ['+1.', '1', 'same'],
    ['.5', '0.50', 'same'],
    ['1e2', '100', 'same'],
    ['12.25E-1', '1.225', 'same'],
    ['1.5e+12', '1500000000000', 'same'],
    ['-.25', '-0.25', 'same'],
    ['10', '12', 'within tolerance'],
    ['10', '12.000001', 'changed'],
    ['10', '8', 'within tolerance'],
    ['10', '7.9', 'changed'],
    // What only begins or ends like a number is none.
    ['1 V', '1.0 V', 'changed'],
    ['v1', 'v1.0', 'changed'],
    ['1.2.3', '1.2.30', 'changed'],
    ['1e', '1e0', 'changed'],
    ['.', '.0', 'changed'],
    ['1e2x', '100x', 'changed'],
  ])('%s beside %s: %s', (before, after, verdict) => {
    const { verdict: of, changed } = settingsDiff({
      before: `a=${before}`,
      after: `a=${after}`,
      tolerance: 2,
    });
    expect(of).toEqual({ a: verdict });
    expect(changed).toEqual(verdict === 'changed' ? [{ key: 'a', before, after }] : []);
  });
  it('are compared by key, with a tolerance and keys that must differ', () => {
    const a = settingsDiff({
      before: 'a=1.00\nb=2\nc=3\nserial=17\nzero=5',
      after: 'a=1\nb=2.05\nd=4\nserial=18\nzero=5',
      mustDiffer: ['serial', 'zero'],
      tolerance: 0.05,
    });
    expect(a.verdict).toEqual({
      a: 'same',
      b: 'within tolerance',
      c: 'removed',
      d: 'added',
      serial: 'differs as it must',
      zero: 'must differ',
    });
    expect(a.changed).toEqual([{ key: 'serial', before: '17', after: '18' }]);
    expect(path(() => settingsDiff({ before: '', after: 'a=1' }))).toBe('/before');
    expect(path(() => settingsDiff({ before: 'a=1', after: 'a=1', tolerance: -1 }))).toBe('/tolerance');
  });
  it('a dump compared with itself has nothing to say', () => {
    const key = fc.stringMatching(/^[a-z]{1,8}$/);
    fc.assert(
      fc.property(fc.dictionary(key, fc.integer().map(String), { minKeys: 1 }), (o) => {
        const text = Object.entries(o)
          .map(([k, v]) => `${k}=${v}`)
          .join('\n');
        const a = settingsDiff({ before: text, after: text });
        expect([a.changed, a.added, a.removed]).toEqual([[], [], []]);
        expect(Object.keys(a.verdict).sort()).toEqual(Object.keys(o).sort());
      }),
    );
  });
});

describe('flat cables', () => {
  it.each([
    ['same', 'up', 'up', 0, true],
    ['same', 'up', 'down', 0, false],
    ['opposite', 'up', 'down', 0, true],
    ['opposite', 'down', 'down', 0, false],
    ['same', 'up', 'down', 1, true],
    ['opposite', 'up', 'up', 1, true],
    ['same', 'down', 'down', 2, true],
  ] as const)('contacts %s, %s and %s, %i folds: %s', (cable, a, b, folds, fits) => {
    expect(flatCable({ cable, a, b: { contacts: b }, folds }).fits).toBe(fits);
  });
  it('the kind it needs fits, and each latch says how it opens and what breaks it', () => {
    for (const kind of LATCH_KINDS) {
      const r = flatCable({ cable: 'same', a: { contacts: 'up', latch: kind }, b: 'down' });
      expect(flatCable({ cable: r.needed, a: 'up', b: 'down' }).fits).toBe(true);
      expect(r.latches[0]?.opens.length).toBeGreaterThan(10);
    }
    expect(path(() => flatCable({ cable: 'same', a: { contacts: 'up', latch: 'zip' }, b: 'up' }))).toBe(
      '/a/latch',
    );
    expect(flatCable({ cable: 'same', a: 'up', b: 'up', contacts: { cable: 24, a: 26, b: 26 } }).fits).toBe(
      false,
    );
  });
});
