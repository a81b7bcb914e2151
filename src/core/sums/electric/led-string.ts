import { demand } from '../../refusal';
import { input, number, output, type Sum, show, tidy } from '../sum';

export const ledString: Sum = {
  name: 'led-string',
  title: 'LEDs on a driver',
  about: 'Voltage and power of a string against what its driver can give.',
  also: ['LED', 'backlight', 'constant current'],
  inputs: [
    input('ledVolts', 'One LED', 'V', '3.1'),
    input('count', 'In the string', '', '12', { whole: true }),
    input('amps', 'Current', 'A', '0.35'),
    input('driverMin', 'Driver from', 'V', '24'),
    input('driverMax', 'Driver to', 'V', '42'),
  ],
  outputs: [
    output('stringVolts', 'String', 'V'),
    output('watts', 'Power', 'W'),
    output('insideRange', 'In the driver’s range'),
  ],
  source: 'As named; common practice',
  compute(given) {
    const v = number(given, 'ledVolts');
    const n = number(given, 'count');
    demand(Number.isInteger(n), 'count is a whole number', '/count');
    const i = number(given, 'amps');
    const min = number(given, 'driverMin', false);
    const max = number(given, 'driverMax');
    demand(min <= max, 'the driver’s range begins under its end', '/driverMin');
    const stringVolts = tidy(v * n);
    const watts = tidy(stringVolts * i);
    return {
      values: { stringVolts, watts, insideRange: stringVolts >= min && stringVolts <= max },
      formula: `${n} · ${show(v)} V = ${show(stringVolts)} V; · ${show(i)} A = ${show(watts)} W; driver ${show(min)} to ${show(max)} V`,
      ...(stringVolts > 60
        ? { caution: 'Over 60 V d.c.: it can hurt. Off and read before a hand goes in.' }
        : {}),
    };
  },
  example: {
    given: { ledVolts: 3.1, count: 12, amps: 0.35, driverMin: 24, driverMax: 42 },
    answer: { stringVolts: 37.2, watts: 13.02, insideRange: true },
  },
};
