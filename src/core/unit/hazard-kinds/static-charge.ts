import { hazardKind, LOCAL } from './hazard-kind';

export const staticCharge = hazardKind({
  kind: 'static',
  name: 'Static',
  detail: 'boards that a spark can end',
  wholeUnit: true,
  armedBy: [],
  clear: {
    act: 'Ground yourself and the mat',
    caution: `Never grounded while a hand is at live mains. ${LOCAL}`,
  },
  startsLive: false,
  isPack: false,
  unplugsOutlet: false,
  charge: null,
  bleeds: false,
  whileLive: null,
  sign: 'M11 1 4 10H10L8 17 16 7H10Z',
});
