import { demand } from '../../refusal';
import { input, number, output, type Sum, show, tidy } from '../sum';
import { conductor } from './conductor';
import { WIRE_INPUTS } from './wire';

export const wireDrop: Sum = {
  name: 'wire-drop',
  title: 'Voltage lost in a lead',
  about: 'What a two-wire lead loses at a current, there and back.',
  also: ['awg', 'voltage drop', 'cable length'],
  inputs: [
    ...WIRE_INPUTS,
    input('oneWayMetres', 'Length, one way', 'm', '10'),
    input('amps', 'Current', 'A', '2'),
    input('supplyVolts', 'Supply', 'V', '24'),
  ],
  outputs: [
    output('dropVolts', 'Lost', 'V'),
    output('dropPercent', 'of the supply', '%'),
    output('loopOhms', 'Loop', 'Ω'),
    output('lossWatts', 'Heat in the lead', 'W'),
  ],
  source: 'ASTM B258, IEC 60028; both ways: R = 2 · L · R′',
  compute(given) {
    const { ohmPerKm } = conductor(given);
    const metres = number(given, 'oneWayMetres');
    const amps = number(given, 'amps');
    const supply = number(given, 'supplyVolts');
    const loopOhms = (2 * metres * ohmPerKm) / 1000;
    const dropVolts = loopOhms * amps;
    demand(
      dropVolts < supply,
      `${show(amps)} A would need more than ${show(supply)} V over this lead alone`,
      '/amps',
    );
    const dropPercent = (100 * dropVolts) / supply;
    const lossWatts = loopOhms * amps * amps;
    return {
      values: {
        loopOhms: tidy(loopOhms),
        dropVolts: tidy(dropVolts),
        dropPercent: tidy(dropPercent),
        lossWatts: tidy(lossWatts),
      },
      formula: `2 · ${show(metres)} m · ${show(ohmPerKm)} Ω/km = ${show(loopOhms)} Ω; · ${show(amps)} A = ${show(dropVolts)} V`,
      caution:
        'What a lead may carry is set by its insulation, bundling and the local code, not by this figure.',
    };
  },
  example: {
    given: { areaMm2: 0.75, oneWayMetres: 10, amps: 2, supplyVolts: 24 },
    answer: { loopOhms: 0.45976, dropVolts: 0.91952, dropPercent: 3.83133333333, lossWatts: 1.83904 },
  },
};
