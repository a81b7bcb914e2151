export const RESULTS = ['works', 'referred', 'returned as it was', 'kept for parts'] as const;

export interface HandOver {
  at: string;
  by: string;
  to: string;
  result: (typeof RESULTS)[number];
  settings?: string;
  note?: string;
  followUp?: string;
  /** where what was taken out goes */
  disposal?: string;
  /** what is still owed to somebody */
  owed?: string;
  /** last day of the workshop’s own warranty on it */
  warrantyUntil?: string;
  /** who decided, where it was not whoever recorded it */
  decidedBy?: string;
}

/** An open point that was let go, with the reason. */
export interface PassedPoint {
  point: string;
  reason: string;
  at: string;
  by: string;
}

/** What is usually owed after a repair, and what else may be. */
export const OWED_KINDS = ['activation', 'core to return', 'disposal note', 'follow-up', 'other'] as const;
export type OwedKind = (typeof OWED_KINDS)[number];

/** Something still owed to somebody, until it is ticked. */
export interface Owed {
  id: string;
  kind: OwedKind;
  what: string;
  /** the day by which it is due */
  due?: string;
  settled?: { at: string; by: string };
}

/** A signature as it was drawn: lines of points, from 0 to 1 of its width and height. */
export interface Receipt {
  name: string;
  /** width of the field over its height */
  wide: number;
  /** each line as x, y, x, y …; none where it is signed by name alone */
  lines: number[][];
  at: string;
  by: string;
}

export interface HandingOver {
  passedPoints: PassedPoint[];
  handedOver: HandOver | null;
  owed: Owed[];
  /** pictures that stand on the owner’s page, by the entries that took them */
  ownersPictures: string[];
  receipt: Receipt | null;
}

export const startHandingOver = (): HandingOver => ({
  handedOver: null,
  passedPoints: [],
  owed: [],
  ownersPictures: [],
  receipt: null,
});
