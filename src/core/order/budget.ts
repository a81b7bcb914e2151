/**
 * Work that a search may do, counted and not timed: the same request is answered the same, on any
 * machine. One unit is one look at one move.
 */
export class Budget {
  constructor(private left: number) {}

  spend(units: number): void {
    this.left -= units;
  }

  get isOut(): boolean {
    return this.left <= 0;
  }
}

/** Looks at moves that a slow machine makes in a millisecond. Measured. */
export const UNITS_PER_MS = 4_000;
