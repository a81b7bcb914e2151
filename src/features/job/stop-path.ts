import { STOPS, type Stop } from '../../core/job';

/** A stop as it stands in an address: "make safe" is /make-safe. */
export const slugOf = (stop: Stop): string => stop.replaceAll(' ', '-');

/** The stop an address names, if it names one. */
export const stopOf = (slug: string | undefined): Stop | undefined => STOPS.find((s) => slugOf(s) === slug);

export const jobPath = (id: string, stop: Stop): string => `/jobs/${id}/${slugOf(stop)}`;

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
