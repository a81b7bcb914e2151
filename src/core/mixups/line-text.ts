import { Refusal } from '../refusal';
import { type HeaderLine, LINE_KINDS } from './types';

const GROUND = /^(gnd|0v|vss|earth|pe|ground|-|−)$/i;
const NONE = /^(nc|n\.c\.|-{2,}|none)$/i;
const SUPPLY = /^([+-−]?)(\d+(?:[.,]\d+)?)\s*V\b/i;
const number = (t: string) => Number(t.replace(',', '.').replace('−', '-'));

/**
 * Reads what a header's contacts carry, as jotted from contact 1: `+12V; GND; CAM_TX max 3.6; nc`.
 * A name that begins with a voltage is a supply, GND and 0V are ground, nc carries nothing, anything
 * else is a signal. A kind may be said in a word: `VBAT supply 3.7`.
 *
 * @param text lines parted by `;` or `|`
 * @returns one line per contact
 * @throws Refusal naming the contact that cannot be read
 * @example readLineText('+12V; GND')[0] // { name: '+12V', kind: 'supply', volts: 12 }
 */
export function readLineText(text: string): HeaderLine[] {
  if (!text.trim()) return [];
  return text.split(/[;|]/).map((raw, i) => {
    const t = raw.trim();
    if (!t) throw new Refusal(`contact ${i + 1} is empty: write nc where nothing is connected`);
    const max = /\bmax\s+([+-−]?\d+(?:[.,]\d+)?)\s*V?/i.exec(t);
    const rest = t.replace(max?.[0] ?? '', '').trim();
    const kind = LINE_KINDS.find((k) => new RegExp(`\\s${k}\\b`, 'i').test(` ${rest}`));
    const said = kind ? /(?:supply)\s+([+-−]?\d+(?:[.,]\d+)?)/i.exec(rest)?.[1] : undefined;
    const name = (kind ? (rest.split(new RegExp(`\\s+${kind}\\b`, 'i'))[0] ?? '') : rest).trim() || t;
    const limit = max?.[1] ? { maxVolts: number(max[1]) } : {};
    if (kind) return { name, kind, ...(said ? { volts: number(said) } : {}), ...limit };
    if (NONE.test(name)) return { name: 'nc', kind: 'nc' };
    if (GROUND.test(name)) return { name: name === '-' || name === '−' ? 'GND' : name, kind: 'ground' };
    const supply = SUPPLY.exec(name);
    if (supply) {
      const sign = supply[1] === '-' || supply[1] === '−' ? -1 : 1;
      return { name, kind: 'supply', volts: sign * number(supply[2] ?? '0'), ...limit };
    }
    return { name, kind: 'signal', ...limit };
  });
}

/**
 * The same, written out.
 *
 * @example lineText([{ name: '+12V', kind: 'supply', volts: 12 }]) // '+12V'
 */
export function lineText(lines: HeaderLine[]): string {
  return lines
    .map((l) => {
      const plain = readLineText(l.name)[0];
      const as =
        plain?.kind === l.kind && plain.volts === l.volts
          ? l.name
          : `${l.name} ${l.kind}${l.volts === undefined ? '' : ` ${l.volts}`}`;
      return l.maxVolts === undefined ? as : `${as} max ${l.maxVolts}`;
    })
    .join('; ');
}
