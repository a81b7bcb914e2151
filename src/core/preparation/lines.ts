import type { ElementKind, MapElement, UnitMap } from '../unit';

/** One thing to be seen to before a new part goes in, or before the old one comes out. */
export interface PreparationLine {
  id: string;
  when: 'before out' | 'before in';
  ask: string;
  why: string;
  /** it does not go on without this one */
  must?: boolean;
  /** the bench sum that helps with it */
  sum?: string;
  /** what has to be written down with it: the reading, the mark */
  asks?: string;
  /** what was written down, against what is expected: why it holds, or null */
  judge?(note: string, expected: { volts?: number | undefined }): string | null;
  applies(part: { element: MapElement; map: UnitMap }): boolean;
}

const kinds =
  (...list: ElementKind[]) =>
  ({ element }: { element: MapElement }) =>
    list.includes(element.kind);

/** Plugs that end on this element: by the board their header sits on, or by their own name. */
export const plugsOf = ({ element, map }: { element: MapElement; map: UnitMap }) =>
  (map.plugs ?? []).filter((p) => {
    const home = map.headers?.find((h) => h.id === p.home);
    return home?.at.board === element.id || p.id === element.id;
  });

/** Share by which a pack may read off its nominal voltage: full or empty, it is still that pack. Common practice, no source. */
const OFF_NOMINAL = 0.3;

/** A voltage as it is jotted: `+7.4 V`, `−12,1`, `3.9V`. */
const voltsIn = (note: string): number | null => {
  const m = /([-−–]\s?)?(\d+(?:[.,]\d+)?)\s*(m?)V?/i.exec(note);
  if (!m) return null;
  return (m[1] ? -1 : 1) * Number((m[2] as string).replace(',', '.')) * (m[3] ? 0.001 : 1);
};

/** Polarity as it was read, against what the old one or the sheet says. */
function polarityHeld(note: string, { volts }: { volts?: number | undefined }): string | null {
  const read = voltsIn(note);
  if (read === null) return 'write down what the meter read, red lead to black: +7.4 V';
  if (read < 0)
    return `it reads ${read} V where plus is expected: red and black are swapped. Do not plug it in`;
  if (read === 0) return '0 V tells no polarity: is the pack asleep, or the lead open?';
  if (volts !== undefined && Math.abs(read - volts) > OFF_NOMINAL * volts)
    return `it reads ${read} V, the one it replaces has ${volts} V. Do not plug it in`;
  return null;
}

/** All of it common practice, no source; the maker’s instructions come first. */
export const PREPARATIONS: PreparationLine[] = [
  {
    id: 'contact 1',
    when: 'before out',
    ask: 'Contact 1 marked on plug and header',
    why: 'a plug without a key goes in both ways round',
    must: true,
    applies: (part) => plugsOf(part).some((p) => p.key === null && p.positions > 1),
  },
  {
    id: 'picture',
    when: 'before out',
    ask: 'A picture of how it sits and how its leads run',
    why: 'slack, folds and guides are forgotten first',
    applies: kinds('board', 'cable', 'supply', 'battery', 'motor', 'sensor', 'lamp'),
  },
  {
    id: 'same plug',
    when: 'before in',
    ask: 'Same plug: family, contacts, key, beside the old one',
    why: 'nearly alike is not alike',
    applies: kinds('board', 'cable', 'connector', 'battery', 'supply', 'motor', 'lamp', 'sensor'),
  },
  {
    id: 'polarity',
    when: 'before in',
    ask: 'Polarity read with the meter at the plug, not by colour',
    why: 'red and black are swapped more often than one thinks',
    must: true,
    asks: 'What it read, red to black',
    judge: polarityHeld,
    applies: kinds('battery', 'supply', 'lamp'),
  },
  {
    id: 'jumpers',
    when: 'before in',
    ask: 'Jumpers and switches set as on the old one',
    why: 'a new board comes as the maker likes it',
    applies: kinds('board'),
  },
  {
    id: 'carried over',
    when: 'before in',
    ask: 'Nothing left on the old one: heat sink, bracket, shield, jumper set',
    why: 'the bare part does not fit, or cooks',
    applies: kinds('board', 'supply', 'motor'),
  },
  {
    id: 'pins',
    when: 'before in',
    ask: 'Pins straight, looked at along both rows',
    why: 'a bent pin is felt too late',
    applies: kinds('board', 'connector', 'sensor'),
  },
  {
    id: 'ferrules',
    when: 'before in',
    ask: 'Ferrules on stranded ends that go under a screw, none tinned',
    sum: 'ferrule',
    why: 'solder creeps under pressure and the joint loosens',
    applies: kinds('supply', 'connector', 'motor'),
  },
  {
    id: 'tinned',
    when: 'before in',
    ask: 'Pads clean, old solder off, new ends tinned',
    why: 'old solder hides a cold joint',
    applies: kinds('connector'),
  },
  {
    id: 'contact side',
    when: 'before in',
    ask: 'Contacts on the same side, same twist, same length',
    why: 'a flat cable that is one fold short kinks at the latch',
    applies: ({ element }) => element.kind === 'cable',
  },
  {
    id: 'adhesive',
    when: 'before in',
    ask: 'Old adhesive off, seat flat and dry',
    why: 'a lump under a cell is a dent in it',
    applies: kinds('battery'),
  },
  {
    id: 'glued cell',
    when: 'before in',
    ask: 'A new pack: one that was glued in and pried out is never fitted again',
    why: 'bent foil shorts later, not at once',
    applies: kinds('battery'),
  },
  {
    id: 'static',
    when: 'before in',
    ask: 'Still grounded, the new board out of its bag last',
    why: 'it is hurt before it is fitted',
    applies: kinds('board', 'sensor'),
  },
];

/**
 * What is to be seen to for one part.
 *
 * @param map a unit's map
 * @param elementId the part that is replaced
 * @returns lines in their order, those before the old one comes out first
 * @example preparationsFor(photoPrinter, 'B1').filter((l) => l.must).map((l) => l.id) // ['polarity']
 */
export function preparationsFor(map: UnitMap, elementId: string): PreparationLine[] {
  const element = map.elements.find((e) => e.id === elementId);
  return element ? PREPARATIONS.filter((l) => l.applies({ element, map })) : [];
}
