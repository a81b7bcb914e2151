import { EMPTY_LEDGER, type Ledger } from '../../ledger';

/** Where the screws of a thing sit, in their numbering: millimetres or any one unit. */
export interface Holes {
  points: { x: number; y: number }[];
  lid: 'metal' | 'plastic';
}

/** A unit inside the unit: a feeder, a pair of boards; with its own goal and its own things off. */
export interface SubUnit {
  id: string;
  name: string;
  goal: string;
  at: string;
  leftAt?: string;
}

export interface Tray {
  ledger: Ledger;
  /** moves of the unit's recipe that were done, by id */
  followed: string[];
  /** by item of the ledger */
  holes: Record<string, Holes>;
  subUnits: SubUnit[];
  /** what things of the unit were called in this job as well, by id */
  aliases: { said: string; means: string }[];
}

export const startTray = (): Tray => ({
  ledger: EMPTY_LEDGER,
  followed: [],
  holes: {},
  subUnits: [],
  aliases: [],
});
