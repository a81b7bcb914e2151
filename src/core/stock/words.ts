/**
 * An amount of a thing in words.
 *
 * @param count how many
 * @param unit what it is counted in
 * @returns with its unit and a no-break space
 * @example amountOf(1, 'pieces') // '1 piece'
 */
export const amountOf = (count: number, unit: string): string =>
  `${count}\u00a0${count === 1 && unit === 'pieces' ? 'piece' : unit}`;
