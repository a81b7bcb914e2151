import { gatesAhead, openAccess } from '../../core/job';
import { accessTree } from '../../core/unit';
import { Second } from '../../ui/Action';
import { useJob } from '../job/use-job';

const STEP = 20;
const LINE = 'var(--color-rule-strong)';

/** Trunk and branch beside a row: what hangs under what. */
const Branch = ({ lines, last, depth }: { lines: boolean[]; last: boolean; depth: number }) => (
  <svg
    aria-hidden="true"
    className="absolute left-0 top-0 h-full"
    width={(depth + 1) * STEP}
    height="100%"
    fill="none"
    stroke={LINE}
    strokeWidth="1.6"
  >
    {lines.slice(1).map((on, i) =>
      on ? (
        // biome-ignore lint/suspicious/noArrayIndexKey: trunks are known by their depth
        <line key={i} x1={(i + 1.5) * STEP} x2={(i + 1.5) * STEP} y1="0" y2="100%" />
      ) : null,
    )}
    {depth > 0 && (
      <>
        <line x1={(depth - 0.5) * STEP} x2={(depth - 0.5) * STEP} y1="0" y2={last ? '22' : '100%'} />
        <line x1={(depth - 0.5) * STEP} x2={depth * STEP} y1="22" y2="22" />
      </>
    )}
  </svg>
);

const Cover = ({ off, next, wanted }: { off: boolean; next: boolean; wanted: boolean }) => (
  <svg width="26" height="20" viewBox="0 0 26 20" aria-hidden="true">
    {off ? (
      <>
        <rect
          x="1.5"
          y="1.5"
          width="23"
          height="17"
          fill="none"
          stroke="var(--color-bark-2)"
          strokeWidth="1.6"
          strokeDasharray="4 3"
        />
        <path d="M7 10.500 11 14.500 19 5" fill="none" stroke="var(--color-moss)" strokeWidth="2.4" />
      </>
    ) : (
      <rect
        x="1.5"
        y="1.5"
        width="23"
        height="17"
        fill={next ? 'var(--color-ochre-fill)' : wanted ? 'var(--color-inset)' : 'none'}
        stroke="var(--color-bark)"
        strokeWidth="1.6"
      />
    )}
  </svg>
);

/** Covers, shields, brackets and trays as a tree: what lies under what, what is off, what comes next. */
export function AccessTree({
  needed,
  next,
  onText,
}: {
  needed: string[];
  next: string | undefined;
  onText(t: string): void;
}) {
  const { job } = useJob();
  const open = openAccess(job);
  const gates = gatesAhead(job);
  const rows = accessTree(job.map);
  const target = job.plan?.element;
  if (rows.length === 0) return null;
  return (
    <ol aria-label="What lies under what" className="grid">
      {rows.map((r) => {
        const off = open.includes(r.cover.id);
        const wanted = needed.includes(r.cover.id);
        const isNext = r.cover.id === next;
        const held = off
          ? []
          : gates.filter((h) => h.exposedBy?.includes(r.cover.id) && !h.clear.inside && wanted);
        return (
          <li
            key={r.cover.id}
            className="relative min-h-[44px] py-[11px]"
            style={{ paddingLeft: r.depth * STEP }}
          >
            <Branch lines={r.lines} last={r.last} depth={r.depth} />
            <span className="flex gap-2 items-start">
              <Cover off={off} next={isNext} wanted={wanted} />
              <span className="leading-[1.2] flex-1 min-w-0">
                <b className={wanted || off ? '' : 'font-[400]!'}>{r.cover.name}</b>{' '}
                <span className="note">
                  {off ? 'off' : isNext ? 'next' : wanted ? '' : 'stays on'}
                  {r.also.length > 0 && ` also under ${r.also.join(', ')}`}
                </span>
                {held.length > 0 && (
                  <span className="block text-brick text-[14px] font-[600]">
                    bares {held.map((h) => h.name).join(', ')}
                  </span>
                )}
                {r.reaches.length > 0 && (
                  <span className="note block">
                    {off ? 'bare' : 'under it'}:{' '}
                    {r.reaches.map((id, i) => (
                      <span key={id}>
                        {i > 0 && ', '}
                        <span className={id === target ? 'font-[700] text-ochre' : ''}>{id}</span>
                      </span>
                    ))}
                  </span>
                )}
                {isNext && (
                  <span className="flex flex-wrap gap-2 pt-1">
                    <Second small onClick={() => onText(`4 x M3x8 PH1 ${r.cover.name}`)}>
                      Its screws
                    </Second>
                    <Second small data-next onClick={() => onText(`lift ${r.cover.name} > shelf`)}>
                      It is off
                    </Second>
                  </span>
                )}
              </span>
            </span>
          </li>
        );
      })}
    </ol>
  );
}
