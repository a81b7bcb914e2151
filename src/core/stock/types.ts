/** How a store may be kept: on a shelf, in the van, in a unit kept for its parts. */
export const STOCK_PLACES = ['shelf', 'van', 'donor'] as const;
export type StockPlace = (typeof STOCK_PLACES)[number];

/** What is known of a cell or a pack on the shelf. */
export interface StockCell {
  /** row of the chemistry in force */
  chemistry: string;
  /** cells, or blocks of its row, one behind the other */
  series: number;
  /** as printed on it */
  dateCode?: string;
  /** of the whole pack, after its rest, V */
  restVolts?: number;
  /** the day that was read */
  lookedAt?: string;
}

/** One thing the store keeps. */
export interface StockItem {
  id: string;
  /** what it is, as one asks for it */
  what: string;
  /** what it is counted in: pieces, m, ml */
  unit: string;
  place: { kind: StockPlace; label: string };
  /** models it is known to fit; any where empty */
  models: string[];
  /** marks of the elements it takes the place of */
  elements: string[];
  /** order more where less is free */
  minimum: number;
  /** of one, in minor units of the workshop’s currency */
  price?: number;
  supplier?: string;
  /** what the supplier calls it */
  reference?: string;
  /** last day it may be used: glue, sealant, cells */
  useBy?: string;
  /** goes in once and never again */
  oneTime?: boolean;
  /** room one takes in the van, litres */
  litres?: number;
  /** it is a cell, or a pack of them */
  cell?: StockCell;
}

/** What moves a store. */
export const MOVEMENTS = [
  'received',
  'found',
  'used',
  'returned',
  'written off',
  'reserved',
  'released',
] as const;
export type MovementKind = (typeof MOVEMENTS)[number];

/** One line of the ledger of a store: never changed, never taken out. */
export interface Movement {
  id: string;
  item: string;
  at: string;
  by: string;
  kind: MovementKind;
  /** over 0, in the unit of the item */
  count: number;
  /** the job it was for */
  job?: { id: string; tag: string };
  /** the entry of that job which it follows */
  entry?: string;
  why?: string;
}

/** What a store holds of one thing. */
export interface Holding {
  item: string;
  received: number;
  found: number;
  /** used, less what came back unused */
  used: number;
  writtenOff: number;
  onHand: number;
  /** set aside, by job */
  reserved: { job: string; tag: string; count: number }[];
  /** on hand and set aside for nobody */
  free: number;
}
