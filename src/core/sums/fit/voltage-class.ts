import { sameChargeVolts } from '../../chemistry';
import { input, number, output, type Sum, show } from '../sum';

export const fitVoltageClass: Sum = {
  name: 'fit-voltage-class',
  title: 'Charge voltage of a cell',
  about: 'Whether a charger made for one class of cell suits another.',
  also: ['fit', '4.35', 'li-ion', 'charger'],
  inputs: [
    input('oldChargeV', 'Full charge of the old', 'V', '4.35'),
    input('newChargeV', 'Full charge of the new', 'V', '4.2'),
  ],
  outputs: [output('answer', 'Fit')],
  source: 'Classes in use: 4.20, 4.35, 4.40, 4.45 V lithium-ion, 3.65 V lithium iron phosphate. From memory',
  compute(given) {
    const old = number(given, 'oldChargeV');
    const fresh = number(given, 'newChargeV');
    const apart = fresh - old;
    const answer = sameChargeVolts(old, fresh) ? 'pass' : 'fail';
    const say = {
      pass: 'Same class.',
      fail:
        apart < 0
          ? 'Another class: the charger would take the new cell over its limit.'
          : 'Another class: the charger stops short, and its protection is set for the old one.',
    }[answer];
    return {
      values: { answer },
      formula: `${show(fresh)} V − ${show(old)} V = ${show(apart)} V`,
      say,
      ...(answer === 'fail'
        ? {
            caution:
              apart < 0
                ? 'An overcharged lithium cell can burn. Do not fit it.'
                : 'Charger and protection belong to the class of the cell. Do not fit it.',
          }
        : {}),
    };
  },
  example: { given: { oldChargeV: 4.35, newChargeV: 4.2 }, answer: { answer: 'fail' } },
};
