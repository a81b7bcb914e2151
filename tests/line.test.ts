import { connect } from 'node:net';
import fc from 'fast-check';
import { expect, it } from 'vitest';
import { addressOf, Line } from '../src/server/line';
import { hearLines, listenOnLoopback } from '../src/standins/talk';

/** Every way of cutting bytes into pieces, the cuts wherever they fall. */
const pieces = (bytes: Buffer, cuts: number[]): Buffer[] => {
  const at = [...new Set(cuts.map((c) => c % (bytes.length + 1)))].sort((a, b) => a - b);
  return [0, ...at].map((from, i) => bytes.subarray(from, at[i] ?? bytes.length)).filter((p) => p.length > 0);
};
const words = fc.array(fc.constantFrom('µ', 'Ω', '°', '±', 'a', '7', '=', '電'), {
  minLength: 1,
  maxLength: 12,
});
const cuts = fc.array(fc.nat({ max: 60 }), { maxLength: 6 });
const pause = () => new Promise((done) => setTimeout(done, 2));

it('a line is heard as it was said, wherever it was cut on the way', async () => {
  await fc.assert(
    fc.asyncProperty(words, cuts, async (chosen, where) => {
      const said = chosen.join('');
      const there = await listenOnLoopback(async (socket) => {
        socket.setNoDelay(true);
        for (const p of pieces(Buffer.from(`${said}\r\n`), where)) {
          socket.write(p);
          await pause();
        }
      });
      const line = await Line.open(addressOf(there.address), 2000);
      try {
        expect(await line.hear('anything')).toBe(said);
      } finally {
        line.close();
        await there.close();
      }
    }),
    { numRuns: 40 },
  );
});

it('a stand-in hears a command as it was sent, wherever it was cut, and says when it knows none', async () => {
  await fc.assert(
    fc.asyncProperty(words, cuts, async (chosen, where) => {
      const sent = chosen.join('');
      const heard: string[] = [];
      const there = await listenOnLoopback((socket) =>
        hearLines(socket, [[/^SET (.*)$/, (m) => heard.push(m[1] as string)]], () => {
          socket.write('no such command\n');
        }),
      );
      const caller = connect({ host: '127.0.0.1', port: addressOf(there.address).port });
      const refused = new Promise<string>((done) => caller.once('data', (d) => done(d.toString())));
      caller.setNoDelay(true);
      for (const p of pieces(Buffer.from(`SET ${sent}\nGO\n`), where)) {
        caller.write(p);
        await pause();
      }
      expect(await refused).toBe('no such command\n');
      expect(heard).toEqual([sent]);
      caller.destroy();
      await there.close();
    }),
    { numRuns: 40 },
  );
});
