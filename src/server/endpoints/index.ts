import type { Endpoint } from '../endpoint';
import * as REGISTRY from './registry';

/** Every endpoint of Mulch. */
export const ENDPOINTS: readonly Endpoint[] = Object.values(REGISTRY).flat();
