import type { Stop } from '../../core/job';

/** What a stop is called on screen. */
export const STOP_TITLE: Record<Stop, string> = {
  'take in': 'Take in',
  trace: 'Trace',
  plan: 'Plan',
  'make safe': 'Make safe',
  'open up': 'Open up',
  swap: 'Swap',
  'close up': 'Close up',
  prove: 'Prove',
  'hand over': 'Hand over',
};
