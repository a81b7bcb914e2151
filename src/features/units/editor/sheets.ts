import { Refusal } from '../../../core/refusal';
import {
  addElement,
  ELEMENT_KINDS,
  HAZARD_KINDS,
  type HazardKind,
  hazardOfKind,
  KIND_DEFAULTS,
  type MapElement,
  type MapRemedy,
  type OwnCheck,
  REMEDY_KINDS,
  removeElement,
  renameElement,
  type Tap,
  type UnitMap,
} from '../../../core/unit';
import {
  type Column,
  idsIn,
  listOf,
  names,
  namesIn,
  numberIn,
  onlyIn,
  put,
  type Sheet,
  text,
  withoutRow,
  withRow,
} from './sheet';

const elementOptions = (map: UnitMap) =>
  map.elements.map((e) => ({ value: e.id, words: `${e.id} ${e.name}` }));
const words = (list: readonly string[]) => () => list.map((value) => ({ value, words: value }));
/** The next free name of a kind, such as cover 2. */
const free = (taken: string[], stem: string) => {
  for (let n = 1; ; n++)
    if (!taken.includes(n === 1 ? stem : `${stem} ${n}`)) return n === 1 ? stem : `${stem} ${n}`;
};
const nextTap = (map: UnitMap) => {
  for (let n = 1; ; n++) if (!map.taps.some((t) => t.id === `TP${n}`)) return `TP${n}`;
};

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

