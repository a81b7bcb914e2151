import { describe, expectTypeOf, it } from 'vitest';
import type { Same } from '../src/core/schema/words';

/** What `agrees` and `computation` rest on: two types are the same only when no property is in one alone. */
describe('exactly the same type', () => {
  it('is told from one with an optional property more, all the way down', () => {
    expectTypeOf<Same<{ a: number }, { a: number }>>().toEqualTypeOf<true>();
    expectTypeOf<Same<{ a: number }, { a: number; b?: string }>>().not.toEqualTypeOf<true>();
    expectTypeOf<Same<{ a: number; b?: string }, { a: number }>>().not.toEqualTypeOf<true>();
    expectTypeOf<Same<{ a: { b: number }[] }, { a: { b: number; c?: 1 }[] }>>().not.toEqualTypeOf<true>();
    expectTypeOf<Same<{ a: { b: number }[] }, { a: { b: number }[] }>>().toEqualTypeOf<true>();
    expectTypeOf<Same<{ a?: number }, { a: number }>>().not.toEqualTypeOf<true>();
    expectTypeOf<Same<'x' | 'y', 'x'>>().not.toEqualTypeOf<true>();
    expectTypeOf<Same<string | null, string | null>>().toEqualTypeOf<true>();
    expectTypeOf<
      Same<{ k: 'a'; x: 1 } | { k: 'b' }, { k: 'a'; x: 1 } | { k: 'b'; y?: 2 }>
    >().not.toEqualTypeOf<true>();
  });
});
