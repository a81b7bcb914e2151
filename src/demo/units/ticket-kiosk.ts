import type { UnitMap } from '../../core/unit';
import { board, cable, chain, measured, motor, powers, seen, sensor, setting, supply } from '../build';
import { ticketKioskFaces } from '../faces/ticket-kiosk';

/** Ticket kiosk at turnstile 2: eats notes. */
export const ticketKiosk: UnitMap = {
  name: 'Ticket kiosk',
  maker: 'Murrowby',
  model: 'TK-2',
  elements: [
    sensor('N1', 'note sensor', { needs: ['door'] }),
    cable('W1', 'sensor cable', { needs: ['door'] }),
    board('A1', 'main board', { needs: ['door', 'inner panel'] }),
    cable('W2', 'stacker cable', { needs: ['door'] }),
    motor('M1', 'stacker motor', { needs: ['door'] }),
    supply('A4', 'supply 24 V', { needs: ['inner panel'] }),
    setting('S1', 'cash-box switch', { weight: 3 }),
  ],
  feeds: [...chain('N1', 'W1', 'A1', 'W2', 'M1'), ...powers('A4', 'A1', 'M1'), ...powers('S1', 'A1')],
  taps: [
    measured('TP1', '24 V rail', 'A4', [24, 1.2, 30, 'V'], { needs: ['door', 'inner panel'] }),
    measured('TP3', 'sensor level, no note', 'W1', [3.3, 0.4, 5, 'V'], { needs: ['door'] }),
    seen('D1', 'cash-box lamp', 'S1', 'look', { needs: ['door'] }),
    seen('K1', 'stacker runs at start', 'M1', 'listen'),
  ],
  access: [
    { id: 'door', name: 'door', minutes: 1 },
    { id: 'inner panel', name: 'inner panel', minutes: 3 },
  ],
  functions: [{ id: 'notes', name: 'Takes notes and stacks them', output: 'M1' }],
  faces: ticketKioskFaces,
  parties: [
    { id: 'cash', who: 'cash owner', must: 'allow', why: 'the cash box is in reach once the door is open' },
    { id: 'alarm', who: 'alarm receiver', must: 'told', why: 'the door contact rings there' },
  ],
  powerDown: [
    {
      id: 'service',
      text: 'Turn the key to SERVICE, wait for the shutter',
      note: 'a note half in is given back',
    },
    { id: 'store', text: 'Menu, 7, store', note: 'counts are lost without it' },
  ],
  moves: [
    { id: 'k1', text: 'unlatch door lock', tool: 'door key', sideUp: 'front', minutes: 0.3 },
    {
      id: 'k2',
      text: 'lift door > left in the part',
      tool: null,
      sideUp: 'front',
      minutes: 0.2,
      after: ['k1'],
      opens: 'door',
    },
    {
      id: 'k3',
      text: '2 x M5x12 HEX4 cash tray > cup 1',
      tool: 'HEX4 driver',
      sideUp: 'front',
      minutes: 0.8,
      after: ['k2'],
    },
    {
      id: 'k4',
      text: 'slide cash tray > shelf',
      tool: null,
      sideUp: 'front',
      minutes: 0.6,
      after: ['k3'],
      caution: 'the cash owner looks on',
    },
    { id: 'k5', text: '4 x M4x8 PH2 rear flap > cup 2', tool: 'PH2 driver', sideUp: 'rear', minutes: 1.2 },
    { id: 'k6', text: 'lift rear flap > shelf', tool: null, sideUp: 'rear', minutes: 0.4, after: ['k5'] },
    {
      id: 'k7',
      text: '6 x M4x8 PH2 inner panel > cup 3',
      tool: 'PH2 driver',
      sideUp: null,
      minutes: 1.5,
      afterAny: [['k4'], ['k6']],
    },
    {
      id: 'k8',
      text: 'slide inner panel > shelf',
      tool: null,
      sideUp: null,
      minutes: 0.5,
      after: ['k7'],
      opens: 'inner panel',
      back: {
        fresh: true,
        note: 'new foam strip under the upper edge, sets before the door is shut',
        cureMinutes: 10,
      },
    },
  ],
  hazards: [
    {
      id: 'mains',
      kind: 'mains',
      name: 'Mains',
      detail: '230 V behind the inner panel',
      on: 'A4',
      exposedBy: ['inner panel'],
      armedBy: ['power'],
      clear: {
        act: 'Switch off and pull the plug in the plinth',
        reading: { at: 'the inlet terminals', unit: 'V', max: 5 },
        caution:
          'Prove the meter on a live point before and after. Local codes and licensed practice come first.',
      },
    },
    {
      id: 'stacker',
      kind: 'moving',
      name: 'Stacker',
      detail: 'rollers pull a finger in',
      on: 'M1',
      exposedBy: ['door'],
      armedBy: ['power'],
      clear: {
        act: 'Switch the stacker off at its own switch',
        caution: 'Rings and sleeves off. The maker’s instructions come first.',
      },
    },
  ],
};
