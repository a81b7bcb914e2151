import { type BatterySheet, type FitRule, unknown } from '../sheet';

/** Room for a pouch to swell, as a share of its thickness. Common practice, no source. */
const SWELLING = 0.1;
/** A gap over this wants padding, so that it does not rattle. Common practice, no source. */
const RATTLES_MM = 1;

const words = (s: Pick<BatterySheet, 'lengthMm' | 'widthMm' | 'thicknessMm'>) =>
  s.lengthMm === undefined || s.widthMm === undefined || s.thicknessMm === undefined
    ? 'not known'
    : `${s.lengthMm} × ${s.widthMm} × ${s.thicknessMm}\u00a0mm`;

export const size: FitRule = {
  line: 'size',
  mustKnow: true,
  mendable: false,
  judge({ old, new: fresh, bay }) {
    const room = bay ?? old;
    const { lengthMm: l, widthMm: w, thicknessMm: t } = fresh;
    const oldWords = bay ? `bay ${words(bay)}` : words(old);
    if (l === undefined || w === undefined || t === undefined || words(room) === 'not known')
      return unknown(oldWords, words(fresh), 'measure length, width and thickness of both');
    const [rl, rw, rt] = [room.lengthMm as number, room.widthMm as number, room.thicknessMm as number];
    const flat = (l <= rl && w <= rw) || (w <= rl && l <= rw);
    const base = { old: oldWords, new: words(fresh) };
    if (!flat || t > rt)
      return {
        ...base,
        verdict: 'fail',
        why: t > rt ? `it is ${(t - rt).toFixed(1)} mm too thick` : 'it is too long or too wide',
        caution: 'A cell is never pressed, bent or trimmed to fit.',
      };
    const needed = fresh.form === 'pouch' ? t * (1 + SWELLING) : t;
    if (needed > rt)
      return {
        ...base,
        verdict: 'warn',
        why: `${needed.toFixed(1)} mm with room to swell, ${rt} mm are there`,
      };
    const gap = rt - needed;
    return gap > RATTLES_MM
      ? {
          ...base,
          verdict: 'fits after work',
          why: `${gap.toFixed(1)} mm are left over`,
          work: ['pad it with foam that does not press on it'],
        }
      : { ...base, verdict: 'pass', why: 'it lies in its place' };
  },
};
