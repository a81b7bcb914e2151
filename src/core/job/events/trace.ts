import { arm, type Source } from '../../hazard';
import { take } from '../../ledger';
import { demand, Refusal } from '../../refusal';
import {
  deriveChecks,
  formatReading,
  judgeReading,
  type MapCheck,
  type OwnCheck,
  spreadOf,
  type UnitMap,
  validateMap,
} from '../../unit';
import { openAccess } from '../open';
import { partiesLeft } from '../proving';
import type { JobState } from '../state';
import { kind } from './kind';

export interface Answer {
  check: string;
  /** ok or bad, or the id of one of its answers; absent when a reading says it */
  outcome?: string;
  /** in the unit of the tap */
  reading?: number;
  /** single readings whose mean `reading` is */
  takes?: number[];
  source: Source;
  note?: string;
}

/**
 * The check an answer belongs to, after making sure that it could have been made now.
 *
 * @throws Refusal when the check is unknown, its cover is still on, or the answer does not suit it
 */
export function answered(state: JobState, a: Answer): MapCheck {
  const check = deriveChecks(state.map).find((c) => c.id === a.check);
  demand(check, `${a.check} is no check of this unit`, '/check');
  const open = openAccess(state);
  for (const id of check.trace.needs ?? []) {
    const name = state.map.access.find((x) => x.id === id)?.name ?? id;
    demand(open.includes(id), `${check.title}: the ${name} is still on. Record it off first`, '/check');
  }
  if (check.how === 'measure') {
    demand(
      a.reading !== undefined && Number.isFinite(a.reading),
      `${check.title}: type the reading`,
      '/reading',
    );
    demand(a.outcome === undefined, 'a measured check is judged by its reading', '/outcome');
    if (a.takes) {
      const { mean } = spreadOf(a.takes);
      demand(
        Math.abs(mean - a.reading) <= 1e-9 * Math.max(1, Math.abs(mean)),
        `${check.title}: the reading is not the mean of its takes`,
        '/reading',
      );
    }
  } else {
    const answers = check.answers?.map((x) => x.id) ?? ['ok', 'bad'];
    const words = check.answers?.map((x) => x.name) ?? [check.ok, check.bad];
    demand(a.outcome && answers.includes(a.outcome), `${check.title}: say ${words.join(' or ')}`, '/outcome');
    demand(a.reading === undefined, `${check.title} takes no reading`, '/reading');
  }
  return check;
}

/** A check that runs the unit switches it on, and what that arms is live again. */
export function powered(state: JobState, check: MapCheck, at: string): JobState {
  const wanted = check.trace.power;
  if (!wanted || wanted === state.power) return state;
  return wanted === 'on'
    ? { ...state, power: 'on', hazards: arm(state.map.hazards, state.hazards, 'power', at) }
    : { ...state, power: 'off' };
}

/** What an answer says, in the words of its check: "in range", "comes and goes". */
export function verdictOf(check: MapCheck, a: { outcome?: string; reading?: number }): 'ok' | 'bad' {
  if (check.tap?.expect && a.reading !== undefined) {
    return judgeReading(a.reading, check.tap.expect).inRange ? 'ok' : 'bad';
  }
  const answer = check.answers?.find((x) => x.id === a.outcome);
  if (answer) return answer.points.length ? 'bad' : 'ok';
  return a.outcome === 'ok' ? 'ok' : 'bad';
}

/** The answer as a technician reads it: "in range", "still fails", the code that was shown. */
export function answerWords(check: MapCheck, a: { outcome?: string; reading?: number }): string {
  const answer = check.answers?.find((x) => x.id === a.outcome);
  if (answer) return answer.name;
  return verdictOf(check, a) === 'ok' ? check.ok : check.bad;
}

const wording = (state: JobState, a: Answer) => {
  const check = deriveChecks(state.map).find((c) => c.id === a.check);
  if (!check) return a.check;
  const verdict = answerWords(check, a);
  return a.reading === undefined
    ? `${check.title}: ${verdict}`
    : `${check.title}: ${formatReading(a.reading, check.tap?.expect?.unit ?? '')}, ${verdict}`;
};

export const checkRecorded = kind<Answer & { leaves?: string }>({
  apply(state, { leaves, ...a }, { id, at, by }) {
    demand(state.intake, 'take the unit in first: say what fails');
    const check = answered(state, a);
    const { expect } = check.tap ?? {};
    const next = powered(state, check, at);
    const ledger = leaves
      ? take(
          next.ledger,
          {
            verb: 'change',
            text: leaves,
            item: { kind: 'change', name: leaves, count: 1, place: { kind: 'left in the part' } },
          },
          { id, at },
        )
      : next.ledger;
    return {
      ...next,
      ledger,
      stop: 'trace',
      trace: [
        ...state.trace,
        {
          id,
          at,
          by,
          check: a.check,
          source: a.source,
          ...(a.outcome ? { outcome: a.outcome } : {}),
          ...(a.reading !== undefined && expect
            ? {
                reading: a.reading,
                unit: expect.unit,
                expect: {
                  nominal: expect.nominal,
                  tolerance: expect.tolerance,
                  low: expect.low,
                  high: expect.high,
                },
              }
            : {}),
          ...(a.takes && a.takes.length > 1 ? { takes: a.takes } : {}),
          ...(a.note ? { note: a.note } : {}),
        },
      ],
    };
  },
  says: (p, state) => wording(state, p),
});

/** A check of one's own, added to the map of this job. */
export const checkDescribed = kind<{ check: OwnCheck }>({
  apply(state, { check }) {
    const withCheck = (map: UnitMap): UnitMap => ({ ...map, checks: [...(map.checks ?? []), check] });
    const map = withCheck(state.map);
    try {
      validateMap(map);
    } catch (error) {
      if (error instanceof Refusal)
        throw new Refusal(error.message, error.path.replace(/^\/checks\/\d+/, '/check'));
      throw error;
    }
    return { ...state, map, whole: withCheck(state.whole) };
  },
  says: (p) => `Own check: ${p.check.name}`,
});

export const proofRecorded = kind<Answer>({
  admit(state) {
    const held = partiesLeft(state).find((p) => p.must === 'allow');
    demand(!held, held ? `${held.who} has to allow the test first` : '', '/check');
  },
  apply(state, a, { id, at, by }) {
    demand(state.fix, 'nothing has been mended yet: do the remedy first', '/check');
    const check = answered(state, a);
    const next = powered(state, check, at);
    return {
      ...next,
      stop: 'prove',
      proofs: [
        ...state.proofs,
        {
          id,
          at,
          by,
          check: a.check,
          outcome: verdictOf(check, a),
          source: a.source,
          open: state.ledger.covers.filter((c) => c.state !== 'final').map((c) => c.name),
          ...(a.reading !== undefined && check.tap?.expect
            ? { reading: a.reading, unit: check.tap.expect.unit }
            : {}),
          ...(a.note ? { note: a.note } : {}),
        },
      ],
    };
  },
  says: (p, state) => `Proof. ${wording(state, p)}`,
});
