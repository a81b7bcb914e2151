import type { UnitMap } from '../../core/unit';
import { board, cable, chain, measured, motor, powers, seen, sensor, setting, supply } from '../build';

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
    supply('A4', 'supply 24 V', { needs: ['door', 'inner panel'] }),
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
    { id: 'inner panel', name: 'inner panel', minutes: 3, needs: ['door'] },
  ],
  functions: [{ id: 'notes', name: 'Takes notes and stacks them', output: 'M1' }],
  hazards: [
    {
      id: 'mains',
      kind: 'mains',
      name: 'Mains',
      detail: '230 V behind the inner panel',
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
      exposedBy: ['door'],
      armedBy: ['power'],
      clear: {
        act: 'Switch the stacker off at its own switch',
        caution: 'Rings and sleeves off. The maker’s instructions come first.',
      },
    },
  ],
};
