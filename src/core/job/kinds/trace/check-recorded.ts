import { take } from '../../../ledger';
import { demand } from '../../../refusal';
import { Name, Type } from '../../../schema/words';
import { deriveChecks, formatReading } from '../../../unit';
import { ANSWER, answered, answerLine, answerWords } from '../../answer';
import { demandRunnable } from '../../before-power';
import { cameOff } from '../../came-off';
import { withPower } from '../../power';
import { notRepeated } from '../../repeated';
import type { TraceRecord } from '../../state';
import { kind } from '../kind';

/** A check and how it came out. One that runs the unit switches it on; what it changes on the unit goes into the tray. */
export const checkRecorded = kind({
  type: 'check.recorded',
  payload: { ...ANSWER, leaves: Type.Optional(Name) },
  admit(state, a) {
    if (answered(state, a).trace.power === 'on') demandRunnable(state, '/check');
  },
  apply(state, { leaves, ...a }, { id, at, by }) {
    demand(state.intake, 'take the unit in first: say what fails');
    const check = answered(state, a);
    const { expect } = check.tap ?? {};
    const next = withPower(state, check.trace.power, at);
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
    const record: TraceRecord = {
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
    };
    return { ...next, ledger, stop: 'trace', trace: [...state.trace, record] };
  },
  says: (p, state) => answerLine(state, p),
  reports(_p, state, { id }) {
    const r = state.trace.find((t) => t.id === id);
    if (!r) return [];
    const check = deriveChecks(state.map).find((c) => c.id === r.check);
    const reading =
      r.reading === undefined
        ? ''
        : `${formatReading(r.reading, r.unit ?? '')}, wanted ${r.expect?.nominal} ± ${r.expect?.tolerance}\u00a0${r.unit}: `;
    const verdict = check ? answerWords(check, r) : '';
    return [
      { under: 'Found', at: r.at, text: check?.title ?? r.check ?? '', result: `${reading}${verdict}` },
      ...notRepeated(state, id),
      ...cameOff(state, id),
    ];
  },
  whileParked: 'wakes',
});
