import { type CoverState, closeRefusals, placeWords, specOf, tally, twins } from '../ledger';
import { Refusal } from '../refusal';
import type { UnitMap } from '../unit';
import type { JobEvent } from './event';
import { fold } from './reduce';

/** A unit of which nothing is known: enough to keep a tray by. */
const BARE: UnitMap = {
  name: 'unit',
  maker: '',
  model: '',
  feeds: [],
  taps: [],
  access: [],
  hazards: [],
  elements: [
    {
      id: 'unit',
      name: 'unit',
      kind: 'board',
      weight: 1,
      remedies: [{ id: 'replace', kind: 'replace', name: 'replace', minutes: 1, fixes: 1 }],
    },
  ],
  functions: [{ id: 'works', name: 'works', output: 'unit' }],
};

/** What is off, what may close, and what could be exchanged by mistake. */
export interface LedgerAnswer {
  items: {
    id: string;
    what: string;
    taken: number;
    off: number;
    back: number;
    writtenOff: number;
    /** pieces in each state */
    by: Record<string, number>;
    place: string;
  }[];
  covers: { cover: string; state: CoverState; finalCloseRefuses: string[] }[];
  twins: { a: string; b: string; protrusionMm: number; differs: 'length' | 'thread' }[];
}

function foldAt(opened: JobEvent, events: JobEvent[]) {
  try {
    return fold([opened, ...events]);
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    const [, index, ...rest] = error.path.split('/');
    throw new Refusal(error.message, ['/events', Number(index) - 1, ...rest].join('/'));
  }
}

/**
 * The tray that a list of events amounts to, without a unit: items with state and place, and what a
 * final close of each cover would refuse.
 *
 * @param events moves, returns, proofs, write-offs, closes and undos, in their order; counts are pieces
 * @returns items, covers and look-alikes
 * @throws Refusal with the path `/events/n` of the event that breaks a rule
 * @example ledgerOf([unplugJ7]).items[0].off // 1
 */
export function ledgerOf(events: JobEvent[]): LedgerAnswer {
  const opened: JobEvent = {
    type: 'job.opened',
    id: 'opened',
    job: 'bare',
    tag: '-',
    at: '1970-01-01T00:00:00Z',
    by: '-',
    map: BARE,
  };
  const { ledger } = foldAt(opened, events).state;
  return {
    items: ledger.items.map((i) => ({
      id: i.id,
      what: specOf(i),
      ...tally(i),
      by: { ...i.by },
      place: placeWords(i.place),
    })),
    covers: ledger.covers.map((c) => ({
      cover: c.id,
      state: c.state,
      finalCloseRefuses: c.state === 'final' ? [] : closeRefusals(ledger, c.id),
    })),
    twins: twins(ledger.items),
  };
}
