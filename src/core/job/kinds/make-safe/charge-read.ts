import { type ChemistryRow, checkChemistry } from '../../../chemistry';
import { ChemistryRowSchema } from '../../../chemistry/schema';
import { chargeOf, SOURCES } from '../../../hazard';
import { demand } from '../../../refusal';
import { Name, oneOf, Type } from '../../../schema/words';
import { formatReading } from '../../../unit';
import { hazardName, hazardOf } from '../../gate';
import { kind } from '../kind';

/** How full a pack is, before heat or a lever comes near it: its rest voltage, or its own word. */
export const chargeRead = kind({
  type: 'charge.read',
  payload: {
    hazard: Name,
    volts: Type.Optional(Type.Number()),
    percent: Type.Optional(Type.Number()),
    /** cells in series as counted at the bench, where the map has it otherwise */
    series: Type.Optional(Type.Integer({ minimum: 1, maximum: 400 })),
    /** the chemistry row in force, where it is not the one shipped, and its version */
    row: Type.Optional(Type.Unsafe<ChemistryRow>(ChemistryRowSchema)),
    chemistry: Type.Optional(Type.Integer({ minimum: 0 })),
    source: oneOf(SOURCES),
  },
  admit: (state, { volts }) =>
    demand(
      volts === undefined || state.power !== 'on',
      'the power is on: that is no voltage at rest',
      '/volts',
    ),
  apply(state, { hazard, volts, percent, series, row, chemistry, source }, { at }) {
    const h = hazardOf(state, hazard);
    demand(
      (volts === undefined) !== (percent === undefined),
      'give the voltage at rest, or the percent the unit says',
      '/volts',
    );
    if (volts !== undefined) {
      demand(volts > 0, 'a pack reads over 0 V', '/volts');
      if (row) checkChemistry([row]);
      const { high } = chargeOf(
        series && h.charge ? { ...h, charge: { ...h.charge, series } } : h,
        volts,
        row,
      );
      const read = { percent: high, volts, source, at, ...(chemistry ? { chemistry } : {}) };
      return { ...state, charges: { ...state.charges, [hazard]: read } };
    }
    demand(h.charge, `nothing says how full ${h.name} may be`, '/hazard');
    demand(percent !== undefined && percent >= 0 && percent <= 100, 'percent lies in 0 to 100', '/percent');
    return { ...state, charges: { ...state.charges, [hazard]: { percent, source, at } } };
  },
  says: (p, state) =>
    p.volts === undefined
      ? `${hazardName(state, p.hazard)}: ${p.percent}\u00a0% full, by ${p.source}`
      : `${hazardName(state, p.hazard)} at rest: ${formatReading(p.volts, 'V')}`,
  reports: ({ hazard, volts, percent, source }, state, { at }) => [
    {
      under: 'Made safe',
      at,
      text: `${hazardName(state, hazard)}, how full`,
      result: volts === undefined ? `${percent}\u00a0% by ${source}` : `${formatReading(volts, 'V')} at rest`,
    },
  ],
  whileParked: 'wakes',
});
