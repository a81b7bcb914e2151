import type { WayBackStep } from '../../../core/ledger';
import type { Refused } from '../../job/store';

/** What an act on a step of the way back is given. */
export interface ActProps {
  step: WayBackStep;
  /** it is one of several screws */
  screws: boolean;
  onBack(n: number): void;
  /** takes one off again */
  fewer?: (() => void) | undefined;
  onRefused(r: Refused | null): void;
}
