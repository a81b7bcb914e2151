import { hazardKind, LOCAL } from './hazard-kind';

export const moving = hazardKind({
  kind: 'moving',
  name: 'Moving parts',
  detail: 'springs, motors, wheels',
  wholeUnit: false,
  armedBy: ['power'],
  clear: {
    act: 'Power off, block it, let springs down',
    caution: `A motor without power can still be driven by its load. ${LOCAL}`,
  },
  startsLive: false,
  isPack: false,
  unplugsOutlet: false,
  charge: null,
  bleeds: false,
  whileLive: {
    touching: 'Hands, sleeves and hair clear of what turns.',
    looking: 'Hands, sleeves and hair clear of what turns.',
  },
  sign: 'M10 2a7 7 0 1 1-7 7M3 3V9H9',
});
