import { EVENT_KINDS, type JobEvent } from '../core/job';
import { OPENED } from '../core/job/kinds/job-opened';
import * as TRAY_KINDS from '../core/job/kinds/tray';
import { UNDONE } from '../core/job/kinds/undone';
import { choiceBy, closed, Moment, Name, type TSchema, Type, Ulid } from '../core/schema/words';

const event = (type: string, payload: Record<string, TSchema>) =>
  closed({ id: Ulid, at: Moment, by: Name, type: Type.Literal(type), ...payload }, { title: type });
const kinds = (list: { type: string; payload: Record<string, TSchema> }[]) =>
  list.map((k) => event(k.type, k.payload));
const undone = event('undone', UNDONE);

/** The events that move things on and off the tray, and the undoing of them. */
export const LedgerEventSchema = Type.Unsafe<JobEvent>(
  choiceBy('type', [...kinds(Object.values(TRAY_KINDS)), undone]),
);

/** Every event of a job, from the registry of kinds. */
export const JobEventSchema = Type.Unsafe<JobEvent>({
  ...choiceBy('type', [event('job.opened', OPENED), ...kinds(Object.values(EVENT_KINDS)), undone]),
  $id: 'JobEvent',
});
