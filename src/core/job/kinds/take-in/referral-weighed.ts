import { COMPETENCES, weighReferral } from '../../../refer';
import { demand } from '../../../refusal';
import { Line, oneOf, Type } from '../../../schema/words';
import { kind } from '../kind';

const Money = Type.Integer({ minimum: 0, maximum: 1_000_000_000 });
const Days = Type.Number({ minimum: 0, maximum: 10_000 });

/** Repair or refer, weighed with its figures. Going against the advice takes a reason, and it is kept. */
export const referralWeighed = kind({
  type: 'referral.weighed',
  payload: {
    minutes: Type.Number({ minimum: 0 }),
    currency: Type.String({ minLength: 3, maxLength: 3 }),
    ratePerHour: Money,
    parts: Money,
    competence: oneOf(COMPETENCES),
    warranty: Type.Boolean(),
    makerPrice: Type.Optional(Money),
    makerDays: Type.Optional(Days),
    ownDays: Type.Optional(Days),
    dayCost: Type.Optional(Money),
    choice: oneOf(['repair', 'refer'] as const),
    reason: Type.Optional(Line),
  },
  admit: 'always',
  apply(state, { choice, reason, ...figures }) {
    demand(state.intake, 'take the unit in first: say what fails');
    const { advice } = weighReferral(figures);
    demand(
      choice === advice || reason?.trim(),
      `the figures say ${advice}. Say why you ${choice} all the same`,
      '/reason',
    );
    return {
      ...state,
      intake: {
        ...state.intake,
        weighed: { ...figures, advice, choice, ...(reason?.trim() ? { reason: reason.trim() } : {}) },
      },
    };
  },
  says: (p) => `Weighed: ${p.choice}${p.reason?.trim() ? `, ${p.reason.trim()}` : ''}`,
  reports({ choice, reason, ...figures }, _state, _meta, { later }) {
    if (later.length) return [];
    const { reasons, advice } = weighReferral(figures);
    // Who followed the figures went against nothing, whatever was written beside it.
    const why = reason?.trim()
      ? `. ${choice === advice ? 'Because' : 'Against the figures'}: ${reason.trim()}`
      : '';
    return [
      {
        under: 'Taken in',
        text: `Weighed: ${choice}`,
        result: `${reasons.join('; ')}${why}`,
      },
    ];
  },
  whileParked: 'wakes',
});
