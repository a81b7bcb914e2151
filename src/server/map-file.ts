import { strFromU8, strToU8, Unzip, UnzipInflate, zipSync } from 'fflate';
import Papa from 'papaparse';
import {
  FORMULA,
  type MapTables,
  mapFromTables,
  meant,
  TABLE_COLUMNS,
  TABLE_NAMES,
  type Table,
  tablesOf,
} from '../core/map-file';
import { Refusal } from '../core/refusal';
import { type UnitMap, validateMap } from '../core/unit';
import { UnitMapSchema } from '../core/unit/schema';
import { explain } from '../schemas/explain';
import { guardOf } from './guard';
import { Problem } from './problem';

const FORMAT = 'mulch map';
const VERSION = 1;
/** Packed bytes that are unpacked at once. */
const PIECE = 16 * 1024;
const MOST_BYTES = 20 * 1024 * 1024;
/** Rows of a table that are read; fewer make a map. */
const MOST_ROWS = 4000;
/** Times are left out of the archive, so that the same map is the same file. */
const EPOCH = new Date('2000-01-01T00:00:00Z');

/** A map as a JSON file. */
export const mapAsJson = (map: UnitMap): string =>
  JSON.stringify({ format: FORMAT, version: VERSION, map }, null, 2);

/** A map as a zip: three tables to be worked on in any spreadsheet, and the rest as JSON. */
export function mapAsZip(map: UnitMap): Uint8Array {
  const tables = tablesOf(map);
  const files: Record<string, Uint8Array> = { 'map.json': strToU8(mapAsJson(map)) };
  for (const name of TABLE_NAMES) {
    const known: readonly string[] = TABLE_COLUMNS[name];
    const more = [...new Set(tables[name].flatMap((r) => Object.keys(r)))].filter((c) => !known.includes(c));
    files[`${name}.csv`] = strToU8(
      Papa.unparse(tables[name], { columns: [...known, ...more], escapeFormulae: FORMULA }),
    );
  }
  return zipSync(files, { mtime: EPOCH });
}

function parsed(text: string): UnitMap {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch (error) {
    throw new Problem(400, 'Not JSON', `the map is not JSON: ${(error as Error).message}`);
  }
  const file = data as { format?: unknown; version?: unknown; map?: unknown } | null;
  if (file?.format === FORMAT && file.version !== VERSION)
    throw new Problem(
      422,
      'Not a map',
      `the map is of version ${JSON.stringify(file.version)?.slice(0, 20)}; this Mulch reads version ${VERSION}`,
      '/version',
    );
  const map = file?.format === FORMAT ? file.map : data;
  const kept = withExtra(map);
  const isMap = guardOf<typeof UnitMapSchema>(UnitMapSchema);
  if (!isMap(kept)) {
    const { path, reason } = explain(isMap.errors);
    throw new Problem(400, 'Not a map', path ? `${path} ${reason}` : reason, path);
  }
  return kept;
}

const KNOWN = new Set(Object.keys(UnitMapSchema.properties));

/** What a map says that Mulch does not know is kept under `extra`. */
function withExtra(map: unknown): unknown {
  if (!map || typeof map !== 'object' || Array.isArray(map)) return map;
  const unknown = Object.entries(map).filter(([k]) => !KNOWN.has(k));
  if (unknown.length === 0) return map;
  const known = Object.fromEntries(Object.entries(map).filter(([k]) => KNOWN.has(k)));
  const extra = (known.extra ?? {}) as Record<string, unknown>;
  return { ...known, extra: { ...extra, ...Object.fromEntries(unknown) } };
}

function tableOf(name: string, bytes: Uint8Array): Table {
  const text = strFromU8(bytes).replace(/^\uFEFF/, '');
  const { data, errors } = Papa.parse<Record<string, string>>(text, {
    header: true,
    // One more than is taken, so that it is told; what lies behind is not read.
    preview: MOST_ROWS + 1,
    skipEmptyLines: 'greedy',
    transformHeader: (h) => h.trim(),
  });
  const bad = errors.find((e) => e.type === 'Quotes' || e.code === 'TooManyFields');
  if (bad)
    throw new Problem(422, 'Not a table', `${name}, row ${(bad.row ?? 0) + 2}: ${bad.message}`, `/${name}`);
  return data.map((row) =>
    Object.fromEntries(
      Object.entries(row).flatMap(([k, v]) => (typeof v === 'string' ? [[k, meant(v)] as const] : [])),
    ),
  );
}

/** PKWARE APPNOTE 6.3, 4.3.16: what the list of files of an archive ends with. */
const END_OF_LIST = Buffer.from([0x50, 0x4b, 5, 6]);
const damaged = () => new Problem(422, 'Not an archive', 'the zip is damaged or cannot be read here');

/** Files of an archive that make a map, counted while they are unpacked: what an archive says of its size may be a lie. */
function unpacked(bytes: Uint8Array): Map<string, Uint8Array> {
  const files = new Map<string, Uint8Array>();
  let size = 0;
  let begun = 0;
  let fault: Error | null = null;
  const unzip = new Unzip((file) => {
    if (!/(^|\/)(map\.json|(elements|feeds|taps)\.csv)$/.test(file.name)) return;
    const parts: Uint8Array[] = [];
    file.ondata = (error, part, last) => {
      if (error) fault ??= damaged();
      if (fault) return;
      size += part.length;
      if (size > MOST_BYTES) {
        fault = new Problem(413, 'Too large', 'unpacked, the archive is over 20 MB');
        file.terminate();
        return;
      }
      parts.push(part);
      if (last) files.set(file.name, Buffer.concat(parts));
    };
    begun++;
    file.start();
  });
  unzip.register(UnzipInflate);
  try {
    // In pieces, so that little is unpacked at once.
    for (let i = 0; i < bytes.length && !fault; i += PIECE)
      unzip.push(bytes.subarray(i, i + PIECE), i + PIECE >= bytes.length);
  } catch {
    fault ??= damaged();
  }
  // An archive that was cut short ends without its list of files, or within one.
  const whole = Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength).lastIndexOf(END_OF_LIST) >= 0;
  if (!whole || files.size < begun) fault ??= damaged();
  if (fault) throw fault;
  return files;
}

/**
 * Reads a map from a file: JSON, or a zip with any of the three tables and, if it came from a Mulch,
 * the rest beside them.
 *
 * @param bytes of the file
 * @param called what the unit is called when the file does not say
 * @throws Problem when it is neither, Refusal naming table and row when a row is wrong
 */
export function readMapFile(bytes: Uint8Array, called: string): UnitMap {
  if (bytes[0] !== 0x50 || bytes[1] !== 0x4b) {
    const map = parsed(strFromU8(bytes).replace(/^\uFEFF/, ''));
    validateMap(map);
    return map;
  }
  const files = unpacked(bytes);
  const byName = new Map([...files].map(([n, b]) => [n.split('/').at(-1) ?? n, b]));
  const tables: Partial<MapTables> = {};
  for (const name of TABLE_NAMES) {
    const file = byName.get(`${name}.csv`);
    if (file) tables[name] = tableOf(`${name}.csv`, file);
  }
  const rest = byName.get('map.json');
  if (!rest && !tables.elements) throw new Refusal('the archive holds neither map.json nor elements.csv');
  return mapFromTables(tables, rest ? parsed(strFromU8(rest)) : { name: called });
}
