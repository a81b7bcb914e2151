import { Refusal } from '../refusal';
import type { JumpersRequest } from './jumpers';

/**
 * Reads options as typed: `volts=230, model=TK-2`.
 *
 * @param text pairs parted by commas, blanks or semicolons
 * @returns option to value
 * @throws Refusal naming what is no pair
 * @example readOptions('volts=230') // { volts: '230' }
 */
export function readOptions(text: string): Record<string, string> {
  return Object.fromEntries(
    text
      .split(/[,;\s]+/)
      .filter(Boolean)
      .map((t) => {
        const m = /^([^=]+)=(.+)$/.exec(t);
        if (!m) throw new Refusal(`“${t}” is no option: type it as volts=230`);
        return [m[1] as string, m[2] as string];
      }),
  );
}

/**
 * Reads jumper rules as typed, one a line: `volts=230: JP1 open, JP2 closed`. What stands before the
 * colon may be empty or a single word: then the rule holds always.
 *
 * @param text lines
 * @returns rules
 * @throws Refusal naming the line
 * @example readRules('volts=230: JP1 open')[0].then // { JP1: 'open' }
 */
export function readRules(text: string): JumpersRequest['rules'] {
  return text.split('\n').flatMap((line, i) => {
    if (!line.trim()) return [];
    const [when = '', then] = line.split(':').map((x) => x.trim());
    if (then === undefined)
      throw new Refusal(`line ${i + 1}: options, a colon, then jumpers: volts=230: JP1 open`);
    const positions = then
      .split(/[,;]+/)
      .map((t) => t.trim())
      .filter(Boolean)
      .map((t) => {
        const m = /^(\S+)\s+(open|closed)$/i.exec(t);
        if (!m) throw new Refusal(`line ${i + 1}: “${t}” is no position: type JP1 open or JP1 closed`);
        return [m[1] as string, m[2]?.toLowerCase() as 'open' | 'closed'] as const;
      });
    return [{ when: when.includes('=') ? readOptions(when) : {}, then: Object.fromEntries(positions) }];
  });
}
