import { cone } from '../cone';
import { checkKind } from './check';

/** The function as its user finds it: everything from the source to its output has to work. */
export const symptom = checkKind({
  hows: { symptom: 'The function itself' },
  repeated: true,
  derive: (map) =>
    map.functions.map((f) => ({
      id: `symptom:${f.id}`,
      how: 'symptom',
      title: `Try: ${f.name.charAt(0).toLowerCase()}${f.name.slice(1)}`,
      about: 'as the user finds it',
      ok: 'works',
      bad: 'fails',
      why: `Everything from the source to ${f.output} has to work for this.`,
      trace: { id: `symptom:${f.id}`, exercises: cone(map, f.output), minutes: 1, power: 'on' },
    })),
});
