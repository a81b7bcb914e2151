import type { WayBackStep } from '../../../core/ledger';
import type { ActProps } from './act';
import { CloseAct } from './CloseAct';
import { CountAct } from './CountAct';
import { ProveAct } from './ProveAct';
import { ReturnAct } from './ReturnAct';
import { TurnAct } from './TurnAct';

const ACTS: Record<WayBackStep['kind'], (p: ActProps) => React.ReactNode> = {
  return: ReturnAct,
  prove: ProveAct,
  count: CountAct,
  close: CloseAct,
  turn: TurnAct,
};

/** The act that a step asks for. */
export const StepAct = (p: ActProps) => {
  const Act = ACTS[p.step.kind];
  return <Act {...p} />;
};
