import { cone } from '../cone';
import type { Channel, UnitMap } from '../map';
import { anyOf, checkKind, type MapCheckOf, reach } from './check';

/** Minutes to change one lead over and watch. Common practice, no source. */
const EXCHANGE_MINUTES = 4;
/** Kinds that end in something that can be parted without a soldering iron. */
const PARTED = new Set(['cable', 'connector', 'motor', 'lamp', 'battery', 'sensor']);

/** The map with one channel fed, from a place on, by another one. */
function rewired(map: UnitMap, to: string, from: string, donor: string): UnitMap {
  return {
    ...map,
    feeds: map.feeds.map((f) => (f.from === from && f.to === to ? { ...f, from: donor } : f)),
  };
}

function at(map: UnitMap, mine: Channel, donor: Channel, k: number): MapCheckOf<'exchange'>[] {
  const first = mine.elements[k] as string;
  const own = mine.elements[k - 1] as string;
  const other = donor.elements[k - 1] as string;
  const of = (id: string) => map.elements.find((e) => e.id === id);
  const parts = [of(first), of(own)];
  if (!parts.some((e) => e && PARTED.has(e.kind))) return [];
  if (!map.feeds.some((f) => f.from === own && f.to === first)) return [];
  const end = mine.elements.at(-1) as string;
  const exercises = cone(rewired(map, first, own, other), end);
  const tested = mine.elements.slice(k);
  const cleared = mine.elements.slice(0, k);
  const id = `exchange:${first}:${other}`;
  return [
    {
      id,
      how: 'exchange',
      title: `Feed ${first} from ${other}`,
      about: `${mine.name} fed by ${donor.name}`,
      ok: `${mine.name} works`,
      bad: 'still fails',
      why: `Feed ${first} from ${other}: still fails points to ${anyOf(tested)}, works points to ${anyOf(cleared)} or before.`,
      note: 'change the lead with the power off, and mark both ends first',
      leaves: `${first} fed from ${other}`,
      trace: {
        id,
        exercises,
        minutes: EXCHANGE_MINUTES,
        power: 'on',
        ...reach(of(first)?.touch ?? of(first)?.needs, of(other)?.touch ?? of(other)?.needs),
      },
    },
  ];
}

/**
 * Feeding one channel from another at every place where a lead can be changed over: it exercises the
 * donor channel's cone up to the change and the elements after it.
 */
export const exchange = checkKind({
  hows: { exchange: 'Exchange between channels' },
  repeated: false,
  derive(map) {
    const channels = map.channels ?? [];
    return channels.flatMap((mine) =>
      channels
        .filter((c) => c.id !== mine.id && c.elements.length === mine.elements.length)
        .flatMap((donor) => mine.elements.slice(1).flatMap((_, i) => at(map, mine, donor, i + 1))),
    );
  },
});
