import { demand } from '../../../refusal';
import { Line, Type } from '../../../schema/words';
import { kind } from '../kind';

/** The job waits: for a part, for leave, for tomorrow. */
export const jobParked = kind({
  type: 'job.parked',
  payload: { why: Line, until: Type.Optional(Line) },
  admit: 'always',
  apply(state, { why, until }, { at, by }) {
    demand(why.trim() !== '', 'say what it waits for', '/why');
    return { ...state, parked: { why: why.trim(), at, by, ...(until ? { until } : {}) } };
  },
  says: (p) => `Parked: ${p.why}${p.until ? `, ${p.until}` : ''}`,
  reports: 'nothing',
  whileParked: 'wakes',
});
