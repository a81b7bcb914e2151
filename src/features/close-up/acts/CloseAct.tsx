import { Action } from '../../../ui/Action';
import { Foot } from '../../../ui/Foot';
import { useJob } from '../../job/use-job';
import type { ActProps } from './act';

/** A cover is closed for good. */
export function CloseAct({ step, onRefused }: ActProps) {
  const { record } = useJob();
  const { cover } = step;
  if (!cover) return null;
  return (
    <Foot>
      <Action
        className="min-h-[56px]! text-[18px]"
        onClick={() => onRefused(record('cover.closed', { cover: cover.id, kind: 'final' }))}
      >
        The {cover.name} {/[^s]s$/i.test(cover.name) ? 'are' : 'is'} closed
      </Action>
    </Foot>
  );
}
