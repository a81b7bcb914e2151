import type { ReactNode } from 'react';
import { STOPS, type Stop } from '../../core/job';
import { stopOf } from '../../schemas/job-path';

type Sheet = () => ReactNode;

const LOADERS: Record<Stop, () => Promise<Sheet>> = {
  'take in': () => import('../take-in/TakeIn').then((m) => m.TakeIn),
  trace: () => import('../trace/Trace').then((m) => m.Trace),
  plan: () => import('../plan/PlanStop').then((m) => m.PlanStop),
  'make safe': () => import('../make-safe/MakeSafe').then((m) => m.MakeSafe),
  'open up': () => import('../open-up/OpenUp').then((m) => m.OpenUp),
  swap: () => import('../swap/Swap').then((m) => m.Swap),
  'close up': () => import('../close-up/CloseUp').then((m) => m.CloseUp),
  prove: () => import('../prove/Prove').then((m) => m.Prove),
  'hand over': () => import('../hand-over/HandOver').then((m) => m.HandOver),
};

/** A page that has just woken has other things to do first. */
const WHEN_CALM_MS = 200;

const loaded = new Map<Stop, Sheet>();

/** The sheet of a stop, once it is there. */
export const sheetOf = (stop: Stop): Sheet | undefined => loaded.get(stop);

let coming: Promise<void> | null = null;

/** Fetches the sheet of a stop. */
export async function loadSheet(stop: Stop): Promise<void> {
  if (!loaded.has(stop)) loaded.set(stop, await LOADERS[stop]());
}

/** Fetches the sheet of a stop that was turned to; what is pressed meanwhile is for it. */
export function turnTo(stop: Stop): Promise<void> {
  const turned = loadSheet(stop);
  const settled = turned.then(
    // Once it is drawn.
    () => new Promise<void>((done) => setTimeout(done)),
    () => {},
  );
  coming = settled;
  void settled.then(() => {
    if (coming === settled) coming = null;
  });
  return turned;
}

/** Does something on the sheet that is there, or on the one that is coming as soon as it is. */
export function onTheSheet(act: () => void): void {
  if (coming) void coming.then(act);
  else act();
}

/** Fetches the other sheets, one after another, while nothing else is to be done. */
export function loadTheRest(): () => void {
  let going = true;
  const idle = (act: () => void) =>
    'requestIdleCallback' in window
      ? window.requestIdleCallback(act, { timeout: 4000 })
      : setTimeout(act, 400);
  const next = () => {
    const stop = STOPS.find((s) => !loaded.has(s));
    // Without a connection it is tried again when the stop is asked for.
    if (going && stop)
      void loadSheet(stop).then(
        () => idle(next),
        () => {},
      );
  };
  const timer = setTimeout(() => idle(next), WHEN_CALM_MS);
  return () => {
    going = false;
    clearTimeout(timer);
  };
}

// The sheet that a page begins with is there before the page wakes; a server has them all.
const first =
  typeof window === 'undefined' ? STOPS : [stopOf(document.documentElement.dataset.stop) ?? 'take in'];
// What does not come now is asked for again when the page is alive.
await Promise.all(first.map((stop) => loadSheet(stop).catch(() => {})));