const elements: Sheet = {
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

const feeds: Sheet = {
  id: 'feeds',
  title: 'Feeds',
  note: 'What feeds what. Draw one on the chain by pulling from the right edge of an element to another.',
  empty: 'Nothing feeds anything yet. Pull from one element to the next on the drawing, or add a row.',
  count: (map) => map.feeds.length,
  called: (map, i) => `${map.feeds[i]?.from} to ${map.feeds[i]?.to}`,
  add: (map) => {
    const [a, b] = map.elements.slice(-2);
    return { ...map, feeds: [...map.feeds, { from: a?.id ?? '', to: b?.id ?? '', carries: 'signal' }] };
  },
  remove: (map, i) => withoutRow(map, 'feeds', i),
  columns: [
    text('feeds', 'from', 'From', { kind: 'choice', width: 220, options: elementOptions }),
    text('feeds', 'to', 'To', { kind: 'choice', width: 220, options: elementOptions }),
    text('feeds', 'carries', 'Carries', { kind: 'choice', width: 130, options: words(['signal', 'power']) }),
    onlyIn('feeds'),
  ],
};

type Expect = NonNullable<Tap['expect']>;
const FRESH: Expect = { nominal: 5, tolerance: 0.25, low: 0, high: 10, unit: 'V' };
const expected = (name: 'nominal' | 'tolerance' | 'low' | 'high', head: string): Column => ({
  head,
  kind: 'number',
  width: 96,
  idle: (map, i) => map.taps[i]?.how !== 'measure',
  read: (map, i) => String(map.taps[i]?.expect?.[name] ?? ''),
  write: (map, i, typed) =>
    withRow(map, 'taps', i, (t) => ({
      ...t,
      expect: { ...(t.expect ?? FRESH), [name]: numberIn(typed, head) },
    })),
});

const taps: Sheet = {
  id: 'taps',
  title: 'Taps',
  note: 'Points to look, listen or measure at. What stands before a point is what it tests.',
  empty: 'There is no point to look or measure at: Trace can only try, flex and swap. Add one.',
  count: (map) => map.taps.length,
  called: (map, i) => map.taps[i]?.id ?? '',
  add: (map) => ({
    ...map,
    taps: [
      ...map.taps,
      {
        id: nextTap(map),
        name: 'test point',
        after: map.elements.at(-1)?.id ?? '',
        how: 'measure',
        minutes: 1,
        power: 'on',
        expect: FRESH,
      },
    ],
  }),
  remove: (map, i) => withoutRow(map, 'taps', i),
  columns: [
    text('taps', 'id', 'Mark', { kind: 'mono', width: 84 }),
    text('taps', 'name', 'What it is', { width: 190 }),
    text('taps', 'after', 'After', { kind: 'choice', width: 170, options: elementOptions }),
    text('taps', 'how', 'How', {
      kind: 'choice',
      width: 120,
      options: words(['measure', 'look', 'listen']),
      write: (map, i, typed) =>
        withRow(map, 'taps', i, (t) => {
          const how = typed as Tap['how'];
          const { expect: _, ...plain } = t;
          return how === 'measure' ? { ...t, how, expect: t.expect ?? FRESH } : { ...plain, how };
        }),
    }),
    expected('nominal', 'Should read'),
    expected('tolerance', '±'),
    expected('low', 'At least'),
    expected('high', 'At most'),
    {
      head: 'Unit',
      kind: 'mono',
      width: 72,
      idle: (map, i) => map.taps[i]?.how !== 'measure',
      read: (map, i) => map.taps[i]?.expect?.unit ?? '',
      write: (map, i, typed) =>
        withRow(map, 'taps', i, (t) => {
          if (!typed.trim()) throw new Refusal('say in which unit it reads');
          return { ...t, expect: { ...(t.expect ?? FRESH), unit: typed.trim() } };
        }),
    },
    {
      head: 'a.c.',
      kind: 'flag',
      width: 56,
      idle: (map, i) => map.taps[i]?.how !== 'measure',
      read: (map, i) => (map.taps[i]?.ac ? 'yes' : ''),
      write: (map, i, typed) => withRow(map, 'taps', i, (t) => put(t, 'ac', typed === 'yes')),
    },
    text('taps', 'power', 'Power', {
      kind: 'choice',
      width: 110,
      options: () => [
        { value: '', words: 'either' },
        { value: 'on', words: 'on' },
        { value: 'off', words: 'off' },
      ],
      write: (map, i, typed) => withRow(map, 'taps', i, (t) => put(t, 'power', typed)),
    }),
    {
      head: 'Minutes',
      kind: 'number',
      width: 84,
      read: (map, i) => String(map.taps[i]?.minutes ?? ''),
      write: (map, i, typed) => {
        const minutes = numberIn(typed, 'minutes');
        if (!(minutes > 0)) throw new Refusal('minutes must be over 0');
        return withRow(map, 'taps', i, (t) => ({ ...t, minutes }));
      },
    },
    names('taps', 'needs', 'Covers off', namesIn, { width: 160 }),
    text('taps', 'note', 'Do first', {
      width: 220,
      write: (map, i, typed) => withRow(map, 'taps', i, (t) => put(t, 'note', typed)),
    }),
    onlyIn('taps'),
  ],
};

const access: Sheet = {
  id: 'access',
  title: 'Covers',
  note: 'What has to come off to get in: covers, shields, brackets. A cover may need another one off first.',
  empty: 'Nothing has to come off. Add a cover if something does.',
  count: (map) => map.access.length,
  called: (map, i) => map.access[i]?.name ?? '',
  add: (map) => {
    const name = free(
      map.access.map((a) => a.id),
      'cover',
    );
    return { ...map, access: [...map.access, { id: name, name, minutes: 3 }] };
  },
  remove: (map, i) => {
    const gone = map.access[i]?.id;
    const rest = <T extends { needs?: string[] }>(x: T): T =>
      x.needs
        ? put(
            x,
            'needs',
            x.needs.filter((n) => n !== gone),
          )
        : x;
    return {
      ...withoutRow(map, 'access', i),
      access: map.access.filter((a) => a.id !== gone).map(rest),
      elements: map.elements.map((e) =>
        rest(
          e.touch
            ? put(
                e,
                'touch',
                e.touch.filter((n) => n !== gone),
              )
            : e,
        ),
      ),
      taps: map.taps.map(rest),
      ...(map.moves ? { moves: map.moves.map((m) => (m.opens === gone ? put(m, 'opens', '') : m)) } : {}),
      hazards: map.hazards.map((h) =>
        h.exposedBy
          ? put(
              h,
              'exposedBy',
              h.exposedBy.filter((n) => n !== gone),
            )
          : h,
      ),
    };
  },
  columns: [
    text('access', 'id', 'Short name', {
      width: 170,
      write: (map, i, typed) => {
        const from = map.access[i]?.id;
        const to = typed.trim();
        if (!to) throw new Refusal('give the cover a name');
        const one = (n: string) => (n === from ? to : n);
        const needs = <T extends { needs?: string[] }>(x: T): T =>
          x.needs ? { ...x, needs: x.needs.map(one) } : x;
        return {
          ...map,
          access: map.access.map((a, k) =>
            needs(k === i ? { ...a, id: to, name: a.name === from ? to : a.name } : a),
          ),
          elements: map.elements.map((e) => needs(e.touch ? { ...e, touch: e.touch.map(one) } : e)),
          taps: map.taps.map(needs),
          ...(map.moves ? { moves: map.moves.map((m) => (m.opens === from ? { ...m, opens: to } : m)) } : {}),
          hazards: map.hazards.map((h) => (h.exposedBy ? { ...h, exposedBy: h.exposedBy.map(one) } : h)),
        };
      },
    }),
    text('access', 'name', 'What it is', { width: 220 }),
    {
      head: 'Minutes',
      kind: 'number',
      width: 96,
      read: (map, i) => String(map.access[i]?.minutes ?? ''),
      write: (map, i, typed) => {
        const minutes = numberIn(typed, 'minutes');
        if (minutes < 0) throw new Refusal('minutes cannot be negative');
        return withRow(map, 'access', i, (a) => ({ ...a, minutes }));
      },
    },
    names('access', 'needs', 'Off before it', namesIn, { width: 220 }),
    onlyIn('access'),
  ],
};

const functions: Sheet = {
  id: 'functions',
  title: 'Functions',
  note: 'What the unit should do, as its user finds it, and the element where that is seen.',
  empty: 'Say at least one thing the unit should do.',
  count: (map) => map.functions.length,
  called: (map, i) => map.functions[i]?.name ?? '',
  add: (map) => ({
    ...map,
    functions: [
      ...map.functions,
      {
        id: free(
          map.functions.map((f) => f.id),
          'function',
        ),
        name: 'Works',
        output: map.elements.at(-1)?.id ?? '',
      },
    ],
  }),
  remove: (map, i) => withoutRow(map, 'functions', i),
  columns: [
    text('functions', 'name', 'It should do this', { width: 380 }),
    text('functions', 'output', 'Seen at', { kind: 'choice', width: 220, options: elementOptions }),
    onlyIn('functions'),
  ],
};

const clear = (name: 'act' | 'caution', head: string, width: number): Column => ({
  head,
  kind: 'text',
  width,
  read: (map, i) => map.hazards[i]?.clear[name] ?? '',
  write: (map, i, typed) =>
    withRow(map, 'hazards', i, (h) => ({ ...h, clear: { ...h.clear, [name]: typed } })),
});

const hazards: Sheet = {
  id: 'hazards',
  title: 'Hazards',
  note: 'What can hurt, which cover bares it, what brings it back, and the act and reading that clear it.',
  empty: 'No hazard is on the map. When in doubt, name it: each gets its gate.',
  count: (map) => map.hazards.length,
  called: (map, i) => map.hazards[i]?.name ?? '',
  add: (map) => {
    const id = free(
      map.hazards.map((h) => h.id),
      'mains',
    );
    return {
      ...map,
      hazards: [
        ...map.hazards,
        hazardOfKind(
          'mains',
          id,
          map.access.map((a) => a.id),
        ),
      ],
    };
  },
  remove: (map, i) => withoutRow(map, 'hazards', i),
  columns: [
    text('hazards', 'kind', 'Kind', {
      kind: 'choice',
      width: 130,
      options: words(HAZARD_KINDS),
      write: (map, i, typed) =>
        withRow(map, 'hazards', i, (h) => ({
          ...hazardOfKind(typed as HazardKind, h.id, h.exposedBy ?? []),
          ...(h.only ? { only: h.only } : {}),
        })),
    }),
    text('hazards', 'name', 'Name', { width: 140 }),
    text('hazards', 'detail', 'What and how much', { width: 240 }),
    names('hazards', 'exposedBy', 'Bared by cover', namesIn, { width: 160 }),
    names('hazards', 'armedBy', 'Brought back by', namesIn, { width: 150 }),
    clear('act', 'Cleared by', 280),
    {
      head: 'Proven: at, under, unit',
      kind: 'text',
      width: 220,
      read: (map, i) => {
        const r = map.hazards[i]?.clear.reading;
        return r ? `${r.at}, ${r.max}, ${r.unit}` : '';
      },
      write: (map, i, typed) =>
        withRow(map, 'hazards', i, (h) => {
          if (!typed.trim()) return { ...h, clear: put(h.clear, 'reading', undefined) };
          const parts = typed.split(',').map((x) => x.trim());
          const unit = parts.pop() ?? '';
          const max = numberIn(parts.pop() ?? '', 'under');
          const at = parts.join(', ');
          if (!at || !unit)
            throw new Refusal('type where, how much at most, and the unit: inlet terminals, 5, V');
          if (max < 0) throw new Refusal('what it must be under cannot be negative');
          return { ...h, clear: { ...h.clear, reading: { at, max, unit } } };
        }),
    },
    clear('caution', 'Caution', 340),
    onlyIn('hazards'),
  ],
};

const channels: Sheet = {
  id: 'channels',
  title: 'Channels',
  note: 'Elements that do the same work side by side. Two of the same length can be exchanged to tell which half fails.',
  empty: 'There are no channels. Add two or more where the unit has the same thing twice.',
  count: (map) => map.channels?.length ?? 0,
  called: (map, i) => map.channels?.[i]?.name ?? '',
  add: (map) => {
    const id = free(
      (map.channels ?? []).map((c) => c.id),
      'channel',
    );
    return {
      ...map,
      channels: [
        ...(map.channels ?? []),
        { id, name: id, elements: map.elements.slice(-2).map((e) => e.id) },
      ],
    };
  },
  remove: (map, i) => withoutRow(map, 'channels', i),
  columns: [
    text('channels', 'name', 'Name', { width: 220 }),
    {
      ...names('channels', 'elements', 'Elements, in signal order', idsIn, { width: 420 }),
      write: (map, i, typed) => withRow(map, 'channels', i, (c) => ({ ...c, elements: idsIn(typed) })),
    },
  ],
};

const variants: Sheet = {
  id: 'variants',
  title: 'Variants',
  note: 'Other ways the same model is built. A part that only some have names them in its column “Only in”.',
  empty: 'There is one way this unit is built, as far as is known.',
  count: (map) => map.variants?.length ?? 0,
  called: (map, i) => map.variants?.[i]?.name ?? '',
  add: (map) => {
    const id = free(
      (map.variants ?? []).map((v) => v.id),
      'variant',
    );
    return { ...map, variants: [...(map.variants ?? []), { id, name: id, tell: '' }] };
  },
  remove: (map, i) => {
    const gone = map.variants?.[i]?.id;
    const rest = <T extends { only?: string[] }>(x: T): T =>
      x.only
        ? put(
            x,
            'only',
            x.only.filter((v) => v !== gone),
          )
        : x;
    const left = withoutRow(map, 'variants', i);
    return {
      ...left,
      elements: left.elements.map(rest),
      feeds: left.feeds.map(rest),
      taps: left.taps.map(rest),
      access: left.access.map(rest),
      functions: left.functions.map(rest),
      hazards: left.hazards.map(rest),
      ...(left.checks ? { checks: left.checks.map(rest) } : {}),
    };
  },
  columns: [
    text('variants', 'id', 'Short name', { width: 180 }),
    text('variants', 'name', 'What it is', { width: 260 }),
    text('variants', 'tell', 'What gives it away', { width: 420 }),
  ],
};

/** `no code; E1 left load = A2 W1` */
const answersText = (c: OwnCheck | undefined) =>
  (c?.answers ?? []).map((a) => (a.points.length ? `${a.name} = ${a.points.join(' ')}` : a.name)).join('; ');

const checks: Sheet = {
  id: 'checks',
  title: 'Own checks',
  note: 'Self-tests, knocks and tricks of this model. With several answers, write them as: no code; E1 = A2 W1.',
  empty: 'The usual checks follow from the map by themselves. Add one that does not.',
  count: (map) => map.checks?.length ?? 0,
  called: (map, i) => map.checks?.[i]?.name ?? '',
  add: (map) => ({
    ...map,
    checks: [
      ...(map.checks ?? []),
      {
        id: free(
          (map.checks ?? []).map((c) => c.id),
          'check',
        ),
        name: 'Self-test',
        exercises: map.elements.slice(0, 1).map((e) => e.id),
        minutes: 2,
      },
    ],
  }),
  remove: (map, i) => withoutRow(map, 'checks', i),
  columns: [
    text('checks', 'name', 'What is done', { width: 260 }),
    {
      head: 'Minutes',
      kind: 'number',
      width: 84,
      read: (map, i) => String(map.checks?.[i]?.minutes ?? ''),
      write: (map, i, typed) =>
        withRow(map, 'checks', i, (c) => ({ ...c, minutes: numberIn(typed, 'minutes') })),
    },
    {
      ...names('checks', 'exercises', 'Puts to the test', idsIn, { width: 240 }),
      write: (map, i, typed) => withRow(map, 'checks', i, (c) => ({ ...c, exercises: idsIn(typed) })),
    },
    {
      head: 'Several answers',
      kind: 'text',
      width: 360,
      read: (map, i) => answersText(map.checks?.[i]),
      write: (map, i, typed) =>
        withRow(map, 'checks', i, (c) => {
          const answers = typed
            .split(';')
            .map((x) => x.trim())
            .filter(Boolean)
            .map((x) => {
              const [name = '', points = ''] = x.split('=');
              const was = c.answers?.find((a) => a.name === name.trim());
              return { id: was?.id ?? name.trim(), name: name.trim(), points: idsIn(points) };
            });
          if (answers.length === 1) throw new Refusal('several answers are two at least, parted by ;');
          return put(c, 'answers', answers);
        }),
    },
    names('checks', 'needs', 'Covers off', namesIn, { width: 150 }),
    text('checks', 'power', 'Power', {
      kind: 'choice',
      width: 110,
      options: () => [
        { value: '', words: 'either' },
        { value: 'on', words: 'on' },
        { value: 'off', words: 'off' },
      ],
      write: (map, i, typed) => withRow(map, 'checks', i, (c) => put(c, 'power', typed)),
    }),
    text('checks', 'leaves', 'Leaves changed', {
      width: 200,
      write: (map, i, typed) => withRow(map, 'checks', i, (c) => put(c, 'leaves', typed)),
    }),
    onlyIn('checks'),
  ],
};

const moves: Sheet = {
  id: 'moves',
  title: 'Way in',
  note: 'The moves that open it, as on the entry line. A job writes them itself: keep them at Hand over. Groups of another way in are written as: m1 m2 or m5.',
  empty: 'Nobody has kept a way in yet. Record one on the bench, or write it here.',
  count: (map) => map.moves?.length ?? 0,
  called: (map, i) => map.moves?.[i]?.id ?? '',
  add: (map) => {
    const taken = (map.moves ?? []).map((m) => m.id);
    let n = taken.length + 1;
    while (taken.includes(`m${n}`)) n++;
    return {
      ...map,
      moves: [
        ...(map.moves ?? []),
        { id: `m${n}`, text: '4 x M3x8 PH1 cover > cup 1', tool: 'PH1 driver', sideUp: null, minutes: 1 },
      ],
    };
  },
  remove: (map, i) => {
    const gone = map.moves?.[i]?.id;
    const left = withoutRow(map, 'moves', i);
    return {
      ...left,
      moves: (left.moves ?? []).map((m) => {
        const rest = m.after
          ? put(
              m,
              'after',
              m.after.filter((id) => id !== gone),
            )
          : m;
        return rest.afterAny
          ? put(
              rest,
              'afterAny',
              rest.afterAny.filter((g) => !g.includes(gone ?? '')),
            )
          : rest;
      }),
    };
  },
  columns: [
    text('moves', 'id', 'Mark', {
      kind: 'mono',
      width: 76,
      write: (map, i, typed) => {
        const from = map.moves?.[i]?.id;
        const to = typed.trim();
        if (!to) throw new Refusal('give the move a mark, such as m1');
        const one = (id: string) => (id === from ? to : id);
        return {
          ...map,
          moves: (map.moves ?? []).map((m, k) => ({
            ...m,
            id: k === i ? to : m.id,
            ...(m.after ? { after: m.after.map(one) } : {}),
            ...(m.afterAny ? { afterAny: m.afterAny.map((g) => g.map(one)) } : {}),
          })),
        };
      },
    }),
    text('moves', 'text', 'Move', { kind: 'mono', width: 380 }),
    text('moves', 'tool', 'Tool', {
      width: 150,
      write: (map, i, typed) => withRow(map, 'moves', i, (m) => ({ ...m, tool: typed.trim() || null })),
    }),
    text('moves', 'sideUp', 'Side up', {
      width: 110,
      write: (map, i, typed) => withRow(map, 'moves', i, (m) => ({ ...m, sideUp: typed.trim() || null })),
    }),
    {
      head: 'Minutes',
      kind: 'number',
      width: 84,
      read: (map, i) => String(map.moves?.[i]?.minutes ?? ''),
      write: (map, i, typed) =>
        withRow(map, 'moves', i, (m) => ({ ...m, minutes: numberIn(typed, 'minutes') })),
    },
    names('moves', 'after', 'After', idsIn, { width: 140 }),
    {
      head: 'or after one of',
      kind: 'ids',
      width: 170,
      read: (map, i) => (map.moves?.[i]?.afterAny ?? []).map((g) => g.join(' ')).join(' or '),
      write: (map, i, typed) =>
        withRow(map, 'moves', i, (m) =>
          put(
            m,
            'afterAny',
            typed
              .split(/\bor\b/)
              .map(idsIn)
              .filter((g) => g.length > 0),
          ),
        ),
    },
    text('moves', 'opens', 'Opens', {
      kind: 'choice',
      width: 150,
      options: (map) => [
        { value: '', words: 'nothing' },
        ...map.access.map((a) => ({ value: a.id, words: a.name })),
      ],
      write: (map, i, typed) => withRow(map, 'moves', i, (m) => put(m, 'opens', typed)),
    }),
    text('moves', 'caution', 'Caution', {
      width: 240,
      write: (map, i, typed) => withRow(map, 'moves', i, (m) => put(m, 'caution', typed)),
    }),
    onlyIn('moves'),
  ],
};

/** Every list of a map that can be worked on, in the order they are usually filled. */
export const SHEETS: Sheet[] = [
  elements,
  feeds,
  taps,
  access,
  functions,
  hazards,
  channels,
  variants,
  checks,
  moves,
];

/** Rows of a list, for those who only count them. */
export const rowsIn = (map: UnitMap, id: Sheet['id']): number => listOf(map, id).length;
