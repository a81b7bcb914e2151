import type { JobState } from '../../core/job';
import type { Act } from '../../core/regret';
import { deriveChecks, type UnitMap } from '../../core/unit';

/** Minutes as they are shown: tenths under ten. */
export const minutes = (m: number): string => `${Number(m.toFixed(m < 10 ? 1 : 0))}\u00a0min`;
export const percent = (p: number): string => `${Math.round(p * 100)}\u00a0%`;

/** An act as a technician reads it. */
export function actWords(map: UnitMap, act: Act): string {
  if (act.kind === 'check') {
    const check = deriveChecks(map).find((c) => c.id === act.id);
    return check ? [check.title, check.about].filter(Boolean).join(', ') : act.id;
  }
  const element = map.elements.find((e) => e.id === act.id);
  return element?.remedies.find((r) => r.id === act.remedy)?.name ?? `${act.remedy ?? 'Mend'} ${act.id}`;
}

/** What is wrong with it, in words: told once the run is over. */
export const hiddenWords = ({ practice, map }: JobState): string =>
  (practice?.hidden.faults ?? [])
    .map((f) => {
      const e = map.elements.find((x) => x.id === f.id);
      return `${f.id} ${e?.name ?? ''}, ${f.pattern === 'always' ? 'for good' : f.pattern}`;
    })
    .join('; ');
