import { demand } from '../../../refusal';
import { kind } from '../kind';

/** A parked job is taken up again. */
export const jobResumed = kind({
  type: 'job.resumed',
  payload: {},
  admit: 'always',
  apply(state) {
    demand(state.parked, 'this job is not parked');
    return { ...state, parked: null };
  },
  says: () => 'Taken up again',
  reports: 'nothing',
  whileParked: 'wakes',
});
