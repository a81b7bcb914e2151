import { useCallback, useEffect, useMemo, useState } from 'react';
import { Refusal } from '../../../core/refusal';
import { type UnitMap, validateMap } from '../../../core/unit';
import { kept as store } from '../../../ui/kept';
import type { Failure } from '../send';

interface Draft {
  map: UnitMap;
  place: string;
  /** version it was begun from: who saved in between is found out, after a reload too */
  version: number;
}

interface Past {
  now: Draft;
  back: Draft[];
  forth: Draft[];
  /** where the last change was made: typing on in one cell is one step */
  at: string;
}

const DEEPEST = 200;

/**
 * A map being worked on: every change can be taken back, the first thing wrong is known at once, and
 * a reload finds it as it was left.
 *
 * @param key under which the draft is kept on this machine
 * @param kept what the server has
 */
export function useDraft(key: string, kept: Draft) {
  const [past, setPast] = useState<Past>({ now: kept, back: [], forth: [], at: '' });
  const [found, setFound] = useState(false);
  useEffect(() => {
    const left = store.read<Draft>(key);
    if (!left) return;
    setPast((p) => ({ ...p, now: left }));
    setFound(true);
  }, [key]);

  const change = useCallback(
    (next: Draft, at: string) => {
      setPast((p) => {
        const same = at !== '' && at === p.at;
        return {
          now: next,
          back: same ? p.back : [...p.back.slice(-DEEPEST), p.now],
          forth: [],
          at,
        };
      });
      store.write(key, next);
    },
    [key],
  );
  const travel = useCallback(
    (way: 'back' | 'forth') =>
      setPast((p) => {
        const other = way === 'back' ? 'forth' : 'back';
        const next = p[way].at(-1);
        if (!next) return p;
        store.write(key, next);
        return { ...p, now: next, [way]: p[way].slice(0, -1), [other]: [...p[other], p.now], at: '' };
      }),
    [key],
  );
  const drop = useCallback(() => store.drop(key), [key]);

  const wrong = useMemo<Failure | null>(() => {
    try {
      validateMap(past.now.map);
      return null;
    } catch (error) {
      if (error instanceof Refusal) return { reason: error.message, path: error.path };
      throw error;
    }
  }, [past.now.map]);
  return {
    draft: past.now,
    changed: past.back.length > 0 || found,
    found,
    canUndo: past.back.length > 0,
    canRedo: past.forth.length > 0,
    change,
    undo: () => travel('back'),
    redo: () => travel('forth'),
    /** forgets the draft kept on this machine */
    drop,
    restart: (next: Draft) => {
      drop();
      setFound(false);
      setPast({ now: next, back: [], forth: [], at: '' });
    },
    wrong,
  };
}
