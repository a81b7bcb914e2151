import { useMemo, useState } from 'react';
import { type Header, type MixupsAnswer, type Plug, picturesWanted, type Risk } from '../../../core/mixups';
import type { UnitMap } from '../../../core/unit';
import { Second } from '../../../ui/Action';
import { Wrong } from '../../../ui/Field';
import { TickBox, Warn } from '../../../ui/Signs';
import { UnitsFrame } from '../UnitsFrame';
import { BoardDrawing } from './BoardDrawing';
import { Clusters } from './Clusters';
import { useMixups } from './use-mixups';

const WORST = 12;

/** What could be plugged in wrongly in a unit, worst first, and the fewest labels that rule it out. */
export function Harness({
  id,
  job,
  map,
}: {
  /** the unit’s row on the shelf of maps; null where a job brought its map with it */
  id: string | null;
  /** the job whose unit this is */
  job?: string;
  map: UnitMap;
}) {
  const plugs = map.plugs ?? [];
  const headers = map.headers ?? [];
  const request = useMemo(() => ({ plugs: map.plugs ?? [], headers: map.headers ?? [] }), [map]);
  const { answer, wrong, reckoning } = useMixups(request);
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
          {id && (
            <a className="act" href={`/units/${id}`}>
              Its map
            </a>
          )}
        </div>
      ) : (
        <div className="cols">
          <div className="grid content-start">
            {wrong && (
              <div className="pad">
                <Wrong>{wrong}. Mend it on its map.</Wrong>
              </div>
            )}
            {reckoning && (
              <p className="pad note" role="status">
                Working out what {plugs.length} plugs could do.
              </p>
            )}
            <BoardDrawing map={map} answer={answer} />
            {answer && <Clusters plugs={plugs} headers={headers} answer={answer} />}
            <CannotGoWrong plugs={plugs} answer={answer} />
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
          {answer && <ToDo answer={answer} plugs={plugs} headers={headers} id={id} job={job} />}
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

/** Plugs that cannot go wrong, and why: nothing else takes them, or nothing changes where they would. */
function CannotGoWrong({ plugs, answer }: { plugs: Plug[]; answer: MixupsAnswer | null }) {
  if (!answer) return null;
  const none = plugs.filter((p) => !answer.risks.some((r) => r.plug === p.id && r.severity > 0));
  if (none.length === 0) return null;
  return (
    <section className="pad border-t border-rule-strong" aria-label="Cannot go wrong">
      <h2 className="sec pb-1">Cannot go wrong</h2>
      <ul className="rows">
        {none.map((p) => {
          const mates = answer.risks.filter((r) => r.plug === p.id);
          return (
            <li key={p.id} className="flex gap-2 items-start">
              <TickBox size={16} />
              <span>
                <b className="mono">{p.id}</b>:{' '}
                {mates.length === 0
                  ? `no other header within reach takes ${p.family}, ${p.positions} contacts${p.key ? `, key ${p.key}` : ''}`
                  : `it also goes into ${[...new Set(mates.map((r) => r.header))].join(', ')}, and nothing changes there`}
              </span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

function ToDo({
  answer,
  plugs,
  headers,
  id,
  job,
}: {
  answer: MixupsAnswer;
  plugs: Plug[];
  headers: Header[];
  id: string | null;
  job: string | undefined;
}) {
  const wanted = useMemo(() => picturesWanted({ plugs, headers }, answer), [plugs, headers, answer]);
  const miss = headers.filter((h) => h.easyToMiss || h.leave);
  const worn = plugs.filter((p) => p.cycles && p.cycles.done >= p.cycles.rated * 0.8);
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
      {wanted.pictures.length > 0 && (
        <div>
          <h3 className="font-[650]">
            {wanted.pictures.length} {wanted.pictures.length === 1 ? 'picture shows' : 'pictures show'} every
            doubt
          </h3>
          <ol className="list-decimal pl-5 text-[14px]">
            {wanted.pictures.map((p) => (
              <li key={`${p.board} ${p.headers.join(' ')}`}>
                {p.board}, round {p.x} {p.y}&nbsp;mm: {p.headers.join(', ')}
              </li>
            ))}
          </ol>
          <p className="note">
            {wanted.fewest ? 'Fewer cannot show them all' : 'Fewer might do'}, at 120 × 90&nbsp;mm to a
            picture.
          </p>
        </div>
      )}
      {miss.length > 0 && (
        <div>
          <h3 className="font-[650]">Easy to miss, or to be left alone</h3>
          <ul className="text-[14px]">
            {miss.map((h) => (
              <li key={h.id}>
                <b className="mono">{h.id}</b>
                {h.easyToMiss && ' is easy to miss'}
                {h.landmark && `, ${h.landmark}`}
                {h.leave && `. Leave alone: ${h.leave}`}
              </li>
            ))}
          </ul>
        </div>
      )}
      {worn.length > 0 && (
        <p className="text-ochre font-[600]">
          {worn.map((p) => `${p.id} was mated ${p.cycles?.done} of ${p.cycles?.rated} times`).join(', ')}:
          mate it no more than needed.
        </p>
      )}
      <div className="flex flex-wrap gap-2">
        {id && answer.labels.length > 0 && (
          <a className="act-2 small" href={`/api/units/${id}/labels`} target="_blank" rel="noreferrer">
            Print the labels
          </a>
        )}
        {id && answer.labels.length > 0 && (
          <a className="act-2 small" href={`/api/units/${id}/labels?as=svg`} target="_blank" rel="noreferrer">
            Flags for the leads
          </a>
        )}
        {id && (
          <a className="act-2 small" href={`/units/${id}`}>
            Its map
          </a>
        )}
        {job && (
          <a className="act-2 small" href={`/jobs/${job}/open-up`}>
            Back to the job
          </a>
        )}
      </div>
      <p className="note border-t border-rule pt-3">
        Check each plug on the way back: contact 1 to the dot, every contact seated, latch down, a tug. The
        maker’s drawing comes first.
      </p>
    </section>
  );
}
