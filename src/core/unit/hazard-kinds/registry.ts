/** Kinds of hazards, those that can hurt most first. Common practice, no source. A new kind is its file and a line here, at its rank. */

import { capacitor } from './capacitor';
import { cellPack } from './cell-pack';
import { dc } from './dc';
import { hot } from './hot';
import { mains } from './mains';
import { moving } from './moving';
import { optical } from './optical';
import { sharp } from './sharp';
import { staticCharge } from './static-charge';

export const REGISTRY = [mains, capacitor, cellPack, dc, moving, hot, optical, sharp, staticCharge] as const;
