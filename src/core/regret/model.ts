import { buildModel, type Model, paying, type Step } from '../trace';
import type { Decision } from './types';

/**
 * A unit as it is practised on: the last remedy of every ladder mends for certain, since nothing comes
 * after it.
 *
 * @param request elements, checks, access, log and options; minutes, chances 0 to 1
 * @returns the model of it
 * @throws Refusal naming the wrong id and its path
 * @example practised({ elements: [{ id: 'fan', weight: 1, remedies: [{ id: 'clean', minutes: 4, fixes: 0.6 }] }], checks: [] }).ladders[0][0].fixes // 1
 */
export const practised = (request: Decision): Model =>
  buildModel({
    ...request,
    elements: request.elements.map((e) => ({
      ...e,
      ...(e.remedies
        ? {
            remedies: e.remedies.map((r, k, all) =>
              k === all.length - 1 && r.fixes > 0 && r.fixes <= 1 ? { ...r, fixes: 1 } : r,
            ),
          }
        : {}),
    })),
  });

/**
 * What may still be tried: of every ladder the rungs above the last one that was tried. Rungs may be
 * skipped, none is gone back to.
 *
 * @param model a model with its log
 * @returns rungs per element, gentlest first
 * @example rungsLeft(model)[0].map((s) => s.id) // ['clean', 'replace'] after 'reseat'
 */
export function rungsLeft(model: Model): Step[][] {
  const last = model.ladders.map(() => -1);
  for (const entry of model.request.log ?? []) {
    if (!('tried' in entry)) continue;
    const e = model.indexOf.get(entry.element) as number;
    const rung = (model.ladders[e] as Step[]).findIndex((s) => s.id === entry.tried);
    last[e] = Math.max(last[e] as number, rung);
  }
  return model.ladders.map((ladder, e) => ladder.slice((last[e] as number) + 1));
}

/** Ladders that begin with one chosen rung; after it, and in all others, the rungs that pay. */
export const fromRung = (left: Step[][], element: number, rung: number): Step[][] =>
  left.map((ladder, e) =>
    e === element ? [...ladder.slice(rung, rung + 1), ...paying(ladder.slice(rung + 1))] : paying(ladder),
  );
