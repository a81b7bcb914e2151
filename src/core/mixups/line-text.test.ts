import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type HeaderLine, lineText, readLineText } from '.';

describe('what contacts carry, as jotted', () => {
  it('supplies by their voltage, grounds, signals with their limit, nothing', () => {
    expect(readLineText('+12V; GND; CAM_TX max 3.6; nc | VBAT supply 3.7 max 4.5; -5V')).toEqual([
      { name: '+12V', kind: 'supply', volts: 12 },
      { name: 'GND', kind: 'ground' },
      { name: 'CAM_TX', kind: 'signal', maxVolts: 3.6 },
      { name: 'nc', kind: 'nc' },
      { name: 'VBAT', kind: 'supply', volts: 3.7, maxVolts: 4.5 },
      { name: '-5V', kind: 'supply', volts: -5 },
    ]);
    expect(readLineText('  ')).toEqual([]);
    expect(() => readLineText('GND;;A')).toThrow('contact 2 is empty');
  });
  it('is read back as it is written', () => {
    const name = fc
      .stringMatching(/^[A-Z][A-Z0-9_]{1,7}$/)
      .filter((n) => !/^(GND|VSS|PE|EARTH|GROUND|NONE|NC)$/.test(n));
    const volts = fc.integer({ min: 1, max: 480 }).map((v) => v / 10);
    const line: fc.Arbitrary<HeaderLine> = fc.oneof(
      fc.record({ name, kind: fc.constant('signal' as const), maxVolts: volts }),
      fc.record({ name, kind: fc.constant('supply' as const), volts }),
      fc.constant({ name: 'GND', kind: 'ground' as const }),
      fc.constant({ name: 'nc', kind: 'nc' as const }),
    );
    fc.assert(
      fc.property(fc.array(line, { minLength: 1, maxLength: 12 }), (lines) => {
        expect(readLineText(lineText(lines))).toEqual(lines);
      }),
    );
  });
});
