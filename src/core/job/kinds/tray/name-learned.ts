import { demand } from '../../../refusal';
import { Name } from '../../../schema/words';
import { namesOf } from '../../names';
import { kind } from '../kind';

/** What somebody calls a thing that has another name: the entry line knows it from then on. */
export const nameLearned = kind({
  type: 'name.learned',
  payload: { said: Name, means: Name },
  admit: 'always',
  apply(state, { said, means }) {
    demand(said.trim() !== '', 'say what it is called', '/said');
    demand(
      namesOf(state).some((n) => n.id === means),
      `${means} is nothing of this unit`,
      '/means',
    );
    return { ...state, aliases: [...state.aliases, { said: said.trim(), means }] };
  },
  says: (p) => `“${p.said}” is ${p.means}`,
  reports: 'nothing',
  whileParked: 'taken',
});
