import { hazardKind, LOCAL } from './hazard-kind';

export const cellPack = hazardKind({
  kind: 'cell pack',
  name: 'Lithium pack',
  detail: 'always live at its plug',
  wholeUnit: false,
  armedBy: [],
  clear: {
    act: 'Unplug the pack and tape over its contacts',
    inside: true,
    reading: { at: 'the pack header on the board', unit: 'V', max: 0.5 },
    caution: `Swollen, dented or warm: stop, take it outside, no prying. A removed glued cell is never fitted again. ${LOCAL}`,
  },
  startsLive: true,
  isPack: true,
  unplugsOutlet: false,
  charge: { maxPercent: 25, chemistry: 'li-ion cell', series: 1 },
  bleeds: false,
  whileLive: { touching: 'One hand, insulated probe.', looking: 'Hands out of it.' },
  sign: 'M1 4H16V14H1ZM16 7H19V11H16M6 4V14M11 4V14',
});
