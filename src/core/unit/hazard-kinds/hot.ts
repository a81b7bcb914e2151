import { hazardKind, LOCAL } from './hazard-kind';

export const hot = hazardKind({
  kind: 'hot',
  name: 'Hot part',
  detail: 'heater, heat sink or lamp',
  wholeUnit: false,
  armedBy: ['power'],
  clear: {
    act: 'Power off and let it cool',
    reading: { at: 'the hot part', unit: '°C', max: 45 },
    caution: `Common practice: under 45 °C before a hand goes near. ${LOCAL}`,
  },
  startsLive: false,
  isPack: false,
  unplugsOutlet: false,
  charge: null,
  bleeds: false,
  whileLive: { touching: 'Skin and leads off what is hot.', looking: 'Hands out of it.' },
  sign: 'M4 16c-3-4 3-5 0-9M10 16c-3-4 3-5 0-9M16 16c-3-4 3-5 0-9',
});
