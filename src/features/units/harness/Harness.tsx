import { useMemo, useState } from 'react';
import { type Header, type MixupsAnswer, mixups, type Plug, type Risk } from '../../../core/mixups';
import { Refusal } from '../../../core/refusal';
import type { UnitMap } from '../../../core/unit';
import { Second } from '../../../ui/Action';
import { Wrong } from '../../../ui/Field';
import { TickBox, Warn } from '../../../ui/Signs';
import { UnitsFrame } from '../UnitsFrame';
import { Mark, PlugFace } from './PlugFace';

const WORST = 12;

/** What could be plugged in wrongly in a unit, worst first, and the fewest labels that rule it out. */
export function Harness({ id, map }: { id: string; map: UnitMap }) {
  const plugs = map.plugs ?? [];
  const headers = map.headers ?? [];
  const { answer, wrong } = useMemo<{ answer: MixupsAnswer | null; wrong: string | null }>(() => {
    try {
      return { answer: mixups({ plugs: map.plugs ?? [], headers: map.headers ?? [] }), wrong: null };
    } catch (error) {
      if (error instanceof Refusal) return { answer: null, wrong: error.message };
      throw error;
    }
  }, [map]);
  const [all, setAll] = useState(false);
  const harmful = answer?.risks.filter((r) => r.severity > 0) ?? [];
  return (
    <UnitsFrame tag="Plugs" title={map.name} about="what could be plugged in wrongly, and what rules it out">
      {plugs.length === 0 ? (
        <div className="empty">
          <h2>No plug is on the map yet</h2>
          <p>
            With headers and plugs on its map, every wrong mating is worked out before anything is unplugged:
            the wrong header, turned round, one off.
          </p>
          <a className="act" href={`/units/${id}`}>
            Its map
          </a>
        </div>
      ) : (
        <div className="cols">
          <div className="grid content-start">
            {wrong && (
              <div className="pad">
                <Wrong>{wrong}. Mend it on its map.</Wrong>
              </div>
            )}
            {answer && <Clusters plugs={plugs} headers={headers} answer={answer} />}
            <section className="pad border-t border-rule-strong" aria-label="Worst first">
              <div className="lead pb-2">
                <h2 className="sec">Worst first</h2>
                <span className="note">
                  {harmful.length} {harmful.length === 1 ? 'way' : 'ways'} to do harm, of{' '}
                  {answer?.risks.length ?? 0} wrong matings
                </span>
              </div>
              {harmful.length === 0 && answer && (
                <p className="note">No wrong mating that is possible here changes anything.</p>
              )}
              <ol className="rows">
                {harmful.slice(0, all ? harmful.length : WORST).map((r) => (
                  <RiskLine key={`${r.plug} ${r.header} ${r.how} ${r.shift ?? ''}`} r={r} />
                ))}
              </ol>
              {harmful.length > WORST && (
                <Second small onClick={() => setAll(!all)}>
                  {all ? `The ${WORST} worst` : `All ${harmful.length}`}
                </Second>
              )}
            </section>
          </div>
          {answer && <ToDo answer={answer} plugs={plugs} id={id} />}
        </div>
      )}
    </UnitsFrame>
  );
}

function RiskLine({ r }: { r: Risk }) {
  const how = {
    'wrong header': `into ${r.header}`,
    reversed: `turned round in ${r.header}`,
    shifted: `one off in ${r.header}`,
  }[r.how];
  return (
    <li className="grid grid-cols-[26px_minmax(0,1fr)] gap-2 leading-[1.25]">
      <span className={r.severity === 3 ? 'text-brick' : 'text-ochre'}>
        <Warn size={18} />
      </span>
      <span>
        <b className="mono">{r.plug}</b> {how}: <b>{r.effect}</b>
        <span className="block text-[14px]">{r.why}</span>
      </span>
    </li>
  );
}

