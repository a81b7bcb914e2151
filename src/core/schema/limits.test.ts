import Ajv from 'ajv';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { beyond } from './limits';
import { Type } from './words';

const schema = Type.Object({
  text: Type.String({ maxLength: 5 }),
  list: Type.Array(Type.Object({ n: Type.Number({ minimum: -2, maximum: 3 }) }), { maxItems: 2 }),
  two: Type.Tuple([Type.Integer({ maximum: 4 }), Type.String({ maxLength: 1 })]),
});

describe('limits', () => {
  // Outside reference: Ajv, a JSON Schema validator.
  it('are passed and broken where a validator says so', () => {
    const valid = new Ajv({ strict: false }).compile(schema);
    fc.assert(
      fc.property(
        fc.record({
          text: fc.string({ maxLength: 8, unit: 'grapheme' }),
          list: fc.array(fc.record({ n: fc.integer({ min: -4, max: 5 }) }), { maxLength: 3 }),
          two: fc.tuple(fc.integer({ min: 2, max: 6 }), fc.string({ maxLength: 2 })),
        }),
        (value) => {
          expect(beyond(schema, value) === null).toBe(valid(value));
        },
      ),
      { numRuns: 400 },
    );
  });
  it('are said with their place, from both sides', () => {
    const ok = { text: 'abcde', list: [{ n: 3 }, { n: -2 }], two: [4, 'x'] };
    expect(beyond(schema, ok)).toBeNull();
    expect(beyond(schema, { ...ok, text: 'abcdef' })).toEqual({
      path: '/text',
      reason: 'at most 5 characters: these are 6',
    });
    expect(beyond(schema, { ...ok, list: [{ n: 0 }, { n: 4 }] })).toEqual({
      path: '/list/1/n',
      reason: 'at most 3',
    });
    expect(beyond(schema, { ...ok, list: [{ n: -3 }] })?.reason).toBe('at least -2');
    expect(beyond(schema, { ...ok, list: [{ n: 0 }, { n: 0 }, { n: 0 }] })?.path).toBe('/list');
    expect(beyond(schema, { ...ok, two: [4, 'xy'] })?.path).toBe('/two/1');
    expect(beyond(Type.Number(), Number.NaN)?.reason).toBe('that is no number');
  });
});
