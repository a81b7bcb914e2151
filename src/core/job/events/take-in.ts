import { firstHazards } from '../../hazard';
import { demand } from '../../refusal';
import { type HazardKind, hazardOfKind } from '../../unit';
import type { Intake } from '../state';
import { kind } from './kind';

export const intakeRecorded = kind<Intake & { addHazards?: HazardKind[] }>({
  apply(state, { addHazards = [], ...intake }) {
    const fn = state.map.functions.find((f) => f.id === intake.function);
    demand(fn, 'say which function fails', '/function');
    (intake.alsoFails ?? []).forEach((id, k) => {
      demand(
        id !== intake.function && state.map.functions.some((f) => f.id === id),
        `${id} is no other function of this unit`,
        `/alsoFails/${k}`,
      );
    });
    demand(intake.symptom.trim() !== '', 'say what it does wrong', '/symptom');
    demand(
      intake.variant === undefined || state.map.variants?.some((v) => v.id === intake.variant),
      `${intake.variant} is no variant of this unit`,
      '/variant',
    );
    const known = new Set(state.map.hazards.map((h) => h.kind));
    const covers = state.map.access.map((a) => a.id);
    const added = [...new Set(addHazards)]
      .filter((k) => !known.has(k))
      .map((k) => hazardOfKind(k, `noted ${k}`, covers));
    return {
      ...state,
      intake: {
        ...intake,
        symptom: intake.symptom.trim(),
        keep: intake.keep.map((k) => k.trim()).filter(Boolean),
      },
      map: { ...state.map, hazards: [...state.map.hazards, ...added] },
      hazards: [...state.hazards, ...firstHazards(added)],
      stop: 'trace',
    };
  },
  says: (p) => `Taken in: “${p.symptom}”, ${p.pattern}`,
});

export const noteAdded = kind<{ text: string }>({
  apply(state, { text }, { at, by }) {
    demand(text.trim() !== '', 'the note is empty', '/text');
    return { ...state, notes: [...state.notes, { at, by, text: text.trim() }] };
  },
  says: (p) => `Note: ${p.text}`,
});

export const jobParked = kind<{ why: string; until?: string }>({
  apply(state, { why, until }, { at }) {
    demand(why.trim() !== '', 'say what it waits for', '/why');
    return { ...state, parked: { why: why.trim(), at, ...(until ? { until } : {}) } };
  },
  says: (p) => `Parked: ${p.why}${p.until ? `, until ${p.until}` : ''}`,
});

export const jobResumed = kind<Record<never, never>>({
  apply(state) {
    demand(state.parked, 'this job is not parked');
    return { ...state, parked: null };
  },
  says: () => 'Taken up again',
});