function ToDo({ answer, plugs, id }: { answer: MixupsAnswer; plugs: Plug[]; id: string }) {
  const harmless = plugs.filter((p) => !answer.risks.some((r) => r.plug === p.id && r.severity > 0));
  return (
    <section className="pad grid gap-4 content-start" aria-label="Before anything is unplugged">
      <h2 className="sec">Before anything is unplugged</h2>
      <div>
        <b className="big text-[40px]">{answer.labels.length}</b>{' '}
        {answer.labels.length === 1 ? 'label' : 'labels'}
        {!answer.fewest && (
          <span className="note"> at most: too many to be sure that fewer would not do</span>
        )}
        <ul className="flex flex-wrap gap-2 pt-2">
          {answer.labels.map((l) => (
            <li key={l} className="tag small mono">
              {l}
            </li>
          ))}
        </ul>
        {answer.labels.length === 0 && (
          <p className="note">Colours, shapes and reach tell every plug apart. Write nothing.</p>
        )}
      </div>
      {answer.orientationMarks.length > 0 && (
        <div>
          <h3 className="font-[650]">Mark which way round</h3>
          <p>{answer.orientationMarks.join(', ')}: a dot at contact 1, on plug and board.</p>
        </div>
      )}
      {answer.told.length > 0 && (
        <div>
          <h3 className="font-[650]">Told apart already</h3>
          <ul className="text-[14px]">
            {answer.told.map((t) => (
              <li key={t.plugs.join(' ')}>
                {t.plugs.join(' and ')} by {t.by}
              </li>
            ))}
          </ul>
        </div>
      )}
      {harmless.length > 0 && (
        <p className="flex gap-2 text-[14px]">
          <TickBox size={15} /> {harmless.map((p) => p.id).join(', ')} can do no harm that is known.
        </p>
      )}
      <div className="flex flex-wrap gap-2">
        {answer.labels.length > 0 && (
          <a className="act-2 small" href={`/api/units/${id}/labels`} target="_blank" rel="noreferrer">
            Print the labels
          </a>
        )}
        <a className="act-2 small" href={`/units/${id}`}>
          Its map
        </a>
      </div>
      <p className="note border-t border-rule pt-3">
        Check each plug on the way back: contact 1 to the dot, every contact seated, latch down, a tug. The
        maker’s drawing comes first.
      </p>
    </section>
  );
}

/** Plugs and headers of one shape: only these can be taken for one another. */
function Clusters({ plugs, headers, answer }: { plugs: Plug[]; headers: Header[]; answer: MixupsAnswer }) {
  const shape = (x: Plug | Header) => `${x.family}, ${x.pitch} mm, ${x.rows === 2 ? 'two rows' : 'one row'}`;
  const groups = new Map<string, { plugs: Plug[]; headers: Header[] }>();
  for (const h of headers) {
    const g = groups.get(shape(h)) ?? { plugs: [], headers: [] };
    g.headers.push(h);
    groups.set(shape(h), g);
  }
  for (const p of plugs) groups.get(shape(p))?.plugs.push(p);
  const worst = (p: Plug, h: Header) =>
    answer.risks.filter((r) => r.plug === p.id && r.header === h.id && r.how === 'wrong header')[0];
  return (
    <>
      {[...groups]
        .filter(([, g]) => g.plugs.length > 0)
        .map(([name, g]) => (
          <section key={name} className="pad border-b border-rule overflow-x-auto" aria-label={name}>
            <h2 className="sec pb-2">{name}</h2>
            <table className="plain" style={{ width: 'auto' }}>
              <thead>
                <tr>
                  <th scope="col">Plug</th>
                  {g.headers.map((h) => (
                    <th key={h.id} scope="col" className="text-center!">
                      <b className="mono text-bark text-[15px]">{h.id}</b>
                      {h.landmark && <span className="block max-w-[110px]">{h.landmark}</span>}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {g.plugs.map((p) => (
                  <tr key={p.id}>
                    <th scope="row" className="pr-4!">
                      <span className="flex gap-3 items-center">
                        <b className="mono text-bark text-[15px]">{p.id}</b>
                        <PlugFace plug={p} />
                      </span>
                    </th>
                    {g.headers.map((h) => (
                      <td key={h.id} className="text-center min-w-[84px]">
                        <Mark own={p.home === h.id} risk={worst(p, h)} />
                      </td>
                    ))}
                  </tr>
                ))}
              </tbody>
            </table>
          </section>
        ))}
    </>
  );
}
