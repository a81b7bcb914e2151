import type { LineEntry } from './entry';
import type { Place } from './place';

const placeText = ({ kind, label }: Place): string => `> ${kind}${label ? ` ${label}` : ''}`;

const sizeOf = ({ thread, lengthMm }: LineEntry): string => {
  if (!thread) return lengthMm === undefined ? '' : `${lengthMm} mm`;
  if (lengthMm === undefined) return thread;
  return thread.includes('-')
    ? `${thread} x ${Number((lengthMm / 25.4).toFixed(5))} in`
    : `${thread}x${lengthMm}`;
};

/**
 * An entry as a line that reads back as the same entry.
 *
 * @param e an entry
 * @returns one line
 * @example printEntry({ does: 'undo', takesOff: true, kind: 'fastener', name: 'screw', count: 4, thread: 'M3', lengthMm: 8, from: 'lid' }) // 'undo 4 x M3x8 lid'
 */
export function printEntry(e: LineEntry): string {
  const count = e.count === null ? 'several' : e.count === undefined || e.count === 1 ? '' : `${e.count} x`;
  const screw = e.kind === 'fastener';
  const called = screw ? (e.name === 'screw' && e.thread ? '' : (e.name ?? '')) : (e.name ?? '');
  return [
    e.does,
    screw ? count || '1 x' : count,
    screw ? sizeOf(e) : '',
    screw ? e.drive?.replace(/^HEX/, 'hex ') : '',
    screw && e.head ? `${e.head} head` : '',
    called,
    e.from ? `${screw ? 'from' : 'off the'} ${e.from}` : '',
    !screw && e.lengthMm !== undefined ? `${e.lengthMm} mm` : '',
    e.contacts === undefined ? '' : `${e.contacts}p`,
    e.wires === undefined ? '' : `${e.wires}w`,
    e.latch ? 'latched' : '',
    e.aside ? 'aside' : '',
    e.does === 'flip' ? `${e.to} up` : e.to ? `to ${e.to}` : '',
    e.minutes === undefined ? '' : `${e.minutes} min`,
    e.tool ? `with ${e.tool}` : '',
    e.place ? placeText(e.place) : '',
    e.note ? `(${e.note})` : '',
  ]
    .filter(Boolean)
    .join(' ');
}
