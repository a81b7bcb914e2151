import { demand } from '../../refusal';
import type { Static, TObject } from '../../schema/words';
import type { EventKind, Meta } from './kind';
import * as KINDS from './registry';

type Kinds = (typeof KINDS)[keyof typeof KINDS];
export type EventType = Kinds['type'];
type PayloadOf<K> = K extends EventKind<string, infer S> ? Static<TObject<S>> : never;
export type Payload<T extends EventType> = PayloadOf<Extract<Kinds, { type: T }>>;

/** An event of a known kind with its payload beside its id, time and author. */
export type BenchEvent = { [T in EventType]: Meta & { type: T } & Payload<T> }[EventType];

/** A kind whose payload is only known to be one of its own: what takes events apart works with these. */
export type AnyKind = EventKind<EventType, Record<never, never>>;

/** Every kind of event within a job, by its name. */
export const EVENT_KINDS = Object.fromEntries(Object.values(KINDS).map((k) => [k.type, k])) as unknown as {
  [T in EventType]: AnyKind;
};

const unknownKind = (type: string) => `an entry is of a kind that this Mulch does not know: “${type}”`;

/**
 * Why a story cannot be told here, because a later Mulch has written in it.
 *
 * @param events as kept
 * @returns the reason, or null where every kind is known
 * @example unreadable([opened, { ...note, type: 'hologram.taken' }]) // 'an entry is of a kind …'
 */
export function unreadable(events: { type: string }[]): string | null {
  const known = (type: string) =>
    type === 'job.opened' || type === 'undone' || Object.hasOwn(EVENT_KINDS, type);
  const odd = events.find((e) => !known(e.type));
  return odd ? unknownKind(odd.type) : null;
}

/** An event taken apart: its kind, who made it when, and what it carries. */
export function apart(event: BenchEvent) {
  const { id, at, by, type, ...payload } = event;
  demand(Object.hasOwn(EVENT_KINDS, type), unknownKind(type), '/type');
  return { kind: EVENT_KINDS[type], meta: { id, at, by } satisfies Meta, payload };
}
