import { Action } from '../../../ui/Action';
import { Foot } from '../../../ui/Foot';
import { useJob } from '../../job/use-job';
import type { ActProps } from './act';

/** The unit is turned as it was on the way in. */
export function TurnAct({ step, onRefused }: ActProps) {
  const { record } = useJob();
  const { side } = step;
  if (!side) return null;
  return (
    <Foot>
      <Action
        className="min-h-[56px]! text-[18px]"
        onClick={() =>
          onRefused(record('move.recorded', { verb: 'flip', text: `flip ${side}`, item: null, sideUp: side }))
        }
      >
        It is turned
      </Action>
    </Foot>
  );
}
