import { halving } from './halving';
import { likeliestFirst } from './likeliest-first';
import { mulch } from './mulch';
import { fromTheSource } from './source';
import type { Way } from './way';

/** The ways that are compared, in the order of the answer. */
export const WAYS: Way[] = [fromTheSource, halving, likeliestFirst, mulch];
