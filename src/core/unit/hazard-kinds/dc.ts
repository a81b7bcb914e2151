import { hazardKind, LOCAL } from './hazard-kind';

export const dc = hazardKind({
  kind: 'dc',
  name: 'DC bus',
  detail: 'held up by panels, a pack or a supply',
  wholeUnit: false,
  armedBy: ['power'],
  clear: {
    act: 'Open the DC isolator and part the lead',
    reading: { at: 'the DC terminals', unit: 'V', max: 5 },
    caution: `DC arcs do not go out by themselves: no load when it is parted. ${LOCAL}`,
  },
  startsLive: false,
  isPack: false,
  unplugsOutlet: false,
  charge: null,
  bleeds: false,
  whileLive: { touching: 'One hand, insulated probe.', looking: 'Hands out of it.' },
  sign: 'M1 6H19M1 12H5M8 12H12M15 12H19',
});
