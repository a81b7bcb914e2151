import type { Stop } from './stop';

/** A picture taken at the bench; the picture itself is kept beside the job. */
export interface Photo {
  id: string;
  at: string;
  by: string;
  file: string;
  caption: string;
  width: number;
  height: number;
  stop: Stop;
  /** the earlier picture it stands beside: before and after */
  after?: string;
  /** the thing of the tray it was taken for */
  of?: string;
  pins?: PhotoPin[];
}

/** A numbered pin on a picture; x and y from 0 to 1 of its width and height. */
export interface PhotoPin {
  x: number;
  y: number;
  /** designator, or words of one's own */
  on: string;
  /** the thing of the tray it is bound to */
  item?: string;
}

/** Something that takes its time by itself: heat, soak, cure, charge, boot. */
export interface Timer {
  id: string;
  what: string;
  startedAt: string;
  minutes: number;
  endedAt?: string;
}

export interface Consumable {
  id: string;
  what: string;
  amount?: string;
  on?: string;
  at: string;
  by: string;
}

/** A tick of one's own, asked at a stop or when a thing goes back. */
export interface Tick {
  id: string;
  text: string;
  stop: Stop;
  item?: string;
}

/** What is kept beside the work, at any stop. */
export interface Beside {
  notes: { at: string; by: string; text: string }[];
  photos: Photo[];
  timers: Timer[];
  consumables: Consumable[];
  ticks: Tick[];
  ticked: { tick: string; at: string; by: string }[];
}

export const startBeside = (): Beside => ({
  notes: [],
  photos: [],
  timers: [],
  consumables: [],
  ticks: [],
  ticked: [],
});
