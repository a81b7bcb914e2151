import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checkPasscode, keepALead, keptName, nameKey, ownPlace, ROLES, reaches } from '.';

describe('who may do what', () => {
  it('each role may do what the one before may', () => {
    for (const a of ROLES)
      for (const b of ROLES) expect(reaches(a, b)).toBe(ROLES.indexOf(a) >= ROLES.indexOf(b));
    expect(reaches('looker', 'bench')).toBe(false);
    expect(reaches('lead', 'bench')).toBe(true);
  });
  it('the last lead stays', () => {
    const two = [
      { id: 'a', role: 'lead' as const },
      { id: 'b', role: 'bench' as const },
    ];
    expect(() => keepALead(two, 'a', null)).toThrow('the last lead stays');
    expect(() => keepALead(two, 'a', 'bench')).toThrow('the last lead stays');
    keepALead(two, 'a', 'lead');
    keepALead(two, 'b', null);
    keepALead([...two, { id: 'c', role: 'lead' }], 'a', null);
  });
});

describe('names and passcodes', () => {
  it('a name is kept with one blank between words, and compared without its case', () => {
    expect(keptName('  Ines\t Voss ', '/name')).toBe('Ines Voss');
    expect(nameKey('ＩＮＥＳ  voss')).toBe('ines voss');
    expect(nameKey('Zoe\u0308')).toBe(nameKey('ZOË'));
    for (const bad of ['', '   ', '—', '\u200b']) expect(() => keptName(bad, '/name')).toThrow('say a name');
    expect(() => keptName('x'.repeat(61), '/name')).toThrow('60 characters');
    expect(keptName('山田', '/name')).toBe('山田');
  });
  it('a passcode has eight characters at least, counted as people count them', () => {
    const bad = (code: string, name = 'Ines') => {
      try {
        checkPasscode(code, name, '/passcode');
        return '';
      } catch (e) {
        return (e as Error).message;
      }
    };
    expect(bad('1234567')).toContain('at least 8');
    expect(bad('😀😀😀😀')).toContain('at least 8');
    expect(bad('aaaaaaaaaa')).toContain('over and over');
    expect(bad(' INES  voss ', 'Ines Voss')).toContain('not the name');
    expect(bad('ab'.repeat(101))).toContain('at most 200');
    expect(bad('gull rail')).toBe('');
    expect(bad('12345678')).toBe('');
  });
});

describe('where one goes after signing in', () => {
  it('leads to a place of this Mulch alone, whatever the address says', () => {
    expect(ownPlace('/jobs/01ARZ/trace?x=1#now')).toBe('/jobs/01ARZ/trace?x=1#now');
    for (const bad of [
      null,
      undefined,
      '',
      'jobs',
      '//elsewhere.example',
      '/\\elsewhere.example',
      '/\t/elsewhere.example',
      '\\\\elsewhere.example',
      'https://elsewhere.example',
      'javascript:alert(1)',
      '/jobs\\..\\x',
    ])
      expect(ownPlace(bad)).toBe('/');
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc.webUrl(),
          fc.string().map((s) => `/${s}`),
        ),
        (to) => {
          // Read as a browser reads it: the URL Standard, as the platform implements it.
          expect(new URL(ownPlace(to), 'https://mulch.example').origin).toBe('https://mulch.example');
        },
      ),
      { numRuns: 2000 },
    );
  });
});
