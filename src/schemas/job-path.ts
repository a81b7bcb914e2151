import { STOPS, type Stop } from '../core/job';

/** A stop as it stands in an address: "make safe" is /make-safe. */
export const slugOf = (stop: Stop): string => stop.replaceAll(' ', '-');

/** The stop an address names, if it names one. */
export const stopOf = (slug: string | undefined): Stop | undefined => STOPS.find((s) => slugOf(s) === slug);

/** Where a stop of a job is. */
export const jobPath = (id: string, stop: Stop): string => `/jobs/${id}/${slugOf(stop)}`;
