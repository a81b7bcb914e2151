import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import { inflateSync } from 'node:zlib';
import fontEditor from 'fonteditor-core';
import { create, type Font } from 'fontkit';

/** Alphabets of the shipped print face; a text takes each sign from the first that has it. */
const ALPHABETS = ['latin', 'latin-ext', 'greek', 'greek-ext', 'cyrillic', 'cyrillic-ext', 'vietnamese'];
export const WEIGHTS = ['400', '700'] as const;
export type Weight = (typeof WEIGHTS)[number];

export interface PrintFont {
  /** as it is registered with the drawing package */
  name: string;
  bytes: Buffer;
  font: Font;
}

const folder = () =>
  path.dirname(createRequire(import.meta.url).resolve('@fontsource/source-sans-3/package.json'));

/** A packed font, unpacked for good: the drawing package would unpack a table of it for every sign it draws. */
function unpacked(packed: Buffer): Buffer {
  const bytes = packed.buffer.slice(packed.byteOffset, packed.byteOffset + packed.length);
  const inflate = (table: number[]) => inflateSync(Uint8Array.from(table)) as unknown as number[];
  return Buffer.from(fontEditor.woff2ttf(bytes as ArrayBuffer, { inflate }));
}

const read = (weight: Weight): PrintFont[] =>
  ALPHABETS.map((alphabet) => {
    const bytes = unpacked(
      readFileSync(path.join(folder(), 'files', `source-sans-3-${alphabet}-${weight}-normal.woff`)),
    );
    return { name: `${alphabet} ${weight}`, bytes, font: create(bytes) as Font };
  });

let kept: Record<Weight, PrintFont[]> | undefined;

/** The print face in both weights, read once. */
export function printFonts(): Record<Weight, PrintFont[]> {
  kept ??= { 400: read('400'), 700: read('700') };
  return kept;
}

/** A run of signs of one font. */
export interface Run {
  font: PrintFont;
  text: string;
}

/** A sign that no shipped font has, as it is printed: by its number, never as another sign. */
const numbered = (sign: string) =>
  `[U+${(sign.codePointAt(0) ?? 0).toString(16).toUpperCase().padStart(4, '0')}]`;

/**
 * A text as runs of the fonts that have its signs.
 *
 * @param text in any script
 * @param weight of the face
 * @returns the runs, and the signs that no shipped font has
 * @example runsOf('Ćma', '400').runs.length // 2
 */
export function runsOf(text: string, weight: Weight): { runs: Run[]; lacking: string[] } {
  const fonts = printFonts()[weight];
  const [first] = fonts as [PrintFont, ...PrintFont[]];
  const runs: Run[] = [];
  const lacking: string[] = [];
  for (const sign of text.normalize('NFC').replaceAll('\u00a0', ' ')) {
    const font = fonts.find((f) => f.font.hasGlyphForCodePoint(sign.codePointAt(0) ?? 0));
    if (!font) lacking.push(sign);
    const run = { font: font ?? first, text: font ? sign : numbered(sign) };
    const last = runs.at(-1);
    if (last?.font === run.font) last.text += run.text;
    else runs.push(run);
  }
  return { runs, lacking };
}
