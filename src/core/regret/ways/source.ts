import { first, likeliest, splitting } from './believing';
import type { Way } from './way';

/** Along the chain from its source: of the checks that split, the one that exercises fewest. */
export const fromTheSource: Way = {
  name: 'from the source on',
  next(stand) {
    const check = first(splitting(stand), (c) => -c.reach);
    return check ? { kind: 'check', index: check.index } : likeliest(stand);
  },
};
