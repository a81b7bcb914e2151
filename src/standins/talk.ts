import { createServer, type Socket } from 'node:net';

/** What is understood, and what it does. */
export type Command = [RegExp, (m: RegExpExecArray) => void];

/** A stand-in that listens on loopback. */
export interface Listening {
  /** host:port */
  address: string;
  close(): Promise<void>;
}

const LONGEST_TALK = 10_000;

/** Hears a socket line by line; a line that fits no command is `unknown`. */
export function hearLines(socket: Socket, commands: Command[], unknown: () => void): void {
  let buffer = '';
  // Decoded over the whole talk: a letter of two bytes may come in two pieces.
  socket.setEncoding('utf8');
  socket.on('error', () => socket.destroy());
  socket.on('data', (piece: string) => {
    buffer += piece;
    if (buffer.length > LONGEST_TALK) socket.destroy();
    for (let end = buffer.indexOf('\n'); end >= 0; end = buffer.indexOf('\n')) {
      const line = buffer.slice(0, end).trim();
      buffer = buffer.slice(end + 1);
      if (!line) continue;
      const known = commands.find(([pattern]) => pattern.test(line));
      if (known) known[1](known[0].exec(line) as RegExpExecArray);
      else unknown();
    }
  });
}

/** Listens on a free port of loopback, with one session per caller. */
export function listenOnLoopback(session: (socket: Socket) => void): Promise<Listening> {
  const open = new Set<Socket>();
  const server = createServer((socket) => {
    open.add(socket);
    socket.on('close', () => open.delete(socket));
    session(socket);
  });
  return new Promise((ok) => {
    server.listen(0, '127.0.0.1', () => {
      const at = server.address();
      ok({
        address: `127.0.0.1:${typeof at === 'object' && at ? at.port : 0}`,
        close: () =>
          new Promise((done) => {
            for (const s of open) s.destroy();
            server.close(() => done());
          }),
      });
    });
  });
}
