import { likeliest } from './believing';
import type { Way } from './way';

/** No check at all: what fails most often is mended first. */
export const likeliestFirst: Way = { name: 'most likely first', next: likeliest };
