import { lazy, Suspense, useEffect, useState } from 'react';
import { onSumAsked, type SumAsked } from './open-sum';

/** The cabinet is fetched when somebody first asks for it. */
const SumFinder = lazy(() => import('./SumFinder').then((m) => ({ default: m.SumFinder })));

/** Waits in every view until a sum is asked for, by key or by a button beside a figure. */
export function SumHost({ onKeep }: { onKeep?: ((text: string) => string | null) | undefined }) {
  const [asked, setAsked] = useState<SumAsked | null>(null);
  useEffect(() => onSumAsked(setAsked), []);
  useEffect(() => {
    const key = (e: KeyboardEvent) => {
      if ((e.ctrlKey || e.metaKey) && e.key.toLowerCase() === 'k') {
        e.preventDefault();
        setAsked({});
      }
    };
    window.addEventListener('keydown', key);
    return () => window.removeEventListener('keydown', key);
  }, []);
  if (!asked) return null;
  return (
    <Suspense fallback={null}>
      <SumFinder asked={asked} onAsk={setAsked} onKeep={onKeep} />
    </Suspense>
  );
}
