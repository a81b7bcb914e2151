import type { UnitMap } from '../../core/unit';
import { board, cable, chain, connector, measured, powers, seen, setting } from '../build';
import { tideInverterFaces } from '../faces/tide-inverter';

/** Tide-gauge solar inverter at the pier head: dead after the storm. */
export const tideInverter: UnitMap = {
  name: 'Tide-gauge solar inverter',
  maker: 'Hapstock',
  model: 'SI-900',
  elements: [
    connector('X1', 'panel terminals', { weight: 2 }),
    setting('Q1', 'DC isolator', { weight: 1.5 }),
    board('A1', 'input board', { needs: ['lid'] }),
    board('K2', 'input relay', { needs: ['lid'], weight: 4, part: 'relay 48 V, 30 A', replaceMinutes: 15 }),
    board('A3', 'output stage', { needs: ['lid'] }),
    cable('W12', 'display cable', { needs: ['lid'], weight: 1 }),
    connector('X4', 'outlet', { weight: 1 }),
    board('A5', 'tide-gauge loop', { needs: ['lid'], weight: 1 }),
  ],
  feeds: [...chain('X1', 'Q1', 'A1', 'K2', 'A3', 'X4'), ...chain('A3', 'W12', 'A5'), ...powers('A1', 'A3')],
  taps: [
    measured('TP1', 'panel input', 'Q1', [41, 6, 60, 'V'], { note: 'sun on the panels' }),
    measured('TP2', 'after the relay', 'K2', [41, 6, 60, 'V'], { needs: ['lid'] }),
    measured('TP3', 'output, 40 W lamp on', 'A3', [230, 10, 260, 'V'], { needs: ['lid'] }),
    measured('TP4', 'tide-gauge loop', 'A5', [8, 4, 24, 'mA'], { needs: ['lid'] }),
    seen('D1', 'run lamp', 'A3', 'look'),
  ],
  access: [
    { id: 'sunshade', name: 'sunshade', minutes: 2 },
    { id: 'lid', name: 'lid', minutes: 6, needs: ['sunshade'] },
  ],
  functions: [
    { id: 'outlet', name: '230 V at the outlet', output: 'X4' },
    { id: 'gauge', name: 'Tide gauge answers', output: 'A5' },
  ],
  faces: tideInverterFaces,
  parties: [
    {
      id: 'harbour',
      who: 'harbour watch',
      must: 'told',
      why: 'the tide gauge is silent while the lid is off',
    },
  ],
  hazards: [
    {
      id: 'panels',
      kind: 'dc',
      name: 'Panels in sun',
      detail: '41 V at the isolator',
      exposedBy: ['lid'],
      armedBy: ['power'],
      clear: {
        act: 'Open the isolator, part the panel lead, cover the panels',
        reading: { at: 'the input terminals', unit: 'V', max: 5 },
        caution:
          'No load when it is parted: DC arcs do not go out by themselves. Local codes and licensed practice come first.',
      },
    },
    {
      id: 'C3',
      kind: 'capacitor',
      name: 'C3',
      detail: '60 V after the isolator is open',
      exposedBy: ['lid'],
      armedBy: ['power'],
      clear: {
        act: 'Wait a minute, then bleed through 1 kΩ on insulated leads',
        reading: { at: 'C3', unit: 'V', max: 5 },
        caution:
          'It can recover: read again before a hand goes in. Local codes and licensed practice come first.',
      },
    },
  ],
};
