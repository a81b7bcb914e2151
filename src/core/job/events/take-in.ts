import { firstHazards } from '../../hazard';
import { weighReferral } from '../../refer';
import { demand } from '../../refusal';
import { deriveChecks, type HazardKind, hazardOfKind, mapFor, type UnitMap } from '../../unit';
import type { Intake, JobState, Weighed } from '../state';
import { kind } from './kind';

/**
 * The map as this unit is built. What was recorded already must still be on it: an answer to a check
 * that this variant does not have would hang in the air.
 */
function builtAs(state: JobState, variant: string | undefined): UnitMap {
  if (variant === state.intake?.variant) return state.map;
  const built = mapFor(state.whole, variant);
  const ids = new Set(built.hazards.map((h) => h.id));
  const noted = state.map.hazards.filter((h) => h.id.startsWith('noted ') && !ids.has(h.id));
  const map = noted.length ? { ...built, hazards: [...built.hazards, ...noted] } : built;
  const checks = new Set(deriveChecks(map).map((c) => c.id));
  const lost = state.trace.find((t) => t.check && !checks.has(t.check));
  demand(
    !lost,
    `“${lost?.check}” is recorded already, and this variant does not have it. Undo it first`,
    '/variant',
  );
  demand(
    !state.plan?.element || map.elements.some((e) => e.id === state.plan?.element),
    `${state.plan?.element} is planned for, and this variant does not have it`,
    '/variant',
  );
  return map;
}

export const intakeRecorded = kind<Omit<Intake, 'weighed'> & { addHazards?: HazardKind[] }>({
  apply(state, { addHazards = [], ...intake }) {
    const fn = state.whole.functions.find((f) => f.id === intake.function);
    demand(fn, 'say which function fails', '/function');
    (intake.alsoFails ?? []).forEach((id, k) => {
      demand(
        id !== intake.function && state.whole.functions.some((f) => f.id === id),
        `${id} is no other function of this unit`,
        `/alsoFails/${k}`,
      );
    });
    demand(intake.symptom.trim() !== '', 'say what it does wrong', '/symptom');
    demand(
      intake.variant === undefined || state.whole.variants?.some((v) => v.id === intake.variant),
      `${intake.variant} is no variant of this unit`,
      '/variant',
    );
    const map = builtAs(state, intake.variant);
    demand(
      map.functions.some((f) => f.id === intake.function),
      'this variant has no such function',
      '/function',
    );
    const known = new Set(map.hazards.map((h) => h.kind));
    const covers = map.access.map((a) => a.id);
    const added = [...new Set(addHazards)]
      .filter((k) => !known.has(k))
      .map((k) => hazardOfKind(k, `noted ${k}`, covers));
    const hazards = [...map.hazards, ...added];
    const had = new Map(state.hazards.map((h) => [h.id, h]));
    return {
      ...state,
      intake: {
        ...intake,
        symptom: intake.symptom.trim(),
        keep: intake.keep.map((k) => k.trim()).filter(Boolean),
        ...(state.intake?.weighed ? { weighed: state.intake.weighed } : {}),
      },
      map: added.length ? { ...map, hazards } : map,
      hazards: firstHazards(hazards).map((h) => had.get(h.id) ?? h),
      stop: 'trace',
    };
  },
  says: (p) => `Taken in: “${p.symptom}”, ${p.pattern}`,
});

/** Repair or refer, weighed with its figures. Going against the advice takes a reason, and it is kept. */
export const referralWeighed = kind<Omit<Weighed, 'advice'>>({
  apply(state, { choice, reason, ...figures }) {
    demand(state.intake, 'take the unit in first: say what fails');
    const { advice } = weighReferral(figures);
    demand(
      choice === advice || reason?.trim(),
      `the figures say ${advice}. Say why you ${choice} all the same`,
      '/reason',
    );
    return {
      ...state,
      intake: {
        ...state.intake,
        weighed: { ...figures, advice, choice, ...(reason?.trim() ? { reason: reason.trim() } : {}) },
      },
    };
  },
  says: (p) => `Weighed: ${p.choice}${p.reason?.trim() ? `, ${p.reason.trim()}` : ''}`,
});

/** A picture, kept with what it shows. */
export const photoAdded = kind<{
  file: string;
  caption: string;
  width: number;
  height: number;
  after?: string;
}>({
  apply(state, photo, { id, at, by }) {
    demand(state.photos.length < 400, 'a job keeps up to 400 pictures', '/file');
    demand(
      photo.after === undefined || state.photos.some((p) => p.id === photo.after),
      'the picture before it is not in this job',
      '/after',
    );
    return {
      ...state,
      photos: [...state.photos, { ...photo, caption: photo.caption.trim(), id, at, by, stop: state.stop }],
    };
  },
  says: (p) => `Picture${p.caption.trim() ? `: ${p.caption.trim()}` : ''}`,
});

export const noteAdded = kind<{ text: string }>({
  apply(state, { text }, { at, by }) {
    demand(text.trim() !== '', 'the note is empty', '/text');
    return { ...state, notes: [...state.notes, { at, by, text: text.trim() }] };
  },
  says: (p) => `Note: ${p.text}`,
});

export const jobParked = kind<{ why: string; until?: string }>({
  apply(state, { why, until }, { at, by }) {
    demand(why.trim() !== '', 'say what it waits for', '/why');
    return { ...state, parked: { why: why.trim(), at, by, ...(until ? { until } : {}) } };
  },
  says: (p) => `Parked: ${p.why}${p.until ? `, ${p.until}` : ''}`,
});

export const jobResumed = kind<Record<never, never>>({
  apply(state) {
    demand(state.parked, 'this job is not parked');
    return { ...state, parked: null };
  },
  says: () => 'Taken up again',
});
