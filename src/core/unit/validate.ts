import { checkHarness } from '../mixups';
import { demand, Refusal } from '../refusal';
import { checkFaces } from './face';
import type { UnitMap } from './map';
import { mapFor } from './variant';

/**
 * Checks what a schema cannot: that every name in the map points at something, that there is
 * something to see, and that no cover needs itself.
 *
 * @param map as read or typed
 * @throws Refusal with the path of the first thing that is wrong
 * @example validateMap(demoAmplifier) // returns
 */
export function validateMap(map: UnitMap): void {
  holdsTogether(map);
  map.variants?.forEach((v, i) => {
    try {
      holdsTogether(mapFor(map, v.id));
    } catch (error) {
      if (error instanceof Refusal)
        throw new Refusal(`built as “${v.name}”: ${error.message}`, `/variants/${i}`);
      throw error;
    }
  });
}

function holdsTogether(map: UnitMap): void {
  const once = (list: { id: string }[], what: string, at: string) => {
    const ids = new Set<string>();
    list.forEach((x, i) => {
      demand(!ids.has(x.id), `${what} ${x.id} is there twice`, `${at}/${i}/id`);
      ids.add(x.id);
    });
    return ids;
  };
  demand(map.elements.length > 0, 'a unit needs at least one element', '/elements');
  const elements = once(map.elements, 'element', '/elements');
  const access = once(map.access, 'access', '/access');
  once(map.taps, 'tap', '/taps');
  once(map.hazards, 'hazard', '/hazards');
  const variants = once(map.variants ?? [], 'variant', '/variants');
  const only = (list: { only?: string[] }[], at: string) =>
    list.forEach((x, i) => {
      x.only?.forEach((id, k) => {
        demand(variants.has(id), `${id} is no variant of this map`, `${at}/${i}/only/${k}`);
      });
    });
  only(map.elements, '/elements');
  only(map.feeds, '/feeds');
  only(map.taps, '/taps');
  only(map.access, '/access');
  only(map.functions, '/functions');
  only(map.hazards, '/hazards');
  only(map.checks ?? [], '/checks');
  only(map.moves ?? [], '/moves');
  only(map.faces ?? [], '/faces');
  once(map.powerDown ?? [], 'power-down step', '/powerDown');
  once(map.parties ?? [], 'party', '/parties');
  const known = (ids: string[] | undefined, at: string) =>
    ids?.forEach((id, k) => {
      demand(access.has(id), `access ${id} is not on the map`, `${at}/${k}`);
    });
  map.elements.forEach((e, i) => {
    demand(e.remedies.length > 0, `${e.id} has no remedy`, `/elements/${i}/remedies`);
    known(e.needs, `/elements/${i}/needs`);
    known(e.touch, `/elements/${i}/touch`);
    demand(e.weight > 0, `the weight of ${e.id} must be over 0`, `/elements/${i}/weight`);
  });
  map.feeds.forEach((f, i) => {
    demand(elements.has(f.from), `${f.from} is not an element`, `/feeds/${i}/from`);
    demand(elements.has(f.to), `${f.to} is not an element`, `/feeds/${i}/to`);
    demand(f.from !== f.to, `${f.from} cannot feed itself`, `/feeds/${i}/to`);
  });
  map.taps.forEach((t, i) => {
    demand(elements.has(t.after), `${t.after} is not an element`, `/taps/${i}/after`);
    known(t.needs, `/taps/${i}/needs`);
    demand(
      t.how !== 'measure' || t.expect,
      `${t.id} is measured and needs an expected value`,
      `/taps/${i}/expect`,
    );
    if (t.expect) {
      demand(t.expect.tolerance > 0, `tolerance at ${t.id} must be over 0`, `/taps/${i}/expect/tolerance`);
      demand(t.expect.low < t.expect.high, `low must lie under high at ${t.id}`, `/taps/${i}/expect/low`);
    }
  });
  demand(map.functions.length > 0, 'say at least one thing the unit should do', '/functions');
  map.functions.forEach((f, i) => {
    demand(elements.has(f.output), `${f.output} is not an element`, `/functions/${i}/output`);
  });
  map.hazards.forEach((h, i) => {
    known(h.exposedBy, `/hazards/${i}/exposedBy`);
    demand(h.on === undefined || elements.has(h.on), `${h.on} is not an element`, `/hazards/${i}/on`);
  });
  map.access.forEach((a, i) => {
    known(a.needs, `/access/${i}/needs`);
  });
  const needs = new Map(map.access.map((a) => [a.id, a.needs ?? []]));
  const walk = (id: string, path: string[]) => {
    demand(!path.includes(id), `cover ${id} needs itself`, '/access');
    for (const n of needs.get(id) ?? []) walk(n, [...path, id]);
  };
  for (const a of map.access) walk(a.id, []);
  validateFeeds(map);
  validateChannels(map, elements);
  validateChecks(map, elements, known);
  validateMoves(map, access);
  checkFaces(map.faces ?? [], access);
  checkHarness({ plugs: map.plugs ?? [], headers: map.headers ?? [] });
}

