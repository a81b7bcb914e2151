import { connect, type Socket } from 'node:net';
import { isNever } from './instruments-allowed';
import { Problem } from './problem';

export interface Address {
  host: string;
  port: number;
}

/** Reads "host:port". */
export function addressOf(text: string): Address {
  const m = /^(\[[0-9a-f:]+\]|[A-Za-z0-9.-]{1,200}):(\d{1,5})$/.exec(text.trim());
  const port = Number(m?.[2]);
  if (!m?.[1] || port < 1 || port > 65_535)
    throw new Problem(
      422,
      'No address',
      `“${text}” is no address. Type it as name:port, such as 127.0.0.1:5025`,
      '/address',
    );
  return { host: m[1].replace(/^\[|\]$/g, ''), port };
}

const LONGEST_LINE = 4096;

/** A line-by-line talk with an instrument, one question at a time, with an end to every wait. */
export class Line {
  private buffer = '';
  private wake: (() => void) | undefined;
  private gone: Error | undefined;

  private constructor(
    private readonly socket: Socket,
    private readonly name: string,
    private readonly timeoutMs: number,
  ) {
    socket.setNoDelay(true);
    // Decoded over the whole talk: a letter of two bytes may come in two pieces.
    socket.setEncoding('utf8');
    socket.on('data', (piece: string) => {
      this.buffer += piece;
      if (this.buffer.length > LONGEST_LINE)
        this.end(new Problem(502, 'Wrong answer', `${name} talks without end`));
      this.wake?.();
    });
    socket.on('error', (e) => this.end(e));
    socket.on('close', () => this.end(new Error('closed')));
  }

  private end(error: Error) {
    this.gone ??= error;
    this.socket.destroy();
    this.wake?.();
  }

  /** @throws Problem 502 when nothing answers there, 504 when it takes too long */
  static open(address: Address, timeoutMs: number, what = 'meter'): Promise<Line> {
    const name = `the ${what} at ${address.host}:${address.port}`;
    return new Promise((ok, fail) => {
      const socket = connect({ ...address, autoSelectFamily: true });
      const late = setTimeout(() => {
        socket.destroy();
        fail(new Problem(504, 'No answer', `${name} did not answer within ${timeoutMs / 1000} s`));
      }, timeoutMs);
      socket.once('error', (e: NodeJS.ErrnoException) => {
        clearTimeout(late);
        fail(
          new Problem(
            502,
            `No ${what}`,
            `nothing listens at ${address.host}:${address.port} (${e.code ?? e.message}). Is it on, and is its network lead in?`,
          ),
        );
      });
      socket.once('connect', () => {
        clearTimeout(late);
        // A name may lead anywhere: what it led to is what counts.
        if (isNever(socket.remoteAddress ?? '')) {
          socket.destroy();
          return fail(new Problem(502, `No ${what}`, `${address.host} is no place for an instrument`));
        }
        socket.removeAllListeners('error');
        ok(new Line(socket, name, timeoutMs));
      });
    });
  }

  tell(command: string): void {
    this.socket.write(`${command}\n`);
  }

  /** @throws Problem 502 when the line drops, 504 when no answer comes in time */
  ask(query: string): Promise<string> {
    this.tell(query);
    return this.hear(query);
  }

  /** The next line of an answer that has several. */
  async hear(query: string): Promise<string> {
    const until = Date.now() + this.timeoutMs;
    for (;;) {
      const end = this.buffer.indexOf('\n');
      if (end >= 0) {
        const line = this.buffer.slice(0, end).replace(/\r$/, '');
        this.buffer = this.buffer.slice(end + 1);
        return line;
      }
      if (this.gone)
        throw this.gone instanceof Problem
          ? this.gone
          : new Problem(502, 'Line dropped', `${this.name} hung up before it answered ${query}`);
      const left = until - Date.now();
      if (left <= 0)
        throw new Problem(
          504,
          'No answer',
          `${this.name} did not answer ${query} within ${this.timeoutMs / 1000} s`,
        );
      await new Promise<void>((done) => {
        const timer = setTimeout(done, left);
        this.wake = () => {
          clearTimeout(timer);
          done();
        };
      });
      this.wake = undefined;
    }
  }

  close(): void {
    this.socket.end();
    this.socket.destroySoon();
  }
}
