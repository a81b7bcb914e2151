import { demand } from '../../../refusal';
import { Day, Line, oneOf, Text, Type } from '../../../schema/words';
import { demandDay } from '../../day';
import { handOverHeldBy } from '../../hand-over-rule';
import { openPoints } from '../../open-points';
import { type JobState, RESULTS } from '../../state';
import { kind, type Reported } from '../kind';

/** A seal that was to be kept, on a unit that was opened, is no longer its maker’s. */
function sealLines(state: JobState): Reported[] {
  const seals = state.intake?.keep.filter((k) => /\bseal\b/i.test(k)) ?? [];
  const opened = state.ledger.covers.map((c) => c.name);
  return opened.length
    ? seals.map((s) => ({
        under: 'Handed over' as const,
        text: `${s[0]?.toUpperCase()}${s.slice(1)}`,
        result: `no longer the maker’s: opened at ${opened.join(', ')}`,
      }))
    : [];
}

/** The unit goes back, or on. */
export const jobHandedOver = kind({
  type: 'job.handed-over',
  payload: {
    to: Line,
    result: oneOf(RESULTS),
    settings: Type.Optional(Line),
    note: Type.Optional(Text),
    followUp: Type.Optional(Line),
    disposal: Type.Optional(Line),
    owed: Type.Optional(Line),
    decidedBy: Type.Optional(Line),
    warrantyUntil: Type.Optional(Day),
  },
  admit(state, { result }) {
    const open = result === 'works' ? openPoints(state) : [];
    demand(open.length === 0, `Open: ${open.map((p) => p.what).join('; ')}`, '/result');
  },
  apply(state, p, { at, by }) {
    demand(!state.handedOver, 'this job is handed over already');
    demand(p.to.trim() !== '', 'say who takes it', '/to');
    if (p.warrantyUntil !== undefined) demandDay(p.warrantyUntil, '/warrantyUntil');
    const held = handOverHeldBy(state, p.result);
    demand(held.length === 0, `Held: ${held.join('; ')}`, '/result');
    return { ...state, stop: 'hand over', handedOver: { ...p, to: p.to.trim(), at, by } };
  },
  says: (p) => `Handed over to ${p.to}: ${p.result}`,
  reports(
    { to, result, settings, note, followUp, disposal, owed, decidedBy, warrantyUntil },
    state,
    { at },
    { people },
  ) {
    const under = 'Handed over' as const;
    return [
      { under, at, text: `To ${to.trim()}`, result },
      ...(settings ? [{ under, text: `Restored: ${settings}` }] : []),
      ...(note ? [{ under, text: note }] : []),
      ...sealLines(state),
      ...(disposal ? [{ under, text: 'What was taken out', result: disposal }] : []),
      ...(owed ? [{ under, text: 'Still owed', result: owed }] : []),
      ...(warrantyUntil ? [{ under, text: 'Warranty of the workshop until', result: warrantyUntil }] : []),
      ...(decidedBy ? [{ under, text: 'Decided by', result: decidedBy }] : []),
      ...(followUp ? [{ under, text: `To be looked at again: ${followUp}` }] : []),
      { under, text: `Recorded by ${people.join(', ')}` },
    ];
  },
  whileParked: 'wakes',
});