/** Signal and power run from source to output: a way back to where it began is named. */
function validateFeeds(map: UnitMap): void {
  const out = new Map<string, number[]>();
  map.feeds.forEach((f, i) => {
    out.set(f.from, [...(out.get(f.from) ?? []), i]);
  });
  const done = new Set<string>();
  const path: string[] = [];
  const on = new Set<string>();
  // A walk with its own stack: a chain of a thousand elements is no reason to run out of one.
  for (const start of map.elements) {
    const stack: { id: string; next: number }[] = [{ id: start.id, next: 0 }];
    while (stack.length) {
      const here = stack.at(-1) as { id: string; next: number };
      if (here.next === 0) {
        if (done.has(here.id)) {
          stack.pop();
          continue;
        }
        path.push(here.id);
        on.add(here.id);
      }
      const feed = out.get(here.id)?.[here.next++];
      if (feed === undefined) {
        done.add(here.id);
        on.delete(here.id);
        path.pop();
        stack.pop();
        continue;
      }
      const to = (map.feeds[feed] as UnitMap['feeds'][number]).to;
      demand(
        !on.has(to),
        `${on.has(to) ? [...path.slice(path.indexOf(to)), to].join(' feeds ') : ''}: that runs in a circle`,
        `/feeds/${feed}/to`,
      );
      if (!done.has(to)) stack.push({ id: to, next: 0 });
    }
  }
}

function validateChannels(map: UnitMap, elements: Set<string>): void {
  const ids = new Set<string>();
  map.channels?.forEach((c, i) => {
    demand(!ids.has(c.id), `channel ${c.id} is there twice`, `/channels/${i}/id`);
    ids.add(c.id);
    demand(
      c.elements.length >= 2,
      `channel ${c.name} needs two elements at least`,
      `/channels/${i}/elements`,
    );
    c.elements.forEach((id, k) => {
      demand(elements.has(id), `${id} is not an element`, `/channels/${i}/elements/${k}`);
    });
  });
}

function validateChecks(
  map: UnitMap,
  elements: Set<string>,
  known: (ids: string[] | undefined, at: string) => void,
): void {
  const ids = new Set<string>();
  map.checks?.forEach((c, i) => {
    const at = `/checks/${i}`;
    demand(!ids.has(c.id), `check ${c.id} is there twice`, `${at}/id`);
    ids.add(c.id);
    demand(c.minutes > 0, `the minutes of “${c.name}” must be over 0`, `${at}/minutes`);
    demand(
      c.exercises.length > 0 || (c.answers?.length ?? 0) >= 2,
      `say what “${c.name}” puts to the test`,
      `${at}/exercises`,
    );
    c.exercises.forEach((id, k) => {
      demand(elements.has(id), `${id} is not an element`, `${at}/exercises/${k}`);
    });
    const answers = new Set<string>();
    c.answers?.forEach((a, k) => {
      demand(!answers.has(a.id), `answer ${a.id} is there twice`, `${at}/answers/${k}/id`);
      answers.add(a.id);
      a.points.forEach((id, n) => {
        demand(elements.has(id), `${id} is not an element`, `${at}/answers/${k}/points/${n}`);
      });
    });
    for (const id of Object.keys(c.provokes ?? {}))
      demand(c.exercises.includes(id), `${id} is not put to the test here`, `${at}/provokes`);
    known(c.needs, `${at}/needs`);
  });
}

function validateMoves(map: UnitMap, access: Set<string>): void {
  const moves = map.moves ?? [];
  const ids = new Set<string>();
  moves.forEach((m, i) => {
    demand(!ids.has(m.id), `move ${m.id} is there twice`, `/moves/${i}/id`);
    ids.add(m.id);
    demand(m.minutes >= 0, `the minutes of move ${m.id} cannot be negative`, `/moves/${i}/minutes`);
    demand(
      m.opens === undefined || access.has(m.opens),
      `move ${m.id} opens ${m.opens}, which is no cover of this map`,
      `/moves/${i}/opens`,
    );
  });
  moves.forEach((m, i) => {
    for (const id of [...(m.after ?? []), ...(m.afterAny ?? []).flat()])
      demand(ids.has(id), `move ${m.id} comes after ${id}, which is no move`, `/moves/${i}/after`);
  });
  // A move waits for itself when the ones it must follow lead back to it; the whole way round is named.
  const before = new Map(moves.map((m) => [m.id, m.after ?? []]));
  const settled = new Set<string>();
  const walk = (id: string, path: string[]): void => {
    if (settled.has(id)) return;
    const at = path.indexOf(id);
    demand(
      at < 0,
      at < 0 ? '' : `moves wait for each other in a circle: ${[...path.slice(at), id].join(' after ')}`,
      `/moves/${moves.findIndex((m) => m.id === id)}/after`,
    );
    for (const b of before.get(id) ?? []) walk(b, [...path, id]);
    settled.add(id);
  };
  for (const m of moves) walk(m.id, []);
}
