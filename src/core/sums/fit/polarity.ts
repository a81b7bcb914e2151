import { demand } from '../../refusal';
import { output, type Sum, type Value } from '../sum';

const SIGNS = ['+', '-', 'T'];

function contacts(value: Value | undefined, name: string): string[] {
  const list = Array.isArray(value)
    ? value.map(String)
    : String(value ?? '')
        .trim()
        .split(/\s+/)
        .filter(Boolean);
  demand(list.length > 0, `${name} is missing`, `/${name}`);
  const read = list.map((x) => (x === '−' ? '-' : x.toUpperCase()));
  read.forEach((x, i) => {
    demand(SIGNS.includes(x), `${list[i]} is none of + − T`, `/${name}/${i}`);
  });
  return read;
}

export const fitPolarity: Sum = {
  name: 'fit-polarity',
  title: 'Polarity of a plug',
  about: 'Whether the contacts of a new pack carry what those of the old one did.',
  also: ['fit', 'battery', 'plus minus'],
  inputs: [
    {
      name: 'oldContacts',
      label: 'Old, from contact 1',
      kind: 'words',
      options: SIGNS,
      start: '+ T -',
      hint: '+ − T (thermistor)',
    },
    { name: 'newContacts', label: 'New, from contact 1', kind: 'words', options: SIGNS, start: '- T +' },
  ],
  outputs: [output('answer', 'Fit')],
  source: 'Contact by contact',
  compute(given) {
    const old = contacts(given.oldContacts, 'oldContacts');
    const fresh = contacts(given.newContacts, 'newContacts');
    const apart = old.findIndex((x, i) => fresh[i] !== x);
    const answer = old.length === fresh.length && apart < 0 ? 'pass' : 'fail';
    return {
      values: { answer },
      formula: `${old.join(' ')} against ${fresh.join(' ')}`,
      say:
        answer === 'pass'
          ? 'Every contact carries the same.'
          : old.length !== fresh.length
            ? `${old.length} contacts against ${fresh.length}.`
            : `Contact ${apart + 1} carries ${fresh[apart]} where ${old[apart]} was.`,
      ...(answer === 'fail'
        ? {
            caution:
              'Do not plug it in. Change contacts one at a time, the other one insulated, and read the voltage at the plug before it goes in.',
          }
        : {}),
    };
  },
  example: { given: { oldContacts: ['+', '-'], newContacts: ['-', '+'] }, answer: { answer: 'fail' } },
};
