import type { Model, Power } from '../../trace';
import type { Indexed } from '../values';

/** Where somebody stands who works by one way. */
export interface Stand {
  model: Model;
  /** who is still suspected when every answer is believed */
  suspects: number[];
  /** how often each check was made */
  made: number[];
  /** rungs tried of each ladder */
  rungs: number[];
  opened: boolean[];
  power: Power | undefined;
  /** what was seen and tried so far */
  log: NonNullable<Model['request']['log']>;
}

/** A way of finding a fault: what it does next from where it stands. */
export interface Way {
  /** as it is called in the answer */
  name: string;
  /** what it does next */
  next(stand: Stand): Indexed;
  /** the same log leads it to the same place, whatever the order it was written in */
  unordered?: boolean;
  /** a story less likely than this is not followed to its end; the usual one when absent */
  unlikely?: number;
}
