import { demand, Refusal } from '../refusal';
import type { Item } from './items';

export type CoverState = 'open' | 'trial' | 'final';

export interface Cover {
  id: string;
  name: string;
  state: CoverState;
  /** when it last changed */
  at: string;
}

export interface LedgerMove {
  id: string;
  at: string;
  verb: string;
  text: string;
  item?: string;
  sideUp?: string;
  on?: string;
}

/** Everything that is off the unit, where it is, and what may close. */
export interface Ledger {
  items: Item[];
  covers: Cover[];
  moves: LedgerMove[];
  sideUp?: string;
}

export const EMPTY_LEDGER: Ledger = { items: [], covers: [], moves: [] };

/** Who does it, when: the part of an event that every rule may use. */
export interface When {
  id: string;
  at: string;
}

/** A thing of the ledger by its id; refused where there is none. */
export function find(ledger: Ledger, id: string): Item {
  const item = ledger.items.find((i) => i.id === id);
  if (!item) throw new Refusal('there is no such thing in the tray', '/item');
  return item;
}

/** The ledger with one thing as it is now. */
export const swapped = (ledger: Ledger, item: Item): Ledger => ({
  ...ledger,
  items: ledger.items.map((i) => (i.id === item.id ? item : i)),
});

/** Refuses a count that is not a whole number from 1 up. */
export const whole = (n: number, path = '/count') =>
  demand(Number.isInteger(n) && n >= 1, `a count is a whole number from 1 up, not ${n}`, path);
