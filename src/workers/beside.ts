import { type Remote, wrap } from 'comlink';

/**
 * A worker beside the page, begun when it is first asked.
 *
 * @param begin makes it
 * @returns what asks it, called like the functions it holds
 */
export function beside<W>(begin: () => Worker): () => Remote<W> {
  let worker: Remote<W> | undefined;
  return () => {
    worker ??= wrap<W>(begin());
    return worker;
  };
}
