import type { Texts } from './typed';

/** Asked from anywhere in a view: a sum, or the finder when none is named. */
export interface SumAsked {
  name?: string;
  begin?: Texts;
}

const EVENT = 'mulch-sum';

/** Opens a sum over the view, with figures already in its fields. */
export const openSum = (asked: SumAsked = {}): void => {
  window.dispatchEvent(new CustomEvent<SumAsked>(EVENT, { detail: asked }));
};

/** Hears when a sum is asked for; answers how to stop hearing. */
export function onSumAsked(hear: (asked: SumAsked) => void): () => void {
  const heard = (e: Event) => hear((e as CustomEvent<SumAsked>).detail);
  window.addEventListener(EVENT, heard);
  return () => window.removeEventListener(EVENT, heard);
}
