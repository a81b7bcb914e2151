import type { JobFacts } from './facts';

/** A unit that is kept for its parts. */
export interface Donor {
  job: string;
  tag: string;
  unit: string;
  mark?: string;
  /** where it stands */
  place: string;
  /** of the same maker and model as the unit in hand */
  same: boolean;
  /** elements that were at fault in it, by their marks: what came of them is not to be trusted */
  faulty: string[];
  /** what was taken from it so far, and for which job */
  given: { name: string; tag: string }[];
}

/**
 * Units kept for their parts, those of the same model first.
 *
 * @param all facts of every job
 * @param model of the unit in hand
 * @returns donors; a unit that was mended again since is none
 * @example donorsFor(all, 'Quayle & Finch HL-40')[0]?.same // true
 */
export function donorsFor(all: JobFacts[], model: string): Donor[] {
  const given = new Map<string, Donor['given']>();
  for (const f of all)
    for (const p of f.parts)
      if (p.donor) given.set(p.donor, [...(given.get(p.donor) ?? []), { name: p.name, tag: f.tag }]);
  return all
    .filter((f) => f.result === 'kept for parts')
    .map((f) => ({
      job: f.job,
      tag: f.tag,
      unit: f.unit,
      ...(f.mark ? { mark: f.mark } : {}),
      place: f.place,
      same: model !== '' && f.model === model,
      faulty: [...new Set(f.remedies.map((r) => r.element))],
      given: given.get(f.job) ?? [],
    }))
    .sort((a, b) => Number(b.same) - Number(a.same) || a.tag.localeCompare(b.tag));
}
