import { first, likeliest, splitting } from './believing';
import type { Way } from './way';

/** Half-split: the check that cuts the suspects most evenly for its minutes. */
export const halving: Way = {
  name: 'halving',
  next(stand) {
    const n = stand.suspects.length;
    const check = first(splitting(stand), (c) => Math.min(c.inside, n - c.inside) / c.minutes);
    return check ? { kind: 'check', index: check.index } : likeliest(stand);
  },
};
