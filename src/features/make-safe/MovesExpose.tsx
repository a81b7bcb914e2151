import { coversNeeded, openAccess } from '../../core/job';
import { readLine } from '../../core/ledger';
import { HazardGlyph } from '../../ui/HazardGlyph';
import { TickBox } from '../../ui/Signs';
import { useJob } from '../job/use-job';

/** Which move bares what: the covers on the way in, each with the move that takes it off. */
export function MovesExpose() {
  const { job } = useJob();
  const open = openAccess(job);
  const needed = coversNeeded(job);
  const covers = job.map.access.filter((a) => needed.length === 0 || needed.includes(a.id));
  const words = (id: string) => {
    const m = job.map.moves?.find((x) => x.opens === id);
    if (!m) return '';
    const { verb, item } = readLine(m.text);
    return item ? `${verb} ${item.name}` : m.text;
  };
  return (
    <div>
      <h2 className="sec pb-1">Which move bares what</h2>
      {covers.length === 0 && <p className="note">No cover is on the map.</p>}
      <ol className="rows">
        {covers.map((a) => {
          const bares = job.map.hazards.filter((h) => h.exposedBy?.includes(a.id));
          const state = (id: string) => job.hazards.find((s) => s.id === id)?.status ?? 'unknown';
          return (
            <li key={a.id}>
              <span className="flex gap-2 items-center">
                {open.includes(a.id) && <TickBox />} <b>{words(a.id) || a.name}</b>{' '}
                {open.includes(a.id) && 'off'}
              </span>
              {bares.length === 0 && <span className="note">bares nothing that is known</span>}
              {bares.map((h) => (
                <span
                  key={h.id}
                  className={`flex gap-2 items-center text-[14px] ${state(h.id) === 'made safe' ? 'text-moss' : 'text-brick font-[600]'}`}
                >
                  <HazardGlyph kind={h.kind} />
                  bares {h.name}
                  {state(h.id) === 'made safe'
                    ? ', cleared'
                    : state(h.id) === 'live'
                      ? ', live'
                      : ', not known'}
                </span>
              ))}
            </li>
          );
        })}
      </ol>
    </div>
  );
}
