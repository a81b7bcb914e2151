import { demand } from '../../refusal';
import { input, number, output, type Sum, show } from '../sum';

export const flatFlexCount: Sum = {
  name: 'flat-flex-count',
  title: 'Contacts of a flat cable',
  about: 'How many contacts a flat flexible cable has, from its width.',
  also: ['ffc', 'fpc', 'ribbon', 'pitch'],
  inputs: [input('widthMm', 'Width', 'mm', '20.5'), input('pitchMm', 'Pitch', 'mm', '0.5')],
  outputs: [output('contacts', 'Contacts')],
  source: 'n = round(width / pitch) − 1: one pitch of margin at the two edges together. Common practice',
  compute(given) {
    const width = number(given, 'widthMm');
    const pitch = number(given, 'pitchMm');
    const contacts = Math.round(width / pitch) - 1;
    demand(contacts >= 1, 'the cable is narrower than two pitches', '/widthMm');
    return {
      values: { contacts },
      formula: `round(${show(width)} / ${show(pitch)}) − 1 = ${contacts}`,
      say: 'Count them once under the glass: a half millimetre of trim is one contact.',
    };
  },
  example: { given: { widthMm: 20.5, pitchMm: 0.5 }, answer: { contacts: 40 } },
};

/** Pitch of ribbon cable in millimetres: 0.05 inch. */
const RIBBON_PITCH = 1.27;

export const ribbonCount: Sum = {
  name: 'ribbon-count',
  title: 'Wires of a ribbon',
  about: 'How many wires a ribbon cable of 1.27 mm pitch has, from its width.',
  also: ['idc', 'flat cable'],
  inputs: [input('widthMm', 'Width', 'mm', '12.7')],
  outputs: [output('contacts', 'Wires')],
  source: 'n = round(width / 1.27). Common practice',
  compute(given) {
    const width = number(given, 'widthMm');
    const contacts = Math.round(width / RIBBON_PITCH);
    demand(contacts >= 1, 'that is narrower than one wire', '/widthMm');
    return { values: { contacts }, formula: `round(${show(width)} / 1.27) = ${contacts}` };
  },
  example: { given: { widthMm: 12.7 }, answer: { contacts: 10 } },
};
