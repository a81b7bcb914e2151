import type { UnitMap } from '../../../../core/unit';

export const elementOptions = (map: UnitMap) =>
  map.elements.map((e) => ({ value: e.id, words: `${e.id} ${e.name}` }));
export const words = (list: readonly string[]) => () => list.map((value) => ({ value, words: value }));
/** The next free name of a kind, such as cover 2. */
export const free = (taken: string[], stem: string) => {
  for (let n = 1; ; n++)
    if (!taken.includes(n === 1 ? stem : `${stem} ${n}`)) return n === 1 ? stem : `${stem} ${n}`;
};
