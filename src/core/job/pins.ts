import { demand } from '../refusal';
import { Name, Type, Ulid } from '../schema/words';
import { checkFaces, type Face, type UnitMap } from '../unit';
import type { JobState, Photo } from './state';

/** The job with its faces changed, on the map as this unit is built and on the whole one. */
export function withFaces(state: JobState, change: (faces: Face[]) => Face[]): JobState {
  const on = (map: UnitMap): UnitMap => ({ ...map, faces: change(map.faces ?? []) });
  return { ...state, map: on(state.map), whole: on(state.whole) };
}

/** @throws Refusal when a face does not hold together */
export function checkedFaces(state: JobState): JobState {
  checkFaces(state.map.faces ?? [], new Set(state.map.access.map((a) => a.id)), '/face');
  return state;
}

/** A picture of the job by its id. */
export function photoOf(state: JobState, id: string | undefined): Photo {
  const photo = state.photos.find((p) => p.id === id);
  demand(photo, 'no such picture in this job', '/photo');
  return photo;
}

/** The job with the pins of one picture changed; a picture without pins keeps no list. */
export const withPins = (state: JobState, photo: Photo, pins: Photo['pins']): JobState => ({
  ...state,
  photos: state.photos.map((p) => {
    const { pins: _, ...rest } = photo;
    return p.id === photo.id ? { ...rest, ...(pins?.length ? { pins } : {}) } : p;
  }),
});

/** What a pin stands on: one face of the map, or one picture. */
export const ON_FACE_OR_PHOTO = { face: Type.Optional(Name), photo: Type.Optional(Ulid) };
