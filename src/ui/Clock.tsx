import { format, isSameDay } from 'date-fns';
import { useEffect, useState } from 'react';

/**
 * A moment as the bench says it: the time today, day and time otherwise. The server may sit in
 * another time zone, so the words are written again once the page is alive.
 */
export function Clock({ at, day }: { at: string; day?: boolean }) {
  const [alive, setAlive] = useState(false);
  useEffect(() => setAlive(true), []);
  const date = new Date(at);
  const today = alive && isSameDay(date, new Date());
  return (
    // Keyed, so that the words of another time zone are replaced and not kept.
    <time key={String(alive)} dateTime={at} className="mono" suppressHydrationWarning>
      {format(date, day && !today ? 'd MMM HH:mm' : 'HH:mm')}
    </time>
  );
}
