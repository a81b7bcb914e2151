import { CHEMISTRY_ROWS, rowOfClass } from '../../chemistry';
import { Refusal } from '../../refusal';
import { ageMonths, readDateCode } from '../../unit/date-code';
import { type FitRule, MOUNTS } from '../sheet';

function months(code: string | undefined, today: string): { words: string; age: number } | null {
  if (!code) return null;
  try {
    const read = readDateCode(code);
    const age = ageMonths(read, today);
    return { words: `${read.words}, ${age} months`, age };
  } catch (error) {
    if (error instanceof Refusal) return null;
    throw error;
  }
}

/** How old both are by their date codes. */
export const age: FitRule = {
  line: 'age',
  mustKnow: false,
  mendable: false,
  judge({ old, new: fresh, today, rows = CHEMISTRY_ROWS }) {
    if (!today || (!old.dateCode && !fresh.dateCode)) return null;
    const [o, n] = [months(old.dateCode, today), months(fresh.dateCode, today)];
    const base = { old: o?.words ?? 'not known', new: n?.words ?? 'not known' };
    if (!n) return { ...base, verdict: 'not known', why: 'read the date code of the new one' };
    if (n.age < 0) return { ...base, verdict: 'warn', why: 'its date lies ahead: read it again' };
    const most = rowOfClass(rows, fresh.chemistry)?.shelfMonths;
    if (most === undefined)
      return { ...base, verdict: 'not known', why: 'how long it keeps depends on its chemistry' };
    return n.age <= most
      ? { ...base, verdict: 'pass', why: `under ${most} months on the shelf` }
      : {
          ...base,
          verdict: 'warn',
          why: `over ${most} months on the shelf: charge it and measure what it holds before it goes in`,
        };
  },
};

/** How it is held, and by what it is joined. */
export const mounting: FitRule = {
  line: 'mounting',
  mustKnow: false,
  mendable: false,
  judge({ old, new: fresh }) {
    if (!old.mount && !fresh.mount) return null;
    const base = { old: old.mount ?? 'not known', new: fresh.mount ?? 'not known' };
    if (!old.mount || !fresh.mount)
      return { ...base, verdict: 'not known', why: 'look how each is held and joined' };
    if (old.mount === fresh.mount) return { ...base, verdict: 'pass', why: 'held and joined alike' };
    if (old.mount === MOUNTS[2] && fresh.mount === MOUNTS[1])
      return {
        ...base,
        verdict: 'fits after work',
        why: 'a bare cell where a tagged one was soldered',
        work: ['solder a holder in its place, with the cell out of it', 'put the cell in last'],
        caution: 'Never solder to a bare cell: it vents or bursts. A tagged one, or a holder.',
      };
    return {
      ...base,
      verdict: 'fits after work',
      why: `made for ${fresh.mount}, the unit has ${old.mount}`,
      work: [`make it fit ${old.mount}: bracket, strap or holder, nothing pressing on the cell`],
    };
  },
};

/** What the unit forgets while the cell is out. */
export const memory: FitRule = {
  line: 'what is lost',
  mustKnow: false,
  mendable: false,
  judge({ old }) {
    if (!old.keeps) return null;
    return {
      old: old.keeps,
      new: 'lost while it is out',
      verdict: 'fits after work',
      why: 'it holds something up that has to be kept or written down first',
      work: [
        `write down or save first: ${old.keeps}`,
        'or hold it up from outside while it is out: the same voltage through a diode, on its own contacts',
      ],
      caution: 'Outside supply only across the memory, never across a charger or a second cell.',
    };
  },
};
