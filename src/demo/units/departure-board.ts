import type { UnitMap } from '../../core/unit';
import { board, cable, chain, measured, powers, seen, setting, supply } from '../build';
import { departureBoardFaces } from '../faces/departure-board';

/** Ferry departure board of the landing stage: lower rows frozen. */
export const departureBoard: UnitMap = {
  name: 'Ferry departure board',
  maker: 'Murrowby',
  model: 'DB-12',
  elements: [
    board('A1', 'line receiver', { needs: ['back panel'] }),
    cable('W1', 'data cable', { needs: ['back panel'] }),
    board('A2', 'row controller', { needs: ['back panel'] }),
    cable('W2', 'upper ribbon', { needs: ['back panel'], part: 'ribbon 26-way 400 mm' }),
    board('A3', 'upper rows', { needs: ['back panel'], part: 'row board, 4 rows' }),
    cable('W3', 'lower ribbon', { needs: ['back panel'], part: 'ribbon 26-way 400 mm' }),
    board('A4', 'lower rows', { needs: ['back panel'], part: 'row board, 4 rows' }),
    supply('A5', 'supply 5 V', { needs: ['back panel'] }),
    setting('S1', 'address switch', { weight: 1 }),
  ],
  feeds: [
    ...chain('A1', 'W1', 'A2', 'W2', 'A3'),
    ...chain('A2', 'W3', 'A4'),
    ...powers('A5', 'A1', 'A2', 'A3', 'A4'),
    ...powers('S1', 'A2'),
  ],
  taps: [
    measured('TP1', '5 V rail', 'A5', [5, 0.25, 8, 'V'], { needs: ['back panel'] }),
    seen('D2', 'data lamp', 'W1', 'look', { needs: ['back panel'] }),
    seen('D4', 'upper rows change', 'A3', 'look'),
  ],
  access: [{ id: 'back panel', name: 'back panel', minutes: 3 }],
  functions: [
    { id: 'upper', name: 'Upper rows show the next ferry', output: 'A3' },
    { id: 'lower', name: 'Lower rows show later ferries', output: 'A4' },
  ],
  faces: departureBoardFaces,
  hazards: [
    {
      id: 'mains',
      kind: 'mains',
      name: 'Mains',
      detail: '230 V',
      on: 'A5',
      exposedBy: ['back panel'],
      armedBy: ['power'],
      clear: {
        act: 'Switch off at the isolator on the post and lock it',
        reading: { at: 'the inlet terminals', unit: 'V', max: 5 },
        caution:
          'Prove the meter on a live point before and after. Local codes and licensed practice come first.',
      },
    },
  ],
};
