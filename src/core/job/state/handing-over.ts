export const RESULTS = ['works', 'referred', 'returned as it was'] as const;

export interface HandOver {
  at: string;
  by: string;
  to: string;
  result: (typeof RESULTS)[number];
  settings?: string;
  note?: string;
  followUp?: string;
}

export interface HandingOver {
  handedOver: HandOver | null;
}

export const startHandingOver = (): HandingOver => ({ handedOver: null });
