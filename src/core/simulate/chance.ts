import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { mersenne } from 'pure-rand/generator/mersenne';

/** Fowler, Noll, Vo: FNV-1a, 32 bits, over the UTF-16 units of a text (from memory). */
function hash(text: string): number {
  let h = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) h = Math.imul(h ^ text.charCodeAt(i), 0x01000193);
  return h >>> 0;
}

/**
 * A stream of numbers that depends on nothing but its key: what a check answers the second time does not
 * change with what else was done before.
 *
 * Generator: Mersenne Twister MT19937 (Matsumoto and Nishimura, ACM TOMACS 8(1), 1998), seeded with the
 * FNV-1a hash of the key; 53 bits a number.
 *
 * @param key the parts of the key: seed, what it is for, how many times
 * @returns a function that gives the next number in [0, 1)
 * @example stream(7, 'check', 'TP5', 1)() === stream(7, 'check', 'TP5', 1)() // true
 */
export function stream(...key: (string | number)[]): () => number {
  // As JSON, so that no part can run into the next.
  const generator = mersenne(hash(JSON.stringify(key)));
  return () => uniformFloat64(generator);
}

/**
 * A number of the normal distribution by the transform of Box and Muller (1958).
 *
 * @param next numbers in [0, 1)
 * @param mean in any unit
 * @param sigma in the same unit, over 0
 * @returns a number in that unit
 * @example normal(stream(7, 'reading'), 12, 0.1) // about 12
 */
export function normal(next: () => number, mean: number, sigma: number): number {
  const radius = Math.sqrt(-2 * Math.log(1 - next()));
  return mean + sigma * radius * Math.cos(2 * Math.PI * next());
}
