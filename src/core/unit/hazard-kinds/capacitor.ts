import { hazardKind, LOCAL } from './hazard-kind';

export const capacitor = hazardKind({
  kind: 'capacitor',
  name: 'Capacitors',
  detail: 'stay charged after the plug is out',
  wholeUnit: false,
  armedBy: ['power'],
  clear: {
    act: 'Wait, then bleed them through a resistor on insulated leads',
    // 60 V d.c. is the usual limit of IEC 62368-1, from memory; 5 V is what a bench reads as bled.
    reading: { at: 'the capacitor terminals', unit: 'V', max: 5 },
    caution: `Never short them with a screwdriver. They can recover: read again before a hand goes in. ${LOCAL}`,
  },
  startsLive: false,
  isPack: false,
  unplugsOutlet: false,
  charge: null,
  bleeds: true,
  whileLive: { touching: 'One hand, insulated probe.', looking: 'Hands out of it.' },
  sign: 'M0 9H8M12 9H20M8 1V17M12 1V17',
});
