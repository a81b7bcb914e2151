import { Refusal } from '../../core/refusal';
import { type FaultKind, storeFaultOf } from '../../data/store-fault';
import { Problem } from '../problem';
import { HEAVY, type HeavyName } from './heavy';

/** What a thread answers: a refusal is told in words, since an error loses its kind on the way. */
export type Said<R> =
  | { answer: R }
  | { refused: { reason: string; path: string } }
  | { fault: { kind: FaultKind; words: string } }
  | { problem: Pick<Problem, 'status' | 'title' | 'detail' | 'path'> };

/** Works one thing out, in a thread of its own. */
export default async function thread({
  name,
  request,
}: {
  name: HeavyName;
  request: never;
}): Promise<Said<unknown>> {
  try {
    return { answer: await HEAVY[name](request) };
  } catch (error) {
    if (error instanceof Refusal) return { refused: { reason: error.message, path: error.path } };
    if (error instanceof Problem) {
      const { status, title, detail, path } = error;
      return { problem: { status, title, detail, path } };
    }
    const fault = storeFaultOf(error);
    if (fault) return { fault: { kind: fault.kind, words: fault.message } };
    throw error;
  }
}
