import {
  type ElementKind,
  KIND_DEFAULTS,
  ladderFor,
  type MapElement,
  type Tap,
  type UnitMap,
} from '../core/unit';

type More = Partial<Pick<MapElement, 'needs' | 'touch' | 'weight' | 'only' | 'spare' | 'hearsay'>> & {
  part?: string;
  replaceMinutes?: number;
};

const element =
  (kind: ElementKind) =>
  (id: string, name: string, more: More = {}): MapElement => {
    const { part, replaceMinutes, ...rest } = more;
    return {
      id,
      name,
      kind,
      weight: KIND_DEFAULTS[kind].weight,
      ...rest,
      remedies: ladderFor(kind, id, name).map((r) =>
        r.kind === 'replace'
          ? {
              ...r,
              ...(part ? { parts: [part] } : {}),
              ...(replaceMinutes ? { minutes: replaceMinutes } : {}),
            }
          : r,
      ),
    };
  };

export const board = element('board');
export const cable = element('cable');
export const connector = element('connector');
export const battery = element('battery');
export const supply = element('supply');
export const motor = element('motor');
export const lamp = element('lamp');
export const sensor = element('sensor');
export const setting = element('setting');

/** Signal feeds along a chain of ids. */
export const chain = (...ids: string[]): UnitMap['feeds'] =>
  ids.slice(1).map((to, i) => ({ from: ids[i] as string, to, carries: 'signal' }));

/** Power feeds from one element to several. */
export const powers = (from: string, ...to: string[]): UnitMap['feeds'] =>
  to.map((t) => ({ from, to: t, carries: 'power' }));

type Where = { needs?: string[]; note?: string; minutes?: number; ac?: boolean };

/** A point that is measured: nominal, tolerance, highest possible, unit. */
export const measured = (
  id: string,
  name: string,
  after: string,
  [nominal, tolerance, high, unit]: [number, number, number, string],
  where: Where = {},
): Tap => ({
  id,
  name,
  after,
  how: 'measure',
  power: 'on',
  minutes: 1,
  expect: { nominal, tolerance, low: 0, high, unit },
  ...where,
});

/** A point that is looked at or listened to. */
export const seen = (
  id: string,
  name: string,
  after: string,
  how: 'look' | 'listen',
  where: Where = {},
): Tap => ({
  id,
  name,
  after,
  how,
  power: 'on',
  minutes: 0.5,
  ...where,
});
