import type { LineEntry, Named } from '.';

/** What an entry says, in one line: verb and kind, how many of what, where from, to what, with what, where it lies, a note. */
export function inShort(e: LineEntry): string {
  const thread = e.thread && `${e.thread}${e.lengthMm ? `x${e.lengthMm}` : ''}`;
  const many = e.kind === 'fastener' || (e.takesOff && e.count !== 1);
  return [
    `${e.does}${e.takesOff && e.kind !== 'fastener' ? ` ${e.kind}` : ''}${e.aside ? ' aside' : ''}:`,
    many ? `${e.count ?? 'some'} x` : '',
    e.name,
    e.head,
    thread,
    e.drive,
    e.from ? `< ${e.from}` : '',
    e.to ? `to ${e.to}` : '',
    e.minutes ? `${e.minutes} min` : '',
    e.tool ? `with ${e.tool}` : '',
    e.place ? `> ${e.place.label ?? e.place.kind}` : '',
    e.note ? `(${e.note})` : '',
  ]
    .filter(Boolean)
    .join(' ');
}

/** Names of a unit: covers, and elements by their marks. */
export const unit = (covers: string[], elements: Record<string, string>): Named[] => [
  ...covers.map((name) => ({ id: name, name, kind: 'cover' as const })),
  ...Object.entries(elements).map(([id, name]) => ({ id, name, kind: 'element' as const })),
];

export type Row = [line: string, ...entries: string[]];
