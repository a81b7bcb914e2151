export const RESULTS = ['works', 'referred', 'returned as it was', 'kept for parts'] as const;

export interface HandOver {
  at: string;
  by: string;
  to: string;
  result: (typeof RESULTS)[number];
  settings?: string;
  note?: string;
  followUp?: string;
  /** where what was taken out goes */
  disposal?: string;
  /** what is still owed to somebody */
  owed?: string;
  /** who decided, where it was not whoever recorded it */
  decidedBy?: string;
}

/** An open point that was let go, with the reason. */
export interface PassedPoint {
  point: string;
  reason: string;
  at: string;
  by: string;
}

export interface HandingOver {
  passedPoints: PassedPoint[];
  handedOver: HandOver | null;
}

export const startHandingOver = (): HandingOver => ({ handedOver: null, passedPoints: [] });
