import type { Problem, Setup } from './problem';

/**
 * The setup in which a move leaves the unit: what it asks for, and what it does not ask for as it was.
 *
 * @param move what it asks for; −1 = any
 * @param was the setup before
 * @returns the setup after
 * @example moved({ tool: 2, side: -1, power: -1 }, { tool: 0, side: 1, power: 0 }) // { tool: 2, side: 1, power: 0 }
 */
export const moved = (move: Setup, was: Setup): Setup => ({
  tool: move.tool < 0 ? was.tool : move.tool,
  side: move.side < 0 ? was.side : move.side,
  power: move.power < 0 ? was.power : move.power,
});

/**
 * A number of its own for each setup: with so many names there are so many numbers, from 0, and none is left
 * over.
 *
 * @param names how many tools, sides and powers have a name, together
 * @param setup indices under that, −1 = not known
 * @returns a whole number from 0 to (names + 1)³ − 1
 * @example setupNumber(9, { tool: 2, side: 0, power: -1 }) // 13
 */
export const setupNumber = (names: number, { tool, side, power }: Setup): number =>
  ((power + 1) * (names + 1) + side + 1) * (names + 1) + tool + 1;

/**
 * Minutes to bring one setup to another.
 *
 * @param p minutes of a change of tool, of each flip, of a change of power
 * @param from the setup before
 * @param to the setup after
 * @returns minutes
 * @example changeMinutes(p, { tool: 0, side: 0, power: 0 }, { tool: 1, side: 0, power: 0 }) // 0.2
 */
export function changeMinutes(
  p: Pick<Problem, 'toolMinutes' | 'powerMinutes' | 'flip'>,
  from: Setup,
  to: Setup,
): number {
  return (
    (to.tool === from.tool ? 0 : p.toolMinutes) +
    (to.side === from.side ? 0 : p.flip(from.side, to.side)) +
    (to.power === from.power ? 0 : p.powerMinutes)
  );
}
