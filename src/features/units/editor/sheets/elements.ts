import { Refusal } from '../../../../core/refusal';
import {
  addElement,
  ELEMENT_KINDS,
  KIND_DEFAULTS,
  type MapElement,
  type MapRemedy,
  REMEDY_KINDS,
  removeElement,
  renameElement,
} from '../../../../core/unit';
import { names, namesIn, numberIn, onlyIn, put, type Sheet, text, withRow } from '../sheet';
import { words } from './choices';

const VERB: Record<MapRemedy['kind'], string> = {
  set: 'Set',
  reseat: 'Reseat',
  clean: 'Clean',
  replace: 'Replace',
};

/** `reseat 3 min 45 %; replace 12 min 97 %` */
const ladderText = (e: MapElement | undefined) =>
  (e?.remedies ?? [])
    .map((r) => `${r.kind} ${r.minutes} min ${Math.round(r.fixes * 1000) / 10} %`)
    .join('; ');

function ladderIn(typed: string, e: MapElement): MapRemedy[] {
  const rungs = typed
    .split(';')
    .map((x) => x.trim())
    .filter(Boolean);
  if (rungs.length === 0) throw new Refusal('at least one remedy is needed, such as replace 12 min 97 %');
  return rungs.map((rung) => {
    const m = /^(\w+)\s+([\d.,]+)\s*(?:min)?\s+([\d.,]+)\s*%?$/.exec(rung);
    const kind = REMEDY_KINDS.find((k) => k === m?.[1]?.toLowerCase());
    if (!m || !kind)
      throw new Refusal(
        `“${rung}” is not read. Type ${REMEDY_KINDS.join(', ')}, the minutes, and the chance that it lasts`,
      );
    const minutes = numberIn(m[2] ?? '', 'minutes');
    const fixes = numberIn(m[3] ?? '', 'chance') / 100;
    if (!(minutes > 0)) throw new Refusal('minutes must be over 0');
    if (!(fixes > 0 && fixes <= 1)) throw new Refusal('the chance lies over 0 and up to 100 %');
    const was = e.remedies.find((r) => r.kind === kind);
    return was
      ? { ...was, minutes, fixes }
      : {
          id: kind,
          kind,
          name: `${VERB[kind]} ${e.id} ${e.name}`,
          minutes,
          fixes,
          ...(kind === 'replace' ? { parts: [`${e.id} ${e.name}`] } : {}),
        };
  });
}

export const elements: Sheet = {
  id: 'elements',
  title: 'Elements',
  note: 'Boards, cables, connectors and whatever else can fail. The ladder is what mends it, gentlest first.',
  empty: 'Nothing is on the map yet. Add the first element from the row of kinds below.',
  count: (map) => map.elements.length,
  called: (map, i) => map.elements[i]?.id ?? '',
  add: (map) => addElement(map, 'board'),
  remove: (map, i) => removeElement(map, map.elements[i]?.id ?? ''),
  columns: [
    text('elements', 'id', 'Mark', {
      kind: 'mono',
      width: 84,
      write: (map, i, typed) => renameElement(map, map.elements[i]?.id ?? '', typed.trim()),
    }),
    text('elements', 'name', 'What it is', { width: 190 }),
    text('elements', 'kind', 'Kind', {
      kind: 'choice',
      width: 130,
      options: words(ELEMENT_KINDS),
      write: (map, i, typed) =>
        withRow(map, 'elements', i, (e) => {
          const kind = ELEMENT_KINDS.find((k) => k === typed) ?? e.kind;
          return { ...e, kind, weight: KIND_DEFAULTS[kind].weight };
        }),
    }),
    {
      head: 'Weight',
      kind: 'number',
      width: 84,
      read: (map, i) => String(map.elements[i]?.weight ?? ''),
      write: (map, i, typed) =>
        withRow(map, 'elements', i, (e) => {
          const weight = numberIn(typed, 'weight');
          if (!(weight > 0)) throw new Refusal('the weight must be over 0');
          return { ...e, weight };
        }),
    },
    names('elements', 'needs', 'Covers off to mend it', namesIn, { width: 180 }),
    names('elements', 'touch', 'Covers off to reach it', namesIn, { width: 160 }),
    names('elements', 'leads', 'Its own leads', namesIn, { width: 160 }),
    {
      head: 'Ladder',
      kind: 'text',
      width: 330,
      read: (map, i) => ladderText(map.elements[i]),
      write: (map, i, typed) => withRow(map, 'elements', i, (e) => ({ ...e, remedies: ladderIn(typed, e) })),
    },
    {
      head: 'Spare here',
      kind: 'flag',
      width: 70,
      read: (map, i) => (map.elements[i]?.spare ? 'yes' : ''),
      write: (map, i, typed) => withRow(map, 'elements', i, (e) => put(e, 'spare', typed === 'yes')),
    },
    {
      head: 'Hearsay: weight, worth, who',
      kind: 'text',
      width: 250,
      read: (map, i) => {
        const h = map.elements[i]?.hearsay;
        return h ? `${h.weight}, ${h.count}, ${h.source}` : '';
      },
      write: (map, i, typed) =>
        withRow(map, 'elements', i, (e) => {
          if (!typed.trim()) return put(e, 'hearsay', undefined);
          const [weight = '', count = '', ...source] = typed.split(',');
          const h = {
            weight: numberIn(weight, 'weight'),
            count: numberIn(count, 'worth of how many faults'),
            source: source.join(',').trim(),
          };
          if (!(h.weight > 0 && h.count > 0)) throw new Refusal('weight and worth must be over 0');
          if (!h.source) throw new Refusal('say who says so: 6, 3, arcade staff');
          return { ...e, hearsay: h };
        }),
    },
    onlyIn('elements'),
  ],
};
