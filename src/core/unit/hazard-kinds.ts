import type { Hazard, HazardKind } from './map';

/** The usual gate of one kind of hazard, for units described at the bench. */
export interface HazardRecipe {
  kind: HazardKind;
  name: string;
  detail: string;
  wholeUnit: boolean;
  armedBy: string[];
  clear: Hazard['clear'];
}

const LOCAL = 'Local codes, the maker’s instructions and licensed practice come first.';

/**
 * Usual gates by kind. The limits are usual practice, stated with their source; they say what to
 * read, never that a thing may be touched.
 */
export const HAZARD_RECIPES: HazardRecipe[] = [
  {
    kind: 'mains',
    name: 'Mains',
    detail: 'supply voltage inside',
    wholeUnit: false,
    armedBy: ['power'],
    clear: {
      act: 'Switch off, pull the plug at the outlet, keep the plug in sight',
      // Prove dead as in EN 50110-1, from memory; 5 V is common practice, no source.
      reading: { at: 'the mains inlet', unit: 'V', max: 5 },
      caution: `Prove the meter on a known live point before and after. ${LOCAL}`,
    },
  },
  {
    kind: 'capacitor',
    name: 'Capacitors',
    detail: 'stay charged after the plug is out',
    wholeUnit: false,
    armedBy: ['power'],
    clear: {
      act: 'Wait, then bleed them through a resistor on insulated leads',
      // 60 V d.c. is the usual limit of IEC 62368-1, from memory; 5 V is what a bench reads as bled.
      reading: { at: 'the capacitor terminals', unit: 'V', max: 5 },
      caution: `Never short them with a screwdriver. They can recover: read again before a hand goes in. ${LOCAL}`,
    },
  },
  {
    kind: 'cell pack',
    name: 'Lithium pack',
    detail: 'always live at its plug',
    wholeUnit: false,
    armedBy: [],
    clear: {
      act: 'Unplug the pack and tape over its contacts',
      inside: true,
      reading: { at: 'the pack header on the board', unit: 'V', max: 0.5 },
      caution: `Swollen, dented or warm: stop, take it outside, no prying. A removed glued cell is never fitted again. ${LOCAL}`,
    },
  },
  {
    kind: 'dc',
    name: 'DC bus',
    detail: 'held up by panels, a pack or a supply',
    wholeUnit: false,
    armedBy: ['power'],
    clear: {
      act: 'Open the DC isolator and part the lead',
      reading: { at: 'the DC terminals', unit: 'V', max: 5 },
      caution: `DC arcs do not go out by themselves: no load when it is parted. ${LOCAL}`,
    },
  },
  {
    kind: 'hot',
    name: 'Hot part',
    detail: 'heater, heat sink or lamp',
    wholeUnit: false,
    armedBy: ['power'],
    clear: {
      act: 'Power off and let it cool',
      reading: { at: 'the hot part', unit: '°C', max: 45 },
      caution: `Common practice: under 45 °C before a hand goes near. ${LOCAL}`,
    },
  },
  {
    kind: 'sharp',
    name: 'Sharp edges',
    detail: 'cut sheet metal inside',
    wholeUnit: false,
    armedBy: [],
    clear: { act: 'Gloves on, sleeves down', caution: `Hands come out slower than they go in. ${LOCAL}` },
  },
  {
    kind: 'static',
    name: 'Static',
    detail: 'boards that a spark can end',
    wholeUnit: true,
    armedBy: [],
    clear: {
      act: 'Ground yourself and the mat',
      caution: `Never grounded while a hand is at live mains. ${LOCAL}`,
    },
  },
  {
    kind: 'moving',
    name: 'Moving parts',
    detail: 'springs, motors, wheels',
    wholeUnit: false,
    armedBy: ['power'],
    clear: {
      act: 'Power off, block it, let springs down',
      caution: `A motor without power can still be driven by its load. ${LOCAL}`,
    },
  },
  {
    kind: 'optical',
    name: 'Optical source',
    detail: 'laser or strong lamp',
    wholeUnit: false,
    armedBy: ['power'],
    clear: { act: 'Power off, shutter shut', caution: `Do not look for the beam. ${LOCAL}` },
  },
];

/**
 * A hazard of the usual kind for a unit described at the bench.
 *
 * @param kind what can hurt
 * @param id id on the map
 * @param covers covers that bare it, empty = whole unit
 * @returns the hazard with its usual gate
 * @example hazardOfKind('mains', 'mains', ['lid']).clear.reading?.max // 5
 */
export function hazardOfKind(kind: HazardKind, id: string, covers: string[]): Hazard {
  const r = HAZARD_RECIPES.find((x) => x.kind === kind) as HazardRecipe;
  return {
    id,
    kind,
    name: r.name,
    detail: r.detail,
    ...(r.wholeUnit || covers.length === 0 ? {} : { exposedBy: covers }),
    ...(r.armedBy.length ? { armedBy: r.armedBy } : {}),
    clear: r.clear,
  };
}
