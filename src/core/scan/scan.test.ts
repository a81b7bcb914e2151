import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { scanned } from '.';

const ID = '01ARZ3NDEKTSV4RRFFQ69G5FAV';

describe('what a code says', () => {
  it('a label opens its thing here, whatever the Mulch was called when it was printed', () => {
    const item = `/jobs/${ID}/open-up?item=W4`;
    for (const origin of ['http://127.0.0.1:4321', 'https://bench.example', 'http://localhost'])
      expect(scanned(origin + item)).toEqual({ kind: 'place', to: item });
    expect(scanned(`https://a.example/units/${ID}/plugs#J%204`)).toEqual({
      kind: 'place',
      to: `/units/${ID}/plugs#J%204`,
    });
    const thing = `/stores?item=${ID}`;
    expect(scanned(`https://a.example${thing}`)).toEqual({ kind: 'place', to: thing });
    expect(scanned('https://a.example/stores/x').kind).toBe('code');
  });
  it('anything else is something to be written down', () => {
    expect(scanned('  SN 0042-7\u001d93A  ')).toEqual({ kind: 'code', text: 'SN 0042-7 93A' });
    for (const other of [
      'https://elsewhere.example/login',
      `https://elsewhere.example/jobs/${ID}/../../x`,
      `//elsewhere.example/jobs/${ID}`,
      `javascript:alert(1)//jobs/${ID}`,
      '/people',
    ])
      expect(scanned(other)).toEqual({ kind: 'code', text: other });
    // How long a number may be is said by the field it goes to: nothing is cut here.
    expect(scanned('x'.repeat(300))).toEqual({ kind: 'code', text: 'x'.repeat(300) });
  });
  it('no text leads away from here', () => {
    fc.assert(
      fc.property(
        fc.oneof(fc.string(), fc.webUrl({ withFragments: true, withQueryParameters: true })),
        (text) => {
          const read = scanned(text);
          if (read.kind === 'place')
            expect(new URL(read.to, 'http://here.example').origin).toBe('http://here.example');
        },
      ),
    );
  });
});
