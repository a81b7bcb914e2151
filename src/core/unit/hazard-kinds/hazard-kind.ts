/** The act that clears a gate, and the reading that proves it. */
export interface GateClear {
  /** what is done: "Unplug at the outlet" */
  act: string;
  /** the reading that proves it */
  reading?: { at: string; unit: string; max: number };
  /** it can only be done once the cover that bares it is off */
  inside?: boolean;
  /** designator of the plug that the act parts */
  unplugs?: string;
  /** further leads of a pack: balance, data, sensor */
  signals?: string[];
  /** what lies over its plug and comes off before the act can be done */
  under?: string[];
  caution: string;
}

/**
 * One kind of hazard, whole: its usual gate for units described at the bench, and what the rules ask of
 * it. The limits are usual practice, stated with their source; they say what to read, never that a
 * thing may be touched.
 */
export interface HazardDefinition<K extends string> {
  kind: K;
  name: string;
  detail: string;
  /** it concerns every hand in the unit, not one place */
  wholeUnit: boolean;
  /** what brings it back: "power", or nothing but its own plug */
  armedBy: string[];
  clear: GateClear;
  /** live before anybody acted: a cell has no switch */
  startsLive: boolean;
  /** a pack with leads of its own, of which one is parted first */
  isPack: boolean;
  /** its act takes the power out at the outlet */
  unplugsOutlet: boolean;
  /** how full it may be before heat or a lever comes near, where nobody has said otherwise */
  charge: { maxPercent: number; chemistry: string; series: number } | null;
  /** it empties by itself or through a resistor: the sum for that is offered */
  bleeds: boolean;
  /** what to mind near it while it is live, with a probe or with the eyes alone; null = it is there with the power off as well */
  whileLive: { touching: string; looking: string } | null;
  /** the line of its sign, in a field of 20 × 18 */
  sign: string;
}

export const LOCAL = 'Local codes, the maker’s instructions and licensed practice come first.';

/** Gives a definition the name of its kind as a type. */
export const hazardKind = <K extends string>(d: HazardDefinition<K>): HazardDefinition<K> => d;
