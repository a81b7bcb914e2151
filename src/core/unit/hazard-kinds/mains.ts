import { hazardKind, LOCAL } from './hazard-kind';

export const mains = hazardKind({
  kind: 'mains',
  name: 'Mains',
  detail: 'supply voltage inside',
  wholeUnit: false,
  armedBy: ['power'],
  clear: {
    act: 'Switch off, pull the plug at the outlet, keep the plug in sight',
    // Prove dead as in EN 50110-1, from memory; 5 V is common practice, no source.
    reading: { at: 'the mains inlet', unit: 'V', max: 5 },
    caution: `Prove the meter on a known live point before and after. ${LOCAL}`,
  },
  startsLive: false,
  isPack: false,
  unplugsOutlet: true,
  charge: null,
  bleeds: false,
  whileLive: { touching: 'One hand, insulated probe.', looking: 'Hands out of it.' },
  sign: 'M1 9C4-2 7.500-2 10 9s6 11 9 0',
});
