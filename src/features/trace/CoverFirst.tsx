import { coverHeldBy, coversOn } from '../../core/job';
import type { MapCheck } from '../../core/unit';
import { Action, Second } from '../../ui/Action';
import { Foot } from '../../ui/Foot';
import { Posts, Warn } from '../../ui/Signs';
import { useJob } from '../job/use-job';

/** Covers still over the point of a check, outermost first. */
export function useCoversOn(needs: string[] | undefined): { id: string; name: string }[] {
  const { job } = useJob();
  return coversOn(job, needs);
}

/** A check whose point is still covered: what has to come off first, and the short way to say that it is off. */
export function CoverFirst({
  check,
  onRefused,
}: {
  check: MapCheck;
  onRefused(reason: string | null): void;
}) {
  const { job, record, go } = useJob();
  const covers = useCoversOn(check.trace.needs);
  const next = covers[0];
  if (!next) return null;
  // Whoever practises finds out by themselves.
  const held = job.practice ? null : coverHeldBy(job, next);
  return (
    <div className="grid grid-cols-[44px_1fr] gap-3 items-center border border-bark p-3">
      <Posts size={36} />
      <div className="grid gap-2">
        <b>Held by the {covers.map((c) => c.name).join(', then the ')}: still on</b>
        {held && (
          <p className="flex gap-2 text-[14px]">
            <Warn /> {held}
          </p>
        )}
        <Foot>
          <b className="text-[18px] max-w-[240px] leading-[1.15]">{check.title}</b>
          {held ? (
            <Action keyName="Enter" onClick={() => go('make safe')}>
              Make safe first
            </Action>
          ) : (
            <>
              <Action
                keyName="Enter"
                onClick={() =>
                  onRefused(
                    record('move.recorded', {
                      verb: 'lift',
                      text: `lift ${next.name}`,
                      item: { kind: 'part', name: next.name, count: 1, place: { kind: 'shelf' } },
                    })?.reason ?? null,
                  )
                }
              >
                The {next.name} is off now
              </Action>
              <Second onClick={() => go('open up')}>Record its screws</Second>
            </>
          )}
        </Foot>
      </div>
    </div>
  );
}
