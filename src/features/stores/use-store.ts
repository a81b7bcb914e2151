import { useState } from 'react';
import { ulid } from 'ulid';
import type { Holding, Movement, StockItem, ToOrder } from '../../core/stock';
import { author } from '../job/author';
import { type Failure, send } from '../units/send';

export interface Stocked {
  item: StockItem;
  version: number;
  holding: Holding;
}

export interface StoreLink {
  items: Stocked[];
  order: ToOrder[];
  busy: boolean;
  wrong: string;
  /** keeps a thing; null when it was kept */
  save(item: StockItem, version: number): Promise<Failure | null>;
  /** adds a line to its ledger; null when it was added */
  move(m: Pick<Movement, 'item' | 'kind' | 'count'> & Partial<Movement>): Promise<Failure | null>;
}

/** The store as the server has it, and what changes it. */
export function useStore(first: { items: Stocked[]; order: ToOrder[] }): StoreLink {
  const [store, setStore] = useState(first);
  const [busy, setBusy] = useState(false);
  const [wrong, setWrong] = useState('');
  const again = async () => {
    const res = await fetch('/api/stock').catch(() => null);
    setWrong(res?.ok ? '' : 'The store did not come: what stands here may be old.');
    if (res?.ok) setStore((await res.json()) as typeof first);
  };
  const done = async (sent: { ok: true } | { ok: false; failure: Failure }) => {
    if (sent.ok) await again();
    setBusy(false);
    return sent.ok ? null : sent.failure;
  };
  return {
    ...store,
    busy,
    wrong,
    async save(item, version) {
      setBusy(true);
      return done(await send('/api/stock', { item, version }, 'PUT'));
    },
    async move(m) {
      setBusy(true);
      const line = { id: ulid(), at: new Date().toISOString(), by: author.get() || 'bench', ...m };
      return done(await send('/api/stock/movements', line));
    },
  };
}
