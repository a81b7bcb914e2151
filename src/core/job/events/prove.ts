import { demand } from '../../refusal';
import { partiesLeft, provingLines } from '../proving';
import { kind } from './kind';

/** Somebody who has to know was told, or has given leave. */
export const partyTold = kind<{ party: string; how: string }>({
  apply(state, { party, how }, { at, by }) {
    const known = state.map.parties?.find((p) => p.id === party);
    demand(known, `${party} is nobody this unit names`, '/party');
    demand(
      how.trim() !== '',
      known.must === 'allow' ? 'say who gave leave, and how' : 'say whom you told, and how',
      '/how',
    );
    const rest = state.told.filter((t) => t.party !== party);
    return { ...state, told: [...rest, { party, how: how.trim(), at, by }] };
  },
  says: (p, state) => {
    const known = state.map.parties?.find((x) => x.id === p.party);
    return `${known?.who ?? p.party} ${known?.must === 'allow' ? 'allows it' : 'told'}: ${p.how}`;
  },
});

/** One thing shown beside the failing check. */
export const provingTicked = kind<{
  line: string;
  outcome: 'ok' | 'bad';
  reading?: number;
  note?: string;
}>({
  admit(state) {
    const held = partiesLeft(state).find((p) => p.must === 'allow');
    demand(!held, held ? `${held.who} has to allow it first` : '', '/line');
  },
  apply(state, { line: id, outcome, reading, note }, { at, by }) {
    demand(state.fix, 'nothing has been mended yet: do the remedy first', '/line');
    const line = provingLines(state).find((l) => l.id === id);
    demand(line, 'that is not among what has to be shown', '/line');
    demand(reading === undefined || line.unit, 'no reading belongs to it', '/reading');
    const rest = state.proving.filter((p) => p.line !== id);
    return {
      ...state,
      proving: [
        ...rest,
        {
          line: id,
          outcome,
          at,
          by,
          ...(reading === undefined ? {} : { reading, unit: line.unit ?? '' }),
          ...(note?.trim() ? { note: note.trim() } : {}),
        },
      ],
    };
  },
  says: (p, state) => {
    const line = provingLines(state).find((l) => l.id === p.line);
    return `${line?.ask ?? p.line}: ${p.outcome === 'ok' ? 'good' : 'not good'}${p.note?.trim() ? `, ${p.note.trim()}` : ''}`;
  },
});

/** The unit is left running and looked at now and again. */
export const soakStarted = kind<{ minutes: number; everyMinutes: number }>({
  apply(state, { minutes, everyMinutes }, { id, at }) {
    demand(state.fix, 'nothing has been mended yet: do the remedy first', '/minutes');
    demand(minutes > 0 && minutes <= 60 * 24 * 14, 'minutes lie over 0 and up to 14 days', '/minutes');
    demand(
      everyMinutes > 0 && everyMinutes <= minutes,
      'it is looked at once within the time at least',
      '/everyMinutes',
    );
    demand(!state.soak || state.soak.endedAt, 'a soak is running already', '/minutes');
    return {
      ...state,
      soak: { id, startedAt: at, minutes, everyMinutes, proofsBefore: state.proofs.length },
    };
  },
  says: (p) => `Soak: ${p.minutes}\u00a0min, looked at every ${p.everyMinutes}\u00a0min`,
});

export const soakEnded = kind<Record<never, never>>({
  apply(state, _p, { at }) {
    demand(state.soak && !state.soak.endedAt, 'no soak is running');
    return { ...state, soak: { ...state.soak, endedAt: at } };
  },
  says: () => 'Soak ended',
});
