import { demand } from '../../../refusal';
import { oneOf } from '../../../schema/words';
import { FIRST_LEADS } from '../../../unit';
import { kind } from '../kind';

/** Which lead is parted first on this unit. */
export const leadRuleChosen = kind({
  type: 'lead-rule.chosen',
  payload: { rule: oneOf([...FIRST_LEADS, 'no rule'] as const) },
  admit: 'always',
  apply(state, { rule }) {
    demand(rule === 'no rule' || FIRST_LEADS.includes(rule), `${rule} is no such rule`, '/rule');
    return { ...state, firstLead: rule };
  },
  says: (p) => `First lead: ${p.rule}`,
  reports: ({ rule }, _state, { at }) => [{ under: 'Made safe', at, text: 'Which lead first', result: rule }],
  whileParked: 'wakes',
});
