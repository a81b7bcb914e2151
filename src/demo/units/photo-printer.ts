import { type Header, type Plug, readLineText } from '../../core/mixups';
import type { UnitMap } from '../../core/unit';
import { battery, board, cable, chain, lamp, measured, motor, powers, seen, setting, supply } from '../build';
import { photoPrinterFaces } from '../faces/photo-printer';

const header = (id: string, lines: string, at: { x: number; y: number }, more: Partial<Header>): Header => {
  const read = readLineText(lines);
  return {
    id,
    family: 'wafer',
    pitch: 2.5,
    rows: 1,
    positions: read.length,
    key: 'shroud',
    open: false,
    at: { ...at, board: 'A2' },
    lines: read,
    ...more,
  };
};
const plug = (
  id: string,
  home: string,
  lines: string,
  wires: string[] | undefined,
  exit: { x: number; y: number },
  key: string | null = 'shroud',
  more: Partial<Plug> = {},
): Plug => {
  const read = readLineText(lines);
  return {
    id,
    home,
    family: 'wafer',
    pitch: 2.5,
    rows: 1,
    positions: read.length,
    key,
    exit: { ...exit, board: 'A2' },
    freeLength: 90,
    lines: read.map((l) => (l.kind === 'nc' ? null : l.name)),
    ...(wires ? { wires } : {}),
    ...more,
  };
};

