import { hazardKind, LOCAL } from './hazard-kind';

export const optical = hazardKind({
  kind: 'optical',
  name: 'Optical source',
  detail: 'laser or strong lamp',
  wholeUnit: false,
  armedBy: ['power'],
  clear: { act: 'Power off, shutter shut', caution: `Do not look for the beam. ${LOCAL}` },
  startsLive: false,
  isPack: false,
  unplugsOutlet: false,
  charge: null,
  bleeds: false,
  whileLive: {
    touching: 'Never look into it, nor at what throws it back.',
    looking: 'Never look into it, nor at what throws it back.',
  },
  sign: 'M10 9 19 3M10 9H19M10 9 19 15M2 5H8V13H2Z',
});
