import { coversNeeded, gatesAhead, openAccess } from '../../core/job';
import { Action, Second } from '../../ui/Action';
import { Posts, TickBox } from '../../ui/Signs';
import { useJob } from '../job/use-job';

/** What is still over the element that the plan wants reached. */
export function Reach({ onText }: { onText(t: string): void }) {
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
  const minutes = left.reduce((m, c) => m + c.minutes, 0);
  return (
    <section className="pad grid gap-3 content-start" aria-label="Way in">
      <h2 className="sec">{plan?.element ? `Reach ${plan.element}` : 'Way in'}</h2>
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
      <ol className="grid gap-2">
        {covers.map((c, i) => {
          const off = open.includes(c.id);
          const held = gates.filter((h) => h.exposedBy?.includes(c.id) && !h.clear.inside);
          return (
            <li
              key={c.id}
              style={{ marginLeft: i * 8 }}
              className="grid grid-cols-[36px_1fr] gap-3 items-start"
            >
              {off ? (
                <span className="pt-1 pl-2">
                  <TickBox size={20} />
                </span>
              ) : (
                <svg width="32" height="32" viewBox="0 0 32 32" aria-hidden="true">
                  <path
                    d="M1.500 1.500H20L30 16 20 30.500H1.500Z"
                    fill={c === left[0] ? 'var(--color-ochre-fill)' : 'var(--color-inset)'}
                    stroke="var(--color-bark)"
                    strokeWidth="1.500"
                  />
                  <text
                    x="13"
                    y="22"
                    textAnchor="middle"
                    fontSize="17"
                    fontWeight="700"
                    style={c === left[0] ? { fill: '#271C14' } : undefined}
                  >
                    {i + 1}
                  </text>
                </svg>
              )}
              <span>
                <b>{c.name}</b> {off ? 'off' : ''}
                {held.length > 0 && !off && (
                  <span className="block text-brick text-[14px] font-[600]">
                    bares {held.map((h) => h.name).join(', ')}
                  </span>
                )}
                {!off && (
                  <span className="flex flex-wrap gap-2 pt-1">
                    <Second small onClick={() => onText(`4 x M3x8 PH1 ${c.name}`)}>
                      Its screws
                    </Second>
                    <Second small onClick={() => onText(`lift ${c.name} > shelf`)}>
                      It is off
                    </Second>
                  </span>
                )}
              </span>
            </li>
          );
        })}
      </ol>
      {gates.length > 0 && (
        <div className="grid grid-cols-[40px_1fr] gap-3 items-center border border-bark p-3">
          <Posts size={34} />
          <div className="grid gap-2">
            <b>Held by {gates.map((g) => g.name).join(', ')}</b>
            <Second small onClick={() => go('make safe')}>
              Make safe first
            </Second>
          </div>
        </div>
      )}
      {gates.length === 0 && left.length === 0 && plan?.element && (
        <div>
          <Action keyName="6" onClick={() => go('swap')}>
            {plan.name}
          </Action>
        </div>
      )}
    </section>
  );
}
