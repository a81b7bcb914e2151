import { halving } from './halving';
import { likeliestFirst } from './likeliest-first';
import { mulch } from './mulch';
import { fromTheSource } from './source';
import type { Way } from './way';

/** The usual ways by hand. */
export const BY_HAND: Way[] = [fromTheSource, halving, likeliestFirst];
/** The ways that are compared, in the order of the answer. */
export const WAYS: Way[] = [...BY_HAND, mulch];
