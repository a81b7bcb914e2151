import { coversNeeded, gatesAhead, isReached, openAccess, plansOf } from '../../core/job';
import { Action, Second } from '../../ui/Action';
import { Foot } from '../../ui/Foot';
import { Posts } from '../../ui/Signs';
import { useJob } from '../job/use-job';
import { AccessTree } from './AccessTree';
import { WaysCompared } from './WaysCompared';

/** What is still over the element that the plan wants reached. */
export function Reach({
  onText,
  leads,
}: {
  onText(t: string): void;
  /** no move of a known way and no line in hand goes before it */
  leads: boolean;
}) {
  const { job, go } = useJob();
  const { plan, map } = job;
  const open = openAccess(job);
  const needed = coversNeeded(job);
  const covers = needed.length
    ? needed.flatMap((id) => map.access.filter((a) => a.id === id))
    : plan?.element
      ? []
      : map.access;
  const left = covers.filter((c) => !open.includes(c.id));
  const gates = gatesAhead(job);
  const goals = plansOf(job)
    .map((p) => p.element)
    .join(', ');
  const minutes = left.reduce((m, c) => m + c.minutes, 0);
  return (
    <section className="pad grid gap-3 content-start" aria-label="Way in">
      <h2 className="sec">{goals ? `Reach ${goals}` : 'Way in'}</h2>
      {covers.length === 0 && (
        <p className="note">
          {plan?.element
            ? `Nothing on the map covers ${plan.element}.`
            : 'No cover is on the map of this unit.'}{' '}
          Record what comes off all the same: the way back is written from it.
        </p>
      )}
      {covers.length > 0 && (
        <dl className="grid grid-cols-2 border-y border-rule">
          <div className="py-2">
            <dd className="big text-[40px]">{left.length}</dd>
            <dt className="note">{left.length === 1 ? 'cover left' : 'covers left'}</dt>
          </div>
          <div className="py-2 pl-3 border-l border-rule">
            <dd className="big text-[40px]">{minutes}</dd>
            <dt className="note">min, roughly</dt>
          </div>
        </dl>
      )}
      <AccessTree needed={covers.map((c) => c.id)} next={left[0]?.id} onText={onText} />
      <WaysCompared />
      {gates.length > 0 && (
        <div className="grid grid-cols-[40px_1fr] gap-3 items-center border border-bark p-3">
          <Posts size={34} />
          <div className="grid gap-2">
            <b>Held by {gates.map((g) => g.name).join(', ')}</b>
            {!leads && (
              <Second small onClick={() => go('make safe')}>
                Make safe first
              </Second>
            )}
          </div>
        </div>
      )}
      {leads && gates.length > 0 && (
        <Foot>
          <Action keyName="4" onClick={() => go('make safe')}>
            Make safe first
          </Action>
        </Foot>
      )}
      {leads && gates.length === 0 && plan && isReached(job) && (
        <Foot>
          <Action keyName="6" onClick={() => go('swap')}>
            {plan.name}
          </Action>
        </Foot>
      )}
    </section>
  );
}
