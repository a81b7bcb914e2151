import { hazardKind, LOCAL } from './hazard-kind';

export const sharp = hazardKind({
  kind: 'sharp',
  name: 'Sharp edges',
  detail: 'cut sheet metal inside',
  wholeUnit: false,
  armedBy: [],
  clear: { act: 'Gloves on, sleeves down', caution: `Hands come out slower than they go in. ${LOCAL}` },
  startsLive: false,
  isPack: false,
  unplugsOutlet: false,
  charge: null,
  bleeds: false,
  whileLive: null,
  sign: 'M1 15 6 4 9 12 13 2 19 15Z',
});
