import { type TraceLogEntry, type TraceRequest, trace } from '../src/core/trace';

/** A way of working: what to do next, given what was found so far. */
export type Way = (request: TraceRequest, log: TraceLogEntry[]) => { check: string } | { repair: string };

const repaired = (log: TraceLogEntry[]) => new Set(log.flatMap((l) => ('repaired' in l ? [l.repaired] : [])));
const byWeight = (request: TraceRequest, ids: Iterable<string>) => {
  const list = new Set(ids);
  return request.elements.filter((e) => list.has(e.id)).sort((a, b) => b.weight - a.weight)[0]?.id;
};

/** Elements not cleared by a good check that are in every bad one, and not replaced yet; all left when that is empty. */
function suspects(request: TraceRequest, log: TraceLogEntry[]): string[] {
  const gone = repaired(log);
  let left = new Set(request.elements.map((e) => e.id).filter((id) => !gone.has(id)));
  for (const l of log) {
    if (!('outcome' in l)) continue;
    const tested = new Set(request.checks.find((c) => c.id === l.check)?.exercises ?? []);
    const next = new Set([...left].filter((id) => tested.has(id) === (l.outcome === 'bad')));
    if (next.size) left = next;
  }
  return [...left];
}

const asked = (log: TraceLogEntry[], id: string) => log.some((l) => 'check' in l && l.check === id);

/** Checks that would still split the suspects, with how many of them they test. */
const splitting = (request: TraceRequest, log: TraceLogEntry[], left: string[]) =>
  request.checks
    .filter((c) => !asked(log, c.id))
    .map((c) => ({ id: c.id, in: left.filter((id) => c.exercises?.includes(id)).length }))
    .filter((c) => c.in > 0 && c.in < left.length);

/** Along the chain from its source, tap after tap. */
export const fromOneEnd: Way = (request, log) => {
  const left = suspects(request, log);
  const next = splitting(request, log, left)[0];
  return next ? { check: next.id } : { repair: byWeight(request, left) ?? '' };
};

/** Always the tap that cuts the number of suspects nearest to half. */
export const halving: Way = (request, log) => {
  const left = suspects(request, log);
  const next = splitting(request, log, left).sort(
    (a, b) => Math.abs(a.in - left.length / 2) - Math.abs(b.in - left.length / 2),
  )[0];
  return next ? { check: next.id } : { repair: byWeight(request, left) ?? '' };
};

/** No check at all: the part that fails most often first. */
export const likeliestFirst: Way = (request, log) => {
  const gone = repaired(log);
  return {
    repair:
      byWeight(
        request,
        request.elements.map((e) => e.id).filter((id) => !gone.has(id)),
      ) ?? '',
  };
};

/** What Mulch advises. */
export const advised: Way = (request, log) => {
  const [next] = trace({ ...request, log: [...(request.log ?? []), ...log] }).next;
  return next?.kind === 'check' ? { check: next.id } : { repair: next?.id ?? '' };
};
