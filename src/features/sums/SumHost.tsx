import { useEffect, useRef, useState } from 'react';
import { Dialog } from '../../ui/Dialog';
import { later } from '../../ui/later';
import { onSumAsked, type SumAsked } from './open-sum';

const TITLE = 'Find';

/** The cabinet is fetched when somebody first asks for it. */
const SumFinder = later(
  () => import('./SumFinder').then((m) => m.SumFinder),
  ({ typed, onTyped }) => <TypedMeanwhile typed={typed} onTyped={onTyped} />,
);

/** Waits in every view until a sum is asked for, by key or by a button beside a figure. */
export function SumHost({ onKeep }: { onKeep?: ((text: string) => string | null) | undefined }) {
  const [asked, setAsked] = useState<SumAsked | null>(null);
  const [title, setTitle] = useState(TITLE);
  const [typed, setTyped] = useState('');
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
  const away = () => {
    setAsked(null);
    setTyped('');
    setTitle(TITLE);
  };
  return (
    <Dialog open onClose={away} title={title}>
      <SumFinder
        asked={asked}
        typed={typed}
        onTyped={setTyped}
        onAsk={setAsked}
        onTitle={setTitle}
        onKeep={onKeep}
      />
    </Dialog>
  );
}

/** What is typed while the cabinet is being fetched is for the finder, not for the keys of the page. */
function TypedMeanwhile({ typed, onTyped }: { typed: string; onTyped(t: string): void }) {
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => field.current?.focus(), []);
  return (
    <input
      ref={field}
      className="input"
      aria-label="Find a job, a unit or a sum"
      placeholder="a job, a unit, a note, a sum"
      value={typed}
      onChange={(e) => onTyped(e.target.value)}
    />
  );
}
