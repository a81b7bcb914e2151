/** An earlier job on the same unit, as Take in shows it. */
export interface EarlierJob {
  id: string;
  tag: string;
  openedAt: string;
  symptom: string;
  /** functions that failed then, in words */
  failed: string[];
  /** what was mended, in words */
  mended: string[];
  handedOverAt?: string;
  /** what was still owed then */
  owed?: string;
  /** last day of the workshop’s own warranty on it, and whether it still runs */
  warranty?: { until: string; runs: boolean };
  /** days from its hand over until this job was opened */
  days?: number;
  /** the same function fails again within the days that count */
  comeback: boolean;
}

/** What the record knows of the unit in hand. */
export interface Earlier {
  jobs: EarlierJob[];
  /** marks that are nearly this one: asked about, never merged */
  near: { mark: string; unit: string; tag: string }[];
  /** days within which the same fault is a comeback */
  comebackDays: number;
}
