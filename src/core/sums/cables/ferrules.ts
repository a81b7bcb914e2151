import { demand } from '../../refusal';

export interface Ferrule {
  nominalMm2: number;
  /** bare metal sleeve */
  sleeveMm: number;
  /** sleeve and collar */
  totalMm: number;
  colour: string;
}

/** Insulated ferrules, the common lengths. DIN 46228-4, from memory. */
export const FERRULES: Ferrule[] = [
  { nominalMm2: 0.14, sleeveMm: 6, totalMm: 10, colour: 'grey' },
  { nominalMm2: 0.25, sleeveMm: 6, totalMm: 10.5, colour: 'yellow' },
  { nominalMm2: 0.34, sleeveMm: 6, totalMm: 10.5, colour: 'turquoise' },
  { nominalMm2: 0.5, sleeveMm: 8, totalMm: 14, colour: 'white' },
  { nominalMm2: 0.75, sleeveMm: 8, totalMm: 14, colour: 'grey' },
  { nominalMm2: 1, sleeveMm: 8, totalMm: 14, colour: 'red' },
  { nominalMm2: 1.5, sleeveMm: 8, totalMm: 14, colour: 'black' },
  { nominalMm2: 2.5, sleeveMm: 8, totalMm: 14, colour: 'blue' },
  { nominalMm2: 4, sleeveMm: 10, totalMm: 17, colour: 'grey' },
  { nominalMm2: 6, sleeveMm: 12, totalMm: 20, colour: 'yellow' },
  { nominalMm2: 10, sleeveMm: 12, totalMm: 21.5, colour: 'red' },
  { nominalMm2: 16, sleeveMm: 12, totalMm: 22.2, colour: 'blue' },
  { nominalMm2: 25, sleeveMm: 16, totalMm: 29, colour: 'yellow' },
  { nominalMm2: 35, sleeveMm: 16, totalMm: 30, colour: 'red' },
  { nominalMm2: 50, sleeveMm: 20, totalMm: 36, colour: 'blue' },
];

/** Twin ferrules: two equal conductors, named by one of them. DIN 46228-4 colours, common lengths, from memory. */
export const TWINS: Ferrule[] = [
  { nominalMm2: 0.5, sleeveMm: 8, totalMm: 15, colour: 'white' },
  { nominalMm2: 0.75, sleeveMm: 8, totalMm: 15, colour: 'grey' },
  { nominalMm2: 1, sleeveMm: 8, totalMm: 15, colour: 'red' },
  { nominalMm2: 1.5, sleeveMm: 8, totalMm: 16, colour: 'black' },
  { nominalMm2: 2.5, sleeveMm: 10, totalMm: 18.5, colour: 'blue' },
  { nominalMm2: 4, sleeveMm: 12, totalMm: 23, colour: 'grey' },
  { nominalMm2: 6, sleeveMm: 14, totalMm: 26, colour: 'yellow' },
  { nominalMm2: 10, sleeveMm: 14, totalMm: 26, colour: 'red' },
  { nominalMm2: 16, sleeveMm: 14, totalMm: 31, colour: 'blue' },
];

/** A conductor may be this much over the nominal of its ferrule. Common practice, no source. */
const OVER = 0.05;
/** Strip this much more than the sleeve is long. Common practice, no source. */
const STRIP_MORE_MM = 2;

/**
 * The ferrule for an area: the smallest nominal not more than 5 % below it.
 *
 * @param areaMm2 area of the conductor, or of both in one ferrule
 * @param path of the input it came from
 * @param list single ferrules, or twins by one of their two conductors
 * @returns the ferrule and the length to strip, millimetres
 * @throws Refusal when the area is over the largest ferrule
 * @example ferruleFor(1.31).nominalMm2 // 1.5
 */
export function ferruleFor(
  areaMm2: number,
  path = '/areaMm2',
  list: Ferrule[] = FERRULES,
): Ferrule & { stripMm: number } {
  demand(areaMm2 <= 1000, 'over 1000 mm² is no conductor of this trade', path);
  const f = list.find((x) => x.nominalMm2 >= areaMm2 * (1 - OVER));
  const largest = list.at(-1)?.nominalMm2;
  demand(f, `${Number(areaMm2.toPrecision(3))} mm² is over the largest ferrule, ${largest} mm²`, path);
  return { ...f, stripMm: f.sleeveMm + STRIP_MORE_MM };
}
