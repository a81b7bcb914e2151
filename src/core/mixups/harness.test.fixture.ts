import type { Header, HeaderLine, Plug } from '.';

/** Lines, headers and plugs of a harness, with what a test does not speak of filled in. */

export const gnd: HeaderLine = { name: 'GND', kind: 'ground' };
export const nc: HeaderLine = { name: 'nc', kind: 'nc' };
export const sig = (name: string, maxVolts?: number): HeaderLine => ({
  name,
  kind: 'signal',
  ...(maxVolts === undefined ? {} : { maxVolts }),
});
export const sup = (volts: number, name = `+${volts}V`, maxVolts?: number): HeaderLine => ({
  name,
  kind: 'supply',
  volts,
  ...(maxVolts === undefined ? {} : { maxVolts }),
});
export const header = (id: string, lines: HeaderLine[], more: Partial<Header> = {}): Header => ({
  id,
  family: 'wafer',
  pitch: 2.5,
  rows: 1,
  positions: lines.length,
  key: 'k',
  open: false,
  at: { x: 0, y: 0, board: 'main' },
  lines,
  ...more,
});
export const plug = (id: string, home: Header, more: Partial<Plug> = {}): Plug => ({
  id,
  home: home.id,
  family: home.family,
  pitch: home.pitch,
  rows: home.rows,
  positions: home.positions,
  key: home.key,
  exit: { x: 0, y: 0, board: 'main' },
  freeLength: 100,
  lines: home.lines.map((l) => l.name),
  ...more,
});
