import type { UnitMap } from '../../core/unit';
import { board, cable, chain, connector, measured, powers, seen, supply } from '../build';
import { hearingLoopFaces } from '../faces/hearing-loop';

const TWO = ['two loops', 'shielded'];
const TONE = '1 kHz tone in at J1';

/** Hearing-loop amplifier of the ticket hall: one microphone, two loops in the floor. */
export const hearingLoop: UnitMap = {
  name: 'Hearing-loop amplifier',
  maker: 'Quayle & Finch',
  model: 'HL-40',
  elements: [
    connector('J1', 'microphone input', { weight: 1 }),
    board('A1', 'preamp board', { needs: ['lid', 'shield'], spare: true }),
    cable('W4', 'ribbon', { needs: ['lid'], touch: ['hatch'], part: 'ribbon 10-way 120 mm' }),
    board('A2', 'mixer board', { needs: ['lid'] }),
    cable('W7', 'left ribbon', { needs: ['lid'], touch: ['hatch'], weight: 4, part: 'ribbon 10-way 200 mm' }),
    board('A3', 'left output board', { needs: ['lid'] }),
    cable('L1', 'left loop in the floor', { weight: 0.8, part: 'loop wire', replaceMinutes: 90 }),
    cable('W8', 'right ribbon', {
      only: TWO,
      needs: ['lid'],
      touch: ['hatch'],
      weight: 4,
      part: 'ribbon 10-way 200 mm',
    }),
    board('A5', 'right output board', { needs: ['lid'], only: TWO }),
    cable('L2', 'right loop in the floor', { weight: 0.8, part: 'loop wire', replaceMinutes: 90, only: TWO }),
    supply('A4', 'supply board', { needs: ['lid'] }),
  ],
  feeds: [
    ...chain('J1', 'A1', 'W4', 'A2', 'W7', 'A3', 'L1'),
    ...chain('A2', 'W8', 'A5', 'L2'),
    ...powers('A4', 'A1', 'A2', 'A3', 'A5'),
  ],
  taps: [
    measured('TP1', '+15 V rail', 'A4', [15, 0.5, 20, 'V'], { needs: ['hatch'] }),
    measured('TP2', 'preamp out', 'A1', [0.775, 0.1, 1, 'V'], { needs: ['hatch'], note: TONE, ac: true }),
    seen('H1', 'monitor socket, headphones', 'A2', 'listen', { note: 'plug the headphones in, tone on' }),
    measured('TP5', 'left drive in', 'W7', [0.775, 0.1, 1, 'V'], { needs: ['hatch'], note: TONE, ac: true }),
    measured('TP6', 'right drive in', 'W8', [0.775, 0.1, 1, 'V'], { needs: ['hatch'], note: TONE, ac: true }),
    measured('X9', 'left loop current', 'A3', [2.4, 0.4, 5, 'A'], {
      note: 'clamp round the left loop lead',
      ac: true,
    }),
    measured('X10', 'right loop current', 'A5', [2.4, 0.4, 5, 'A'], {
      note: 'clamp round the right loop lead',
      ac: true,
    }),
    seen('D3', 'power lamp', 'A4', 'look'),
  ],
  access: [
    { id: 'hatch', name: 'service hatch', minutes: 1 },
    { id: 'lid', name: 'lid', minutes: 4, needs: ['hatch'] },
    { id: 'shield', name: 'shield over A1', minutes: 3, needs: ['lid'], only: ['shielded'] },
  ],
  functions: [
    { id: 'left', name: 'Loop heard on the left side of the hall', output: 'L1' },
    { id: 'right', name: 'Loop heard on the right side of the hall', output: 'L2' },
  ],
  hazards: [
    {
      id: 'mains',
      kind: 'mains',
      name: 'Mains',
      detail: '230 V inside the lid',
      on: 'A4',
      exposedBy: ['lid'],
      armedBy: ['power'],
      clear: {
        act: 'Switch off and pull the plug at the outlet',
        reading: { at: 'the inlet terminals', unit: 'V', max: 5 },
        caution:
          'Prove the meter on a live point before and after. Local codes and licensed practice come first.',
      },
    },
    {
      id: 'C11',
      kind: 'capacitor',
      name: 'C11 C12',
      detail: '68 V, fall in about 40 s once power is out',
      exposedBy: ['lid'],
      armedBy: ['power'],
      clear: {
        act: 'Wait a minute, then bleed through 470 Ω on insulated leads',
        reading: { at: 'C11 and C12', unit: 'V', max: 5 },
        caution:
          'They can recover: read again before a hand goes in. Local codes and licensed practice come first.',
      },
    },
  ],
  faces: hearingLoopFaces,
  parties: [
    {
      id: 'hall',
      who: 'ticket hall',
      must: 'told',
      before: 'test',
      why: 'the tone is heard in every hearing aid',
    },
  ],
  channels: [
    { id: 'left', name: 'left loop', elements: ['W7', 'A3', 'L1'] },
    { id: 'right', name: 'right loop', elements: ['W8', 'A5', 'L2'] },
  ],
  checks: [
    {
      id: 'lamps',
      name: 'Self-test, hold TEST for 3 s',
      exercises: [],
      minutes: 1,
      power: 'on',
      note: 'the row of lamps on the front',
      answers: [
        { id: 'all', name: 'all lamps lit', points: [] },
        { id: 'left', name: 'left lamp dark', points: ['W7', 'A3'] },
        { id: 'right', name: 'right lamp dark', points: ['W8', 'A5'] },
        { id: 'both', name: 'both dark', points: ['J1', 'A1', 'W4', 'A2', 'A4'] },
      ],
    },
  ],
  variants: [
    { id: 'two loops', name: 'two loops', tell: 'two loop terminals at the rear' },
    {
      id: 'shielded',
      name: 'two loops, shield over A1',
      tell: 'a bare metal plate is seen through the hatch',
    },
    { id: 'one loop', name: 'one loop', tell: 'one loop terminal at the rear, the other is a blank plate' },
  ],
};
