import type { Sheet } from '../sheet';
import { channels } from './channels';
import { checks } from './checks';
import { access } from './covers';
import { elements } from './elements';
import { faces } from './faces';
import { feeds } from './feeds';
import { functions } from './functions';
import { hazards } from './hazards';
import { headers } from './headers';
import { moves } from './moves';
import { parties } from './parties';
import { plugs } from './plugs';
import { powerDown } from './power-down';
import { taps } from './taps';
import { variants } from './variants';

/** Every list of a map that can be worked on, in the order they are usually filled. */
export const SHEETS: Sheet[] = [
  elements,
  feeds,
  taps,
  access,
  functions,
  hazards,
  channels,
  variants,
  checks,
  moves,
  headers,
  plugs,
  faces,
  powerDown,
  parties,
];
