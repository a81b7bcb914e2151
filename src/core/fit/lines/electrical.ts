import { CHEMISTRY_ROWS, rowOfClass, sameChargeVolts } from '../../chemistry';
import { type FitRule, figure, unknown } from '../sheet';

/** Nominal voltages this near are the same class of pack, share. */
const NEAR = 0.06;

export const chargeClass: FitRule = {
  line: 'charge voltage',
  mustKnow: true,
  mendable: false,
  judge({ old, new: fresh }) {
    const o = old.cellChargeV;
    const n = fresh.cellChargeV;
    const base = { old: figure(o, 'V per cell'), new: figure(n, 'V per cell') };
    if (o === undefined || n === undefined)
      return unknown(base.old, base.new, 'it is printed on the label, or in the data sheet');
    if (sameChargeVolts(n, o)) return { ...base, verdict: 'pass', why: 'same class' };
    return n < o
      ? {
          ...base,
          verdict: 'fail',
          why: 'the charger would take it over its limit',
          caution: 'An overcharged lithium cell can burn. Do not fit it.',
        }
      : {
          ...base,
          verdict: 'fail',
          why: 'another class: the charger stops short, its protection is set for the old one',
        };
  },
};

export const packVolts: FitRule = {
  line: 'pack voltage',
  mustKnow: true,
  mendable: false,
  judge({ old, new: fresh }) {
    const base = { old: figure(old.volts, 'V'), new: figure(fresh.volts, 'V') };
    if (old.volts === undefined || fresh.volts === undefined)
      return unknown(base.old, base.new, 'read it from the label');
    const apart = fresh.volts / old.volts - 1;
    return Math.abs(apart) <= NEAR
      ? { ...base, verdict: 'pass', why: 'same number of cells in series' }
      : {
          ...base,
          verdict: 'fail',
          why:
            apart > 0
              ? 'it has more cells in series than the unit is made for'
              : 'it has fewer cells in series',
        };
  },
};

export const chemistry: FitRule = {
  line: 'chemistry',
  mustKnow: true,
  mendable: false,
  judge({ old, new: fresh }) {
    const base = { old: old.chemistry ?? 'not known', new: fresh.chemistry ?? 'not known' };
    if (!old.chemistry || !fresh.chemistry)
      return unknown(base.old, base.new, 'the charger is made for one chemistry');
    return old.chemistry === fresh.chemistry
      ? { ...base, verdict: 'pass', why: 'the charger suits it' }
      : {
          ...base,
          verdict: 'fail',
          why: `a charger for ${old.chemistry} does not suit ${fresh.chemistry}`,
          caution: 'The wrong charge end can burn a cell, or gas it.',
        };
  },
};

export const current: FitRule = {
  line: 'current',
  mustKnow: false,
  mendable: false,
  judge({ old, new: fresh, loadAmps }) {
    const wanted = loadAmps ?? old.maxAmps;
    const base = {
      old: loadAmps === undefined ? figure(old.maxAmps, 'A') : `load ${figure(loadAmps, 'A')}`,
      new: figure(fresh.maxAmps, 'A'),
    };
    if (wanted === undefined || fresh.maxAmps === undefined)
      return unknown(base.old, base.new, 'what the unit draws at most is not known');
    return fresh.maxAmps >= wanted
      ? { ...base, verdict: 'pass', why: 'it may give what is drawn' }
      : { ...base, verdict: 'fail', why: 'its protection cuts off, or it gets hot' };
  },
};

export const chargeCurrent: FitRule = {
  line: 'charging',
  mustKnow: false,
  mendable: false,
  judge({ old, new: fresh, chargerAmps, rows = CHEMISTRY_ROWS }) {
    const base = {
      old: chargerAmps === undefined ? figure(old.ampHours, 'Ah') : `charger ${figure(chargerAmps, 'A')}`,
      new: figure(fresh.ampHours, 'Ah'),
    };
    if (chargerAmps === undefined || !fresh.ampHours)
      return unknown(base.old, base.new, 'what the charger gives is not known');
    const rate = chargerAmps / fresh.ampHours;
    const row = rowOfClass(rows, fresh.chemistry);
    const hours = (row?.chargeFactor ?? 1.2) / rate;
    const most = row?.mostRate ?? 1;
    return rate <= most
      ? { ...base, verdict: 'pass', why: `about ${hours.toFixed(1)} h to full` }
      : { ...base, verdict: 'fail', why: `${rate.toFixed(2)} times its capacity in an hour is over ${most}` };
  },
};
