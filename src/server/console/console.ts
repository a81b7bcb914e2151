import { readDump } from '../../core/settings';
import { addressSetting } from '../address-setting';
import { addressOf, Line } from '../line';
import { Problem } from '../problem';

const TIMEOUT_MS = 4000;
/** A dump longer than this is not one of settings. */
const MOST_LINES = 5000;

/** Where the unit’s console is. */
export const consoleAddress = addressSetting('console', 'console address', 'MULCH_CONSOLE', '127.0.0.1:7023');

async function talk<T>(
  address: string,
  unit: string | undefined,
  timeoutMs: number,
  ask: (line: Line, who: string) => Promise<T>,
): Promise<T> {
  const line = await Line.open(addressOf(address), timeoutMs, 'console');
  try {
    if (unit) {
      const there = await line.ask(`UNIT ${unit}`);
      if (!there.startsWith('OK'))
        throw new Problem(422, 'No such unit', `the console knows no unit ${unit}: ${there}`, '/unit');
    }
    const who = await line.ask('WHO');
    if (!/^UNIT /.test(who))
      throw new Problem(502, 'No console', `what listens there is no console: it said “${who.slice(0, 60)}”`);
    return await ask(line, who.slice(5));
  } finally {
    line.close();
  }
}

const oneLine = (text: string, path: string): string => {
  if (/[\r\n]/.test(text)) throw new Problem(422, 'Refused', 'a key and a value are one line each', path);
  return text;
};

/**
 * All settings of the unit on the console, as text.
 *
 * @throws Problem 502 or 504 when it is not there, hangs up, is late or talks nonsense
 */
export function readConsole(
  address: string,
  unit?: string,
  timeoutMs = TIMEOUT_MS,
): Promise<{ who: string; dump: string }> {
  return talk(address, unit, timeoutMs, async (line, who) => {
    const lines: string[] = [];
    line.tell('DUMP');
    for (let l = await line.hear('DUMP'); l !== 'END'; l = await line.hear('DUMP')) {
      lines.push(l);
      if (lines.length > MOST_LINES) throw new Problem(502, 'Wrong answer', 'the dump does not end');
    }
    return { who, dump: lines.join('\n') };
  });
}

export interface Written {
  key: string;
  wanted: string;
  /** what the unit says it is now; null when it does not know the key */
  readBack: string | null;
  kept: boolean;
  /** what it answered to the writing */
  said: string;
}

/**
 * Writes chosen settings and reads every one of them back: only what is read back counts.
 *
 * @throws Problem as {@link readConsole}
 */
export function writeConsole(
  address: string,
  changes: { key: string; value: string }[],
  unit?: string,
  timeoutMs = TIMEOUT_MS,
): Promise<{ who: string; written: Written[] }> {
  return talk(address, unit, timeoutMs, async (line, who) => {
    const written: Written[] = [];
    for (const [i, { key, value }] of changes.entries()) {
      const said = await line.ask(
        `SET ${oneLine(key, `/changes/${i}/key`)} ${oneLine(value, `/changes/${i}/value`)}`,
      );
      const answer = await line.ask(`GET ${key}`);
      const readBack = answer.startsWith('NO') ? null : (readDump(answer).get(key) ?? null);
      written.push({ key, wanted: value, readBack, kept: readBack === value, said });
    }
    return { who, written };
  });
}