/** Photo-booth printer of the north arcade: goes dark in the middle of a strip. */
export const photoPrinter: UnitMap = {
  name: 'Photo-booth printer',
  maker: 'Hapstock',
  model: 'PB-3',
  elements: [
    board('A2', 'control board', { needs: ['rear cover', 'shield plate'] }),
    cable('W5', 'lamp cable', { needs: ['rear cover'], part: 'lamp cable 4-way' }),
    board('A6', 'lamp driver', { needs: ['rear cover'] }),
    lamp('E1', 'strip lamp', { needs: ['top cover'], part: 'strip lamp 24 V' }),
    cable('W2', 'motor cable', { needs: ['rear cover'] }),
    motor('M1', 'feed motor', { needs: ['rear cover', 'shield plate'] }),
    supply('A1', 'supply board', { needs: ['rear cover', 'shield plate'] }),
    battery('B1', 'hold-up pack 7.2 V', {
      needs: ['rear cover', 'shield plate'],
      weight: 4,
      part: 'pack 7.2 V 2-way plug',
      hearsay: { weight: 6, count: 3, source: 'arcade staff: these packs go every second winter' },
    }),
    setting('S2', 'door interlock', { weight: 2.5 }),
  ],
  feeds: [
    ...chain('A2', 'W5', 'A6', 'E1'),
    ...chain('A2', 'W2', 'M1'),
    ...powers('A1', 'A2', 'A6'),
    ...powers('B1', 'A2'),
    ...powers('S2', 'A2'),
  ],
  taps: [
    measured('TP1', '+24 V rail', 'A1', [24, 1, 30, 'V'], { needs: ['rear cover'] }),
    measured('TP2', 'pack volts under load', 'B1', [7.2, 0.6, 9, 'V'], { needs: ['rear cover'] }),
    seen('D1', 'door lamp on the panel', 'S2', 'look'),
    measured('TP4', 'lamp drive', 'A6', [23.5, 1.5, 30, 'V'], { needs: ['rear cover'] }),
    seen('K1', 'feed motor turns', 'M1', 'listen'),
  ],
  access: [
    { id: 'top cover', name: 'top cover', minutes: 2 },
    { id: 'rear cover', name: 'rear cover', minutes: 2 },
    { id: 'shield plate', name: 'shield plate', minutes: 2, needs: ['rear cover'] },
  ],
  functions: [
    { id: 'print', name: 'Prints a whole strip', output: 'E1' },
    { id: 'feed', name: 'Feeds the paper', output: 'M1' },
  ],
  hazards: [
    {
      id: 'mains',
      kind: 'mains',
      name: 'Mains',
      detail: '230 V',
      on: 'A1',
      exposedBy: ['rear cover'],
      armedBy: ['power'],
      clear: {
        act: 'Switch off and pull the plug at the outlet',
        reading: { at: 'the inlet terminals', unit: 'V', max: 5 },
        caution:
          'Prove the meter on a live point before and after. Local codes and licensed practice come first.',
      },
    },
    {
      id: 'C14',
      kind: 'capacitor',
      name: 'C14',
      detail: '320 V after the plug is out',
      exposedBy: ['rear cover'],
      armedBy: ['power'],
      clear: {
        act: 'Wait two minutes, then bleed through 10 kΩ on insulated leads',
        reading: { at: 'C14', unit: 'V', max: 5 },
        caution:
          'It can recover: read again before a hand goes in. Local codes and licensed practice come first.',
      },
    },
    {
      id: 'B1',
      kind: 'cell pack',
      name: 'B1 pack',
      detail: '7.2 V until W6 is out',
      on: 'B1',
      exposedBy: ['shield plate'],
      armedBy: ['B1', 'W6'],
      clear: {
        act: 'Unplug W6 and tape over its contacts',
        inside: true,
        unplugs: 'W6',
        reading: { at: 'the W6 header on A2', unit: 'V', max: 0.5 },
        caution:
          'Swollen, dented or warm: stop, take it outside, no prying. Local codes and the maker’s instructions come first.',
      },
      charge: { maxPercent: 30, chemistry: 'li-ion cell', series: 2 },
    },
  ],
  moves: [
    { id: 'm1', text: '2 x M4x6 PH2 door hinge > cup 1', tool: 'PH2 driver', sideUp: 'face', minutes: 0.6 },
    { id: 'm2', text: 'lift paper door > shelf', tool: null, sideUp: 'face', minutes: 0.3, after: ['m1'] },
    {
      id: 'm3',
      text: '6 x M3x12 PH1 top cover > cup 2',
      tool: 'PH1 driver',
      sideUp: 'face',
      minutes: 1.6,
      after: ['m2'],
    },
    {
      id: 'm4',
      text: 'lift top cover > shelf',
      tool: null,
      sideUp: 'face',
      minutes: 0.4,
      after: ['m3'],
      opens: 'top cover',
    },
    { id: 'm5', text: '4 x M3x8 PH1 rear cover > cup 3', tool: 'PH1 driver', sideUp: 'rear', minutes: 1 },
    {
      id: 'm6',
      text: 'lift rear cover > shelf',
      tool: null,
      sideUp: 'rear',
      minutes: 0.4,
      after: ['m5'],
      opens: 'rear cover',
      caution: 'a short lead holds it: tilt it first',
      back: { note: 'the short lead in its guide, nothing pinched' },
    },
    {
      id: 'm7',
      text: '5 x M3x6 T10 shield plate > cup 4',
      tool: 'T10 driver',
      sideUp: 'rear',
      minutes: 1.3,
      after: ['m6'],
      back: { torqueNm: 0.5, note: 'crosswise' },
    },
    {
      id: 'm8',
      text: 'slide shield plate > shelf',
      tool: null,
      sideUp: 'rear',
      minutes: 0.5,
      after: ['m7'],
      opens: 'shield plate',
      caution: 'sharp at the lower edge',
    },
  ],
  faces: photoPrinterFaces,
  powerDown: [
    { id: 'strip', text: 'Let the strip in hand run out', note: 'a strip cut short jams the cutter' },
    {
      id: 'counter',
      text: 'Hold COIN for 5 s until “stored” shows',
      note: 'the coin count is kept only then',
    },
    { id: 'switch', text: 'Switch at the rear to 0, lamp out' },
  ],
  parties: [
    {
      id: 'arcade',
      who: 'arcade staff',
      must: 'told',
      before: 'test',
      why: 'a strip printed in a test takes no coin',
    },
  ],
  headers: [
    header('J1', '+24V; GND', { x: 12, y: 8 }, { landmark: 'lower left, by the fuse' }),
    header('J2', '+24V max 30; GND; LAMP_PWM max 5; nc', { x: 40, y: 8 }, { landmark: 'next to the coil' }),
    header(
      'J3',
      'A+ max 30; A- max 30; B+ max 30; B- max 30',
      { x: 62, y: 8 },
      { landmark: 'under the heat sink' },
    ),
    header(
      'J4',
      '+5V max 5.5; GND; SENSE max 3.6; nc',
      { x: 62, y: 40 },
      { landmark: 'between the two relays', easyToMiss: true, leave: 'the trimmer beside it' },
    ),
    header('J6', '+7.2V; GND', { x: 12, y: 60 }, { key: null, landmark: 'upper left, red dot' }),
  ],
  plugs: [
    plug('W1', 'J1', '+24V; GND', ['RD', 'BK'], { x: 12, y: 8 }),
    plug('W5', 'J2', '+24V max 30; GND; LAMP_PWM max 5; nc', ['RD', 'BK', 'YE'], { x: 40, y: 8 }, 'shroud', {
      route: ['guide by the coil', 'tunnel under A6', 'fold at the edge', 'slack 20 mm'],
      latch: 'slide',
    }),
    plug('W2', 'J3', 'A+ max 30; A- max 30; B+ max 30; B- max 30', ['GN', 'WH', 'RD', 'BU'], { x: 62, y: 8 }),
    plug('W3', 'J4', '+5V max 5.5; GND; SENSE max 3.6; nc', undefined, { x: 62, y: 40 }, 'shroud', {
      route: ['hole in the shield', 'guide at the roller'],
      cycles: { rated: 30, done: 26 },
    }),
    plug('W6', 'J6', '+7.2V; GND', undefined, { x: 12, y: 60 }, null),
  ],
};
