import { type FitRule, figure, unknown } from '../sheet';

const shown = (c: string[] | undefined) =>
  c?.length ? c.map((x) => (x === '-' ? '−' : x)).join(' ') : 'not known';

export const polarity: FitRule = {
  line: 'polarity',
  mustKnow: true,
  mendable: true,
  judge({ old, new: fresh }) {
    const base = { old: shown(old.contacts), new: shown(fresh.contacts) };
    if (!old.contacts?.length || !fresh.contacts?.length)
      return unknown(base.old, base.new, 'read it with the meter, contact by contact, before it is plugged');
    const wrong = old.contacts.findIndex((c, i) => fresh.contacts?.[i] !== c);
    if (wrong < 0 && old.contacts.length === fresh.contacts.length)
      return { ...base, verdict: 'pass', why: 'every contact carries the same' };
    return {
      ...base,
      verdict: 'fail',
      why:
        old.contacts.length === fresh.contacts.length
          ? `contact ${wrong + 1} carries ${shown([fresh.contacts[wrong] as string])} where ${shown([old.contacts[wrong] as string])} was`
          : `${fresh.contacts.length} contacts against ${old.contacts.length}`,
      work: [
        'move the contacts in the plug one at a time, the other one insulated',
        'read the polarity at the plug again',
      ],
      caution: 'Do not plug it in yet.',
    };
  },
};

export const plug: FitRule = {
  line: 'plug',
  mustKnow: false,
  mendable: false,
  judge({ old, new: fresh }) {
    const base = { old: old.plug ?? 'not known', new: fresh.plug ?? 'not known' };
    if (!old.plug || !fresh.plug) return unknown(base.old, base.new, 'compare family, pitch and key');
    return old.plug.trim().toLowerCase() === fresh.plug.trim().toLowerCase()
      ? { ...base, verdict: 'pass', why: 'same plug' }
      : {
          ...base,
          verdict: 'fits after work',
          why: 'another plug',
          work: [
            'carry the old plug over, one lead at a time, each joint insulated before the next is bared',
          ],
          caution: 'Never both leads bare at once: a pack cannot be switched off.',
        };
  },
};

export const lead: FitRule = {
  line: 'lead',
  mustKnow: false,
  mendable: false,
  judge({ old, new: fresh }) {
    const base = { old: figure(old.leadMm, 'mm'), new: figure(fresh.leadMm, 'mm') };
    if (old.leadMm === undefined || fresh.leadMm === undefined)
      return unknown(base.old, base.new, 'measure the free lead');
    return fresh.leadMm >= old.leadMm
      ? { ...base, verdict: 'pass', why: 'it reaches' }
      : {
          ...base,
          verdict: 'fits after work',
          why: `${Number((old.leadMm - fresh.leadMm).toPrecision(3))} mm too short`,
          work: ['lengthen the lead with the same gauge, joints staggered and insulated'],
        };
  },
};

export const guard: FitRule = {
  line: 'protection',
  mustKnow: false,
  mendable: false,
  judge({ old, new: fresh }) {
    const say = (p: boolean | undefined) =>
      p === undefined ? 'not known' : p ? 'on the pack' : 'none on it';
    const base = { old: say(old.protection), new: say(fresh.protection) };
    if (fresh.protection === undefined || old.protection === undefined)
      return unknown(base.old, base.new, 'look for the small board under the wrap');
    if (fresh.protection || !old.protection) return { ...base, verdict: 'pass', why: 'nothing is missing' };
    return {
      ...base,
      verdict: 'fail',
      why: 'the old one guarded itself, this one does not',
      caution: 'Without protection a short or a deep discharge ends in fire.',
    };
  },
};
