import { ulid } from 'ulid';
import type { Database } from '../../data/database';
import { countOf } from '../../data/jobs';
import { join, type Present } from './hub';

/** Milliseconds between two signs of life; a listener that hears none asks by itself. */
export const BEAT_MS = 10_000;

export interface Asks {
  job: string;
  /** entries that the listener knows */
  after: number;
  name: string;
  device: string;
}

/**
 * What happens in a job, as server-sent events (HTML Living Standard, 9.2): `hello` with the id of the
 * connection, `moved` with the number of entries, `others` with who has it open, `beat` now and then. Each
 * `moved` carries its number as its id, so that a listener who comes back is told what was missed.
 *
 * @param stillIn whether who listens may still do so; asked at every beat
 */
export function liveStream(
  db: Database,
  { job, after, name, device }: Asks,
  stillIn: () => Promise<boolean>,
): ReadableStream<Uint8Array> {
  const text = new TextEncoder();
  const me: Present = { id: ulid(), name, device };
  let leave = () => {};
  let beat: ReturnType<typeof setInterval> | undefined;
  return new ReadableStream({
    start(stream) {
      let known = after;
      const say = (event: string, data: unknown, id?: number) =>
        stream.enqueue(
          text.encode(
            `${id === undefined ? '' : `id: ${id}\n`}event: ${event}\ndata: ${JSON.stringify(data)}\n\n`,
          ),
        );
      const moved = (seq: number) => {
        if (seq === known) return;
        known = seq;
        say('moved', seq, seq);
      };
      const end = () => {
        clearInterval(beat);
        leave();
        try {
          stream.close();
        } catch {
          // It was closed from the other end.
        }
      };
      // Another process on the same database tells nobody here: it is looked at now and then.
      const look = async () => {
        if (!(await stillIn())) return end();
        moved(await countOf(db.read, job));
        say('beat', BEAT_MS);
      };
      stream.enqueue(text.encode('retry: 2000\n\n'));
      say('hello', me.id);
      const looks = () => void look().catch(end);
      leave = join(job, { present: me, moved, others: (all) => say('others', all), look: looks, end });
      looks();
      beat = setInterval(looks, BEAT_MS);
    },
    cancel() {
      clearInterval(beat);
      leave();
    },
  });
}
