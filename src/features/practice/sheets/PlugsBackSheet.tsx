import { useState } from 'react';
import { endsABoard, type PlugsBackAnswer, type PlugsBackQuestion } from '../../../core/practice';
import { Action, Second } from '../../../ui/Action';
import { Foot } from '../../../ui/Foot';
import { HeaderBoard } from './HeaderBoard';
import type { SheetProps } from './sheet';

type Plug = PlugsBackQuestion['plugs'][number];
const about = (p: Plug) =>
  [
    `${p.positions} contacts`,
    p.family,
    p.key ? `key: ${p.key}` : 'no key',
    p.colour,
    `${p.freeLength} mm free`,
  ]
    .filter(Boolean)
    .join(', ');
const toggled = (list: string[], id: string) =>
  list.includes(id) ? list.filter((x) => x !== id) : [...list, id];

/** First what is labelled and marked; then everything is out, and each goes home. */
export function PlugsBackSheet(props: SheetProps<PlugsBackQuestion, PlugsBackAnswer>) {
  const { question, answer, onAnswer, over } = props;
  const [out, setOut] = useState((answer?.placed.length ?? 0) > 0);
  const now: PlugsBackAnswer = answer ?? { labels: [], marks: [], placed: [] };
  if (out || over) return <AllOut {...props} answer={now} />;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] max-[900px]:grid-cols-1">
      <section className="pad grid gap-2 content-start" aria-label="Plugs as they are">
        <div className="lead">
          <h2 className="sec">Before anything is parted</h2>
          <span className="note">as few as tell them apart</span>
        </div>
        <ul>
          {question.plugs.map((p) => (
            <li
              key={p.id}
              className="grid grid-cols-[minmax(0,1fr)_auto_auto] gap-3 items-center border-t border-rule py-1.5"
            >
              <span className="leading-[1.2]">
                <b className="mono">{p.id}</b> in <b className="mono">{p.home}</b>
                <span className="note block">{about(p)}</span>
              </span>
              <label className="flex gap-1.5 items-center min-h-[40px]">
                <input
                  type="checkbox"
                  data-next="ask"
                  checked={now.labels.includes(p.id)}
                  onChange={() => onAnswer({ ...now, labels: toggled(now.labels, p.id) })}
                />
                label<span className="sr-only"> for {p.id}</span>
              </label>
              <label className="flex gap-1.5 items-center min-h-[40px]">
                <input
                  type="checkbox"
                  checked={now.marks.includes(p.id)}
                  onChange={() => onAnswer({ ...now, marks: toggled(now.marks, p.id) })}
                />
                which way round<span className="sr-only">, {p.id}</span>
              </label>
            </li>
          ))}
        </ul>
      </section>
      <section className="pad" aria-label="The board">
        <HeaderBoard question={question} taken={new Map(question.plugs.map((p) => [p.home, p.id]))} />
      </section>
      <Foot>
        <b className="text-[18px]">
          {now.labels.length} labelled, {now.marks.length} marked
        </b>
        <Action keyName="Enter" onClick={() => setOut(true)}>
          Part them all
        </Action>
      </Foot>
    </div>
  );
}

/** Everything is out: a plug is taken up, and put into a header. */
function AllOut({
  question,
  answer,
  onAnswer,
  onDone,
  over,
}: SheetProps<PlugsBackQuestion, PlugsBackAnswer> & { answer: PlugsBackAnswer }) {
  const { labels, marks, placed } = answer;
  const left = question.laid.filter((id) => !placed.some((x) => x.plug === id));
  const [hand, setHand] = useState<string | null>(null);
  const held = hand && left.includes(hand) ? hand : (left[0] ?? null);
  const plug = question.plugs.find((p) => p.id === held);
  const free = question.headers.filter((h) => !placed.some((x) => x.header === h.id));
  const put = (header: string, turned: boolean) => {
    if (!held) return;
    const now = { plug: held, header, turned };
    const so = { ...answer, placed: [...placed, now] };
    setHand(null);
    // Stopped at once: with the power on that would have ended a board.
    if (endsABoard(question, now)) onDone(so);
    else onAnswer(so);
  };
  // What lies there has no name on it unless it was labelled: only what it looks like.
  const named = (id: string) =>
    labels.includes(id)
      ? `${id}, labelled ${question.plugs.find((p) => p.id === id)?.home}`
      : `lead ${question.laid.indexOf(id) + 1}`;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] max-[900px]:grid-cols-1">
      <section className="pad grid gap-3 content-start" aria-label="Plugs that are out">
        <div className="lead">
          <h2 className="sec">{left.length ? 'All are out' : 'All are in'}</h2>
          <span className="note">{left.length} to go back</span>
        </div>
        <ul>
          {left.map((id) => {
            const p = question.plugs.find((x) => x.id === id) as Plug;
            return (
              <li
                key={id}
                className={`border-t border-rule last:border-b ${id === held ? 'bg-ochre-wash' : ''}`}
              >
                <button
                  type="button"
                  aria-pressed={id === held}
                  aria-disabled={over || undefined}
                  className="grid w-full text-left px-2 py-[6px]"
                  onClick={() => setHand(id)}
                >
                  <b>{named(id)}</b>
                  <span className="note">{about(p)}</span>
                </button>
              </li>
            );
          })}
        </ul>
        {plug && !over && (
          <div
            className="grid gap-2 border border-bark p-3"
            role="group"
            aria-label={`Into which header: ${named(plug.id)}`}
          >
            <b>{named(plug.id)} goes into</b>
            <div className="grid gap-1.5">
              {free.map((h) => (
                <span key={h.id} className="flex flex-wrap gap-2">
                  <Second className="min-w-[120px]" data-next="ask" onClick={() => put(h.id, false)}>
                    {h.id}
                  </Second>
                  <Second small onClick={() => put(h.id, true)}>
                    {marks.includes(plug.id) ? `${h.id}, against its mark` : `${h.id}, the other way round`}
                  </Second>
                </span>
              ))}
            </div>
          </div>
        )}
        <ul className="rows">
          {placed.map((x) => (
            <li key={x.plug} className="flex justify-between gap-3 border-t border-rule py-1 items-center">
              <span>
                {named(x.plug)} in <b className="mono">{x.header}</b>
                {x.turned && ', turned round'}
              </span>
              {!over && (
                <Second small onClick={() => onAnswer({ ...answer, placed: placed.filter((y) => y !== x) })}>
                  Out again
                </Second>
              )}
            </li>
          ))}
        </ul>
      </section>
      <section className="pad" aria-label="The board">
        <HeaderBoard question={question} taken={new Map(placed.map((x) => [x.header, named(x.plug)]))} />
      </section>
      {!over && (
        <Foot>
          <b className="text-[18px]">{left.length ? `${left.length} hang loose` : 'All are in'}</b>
          <Action
            keyName="Enter"
            held={left.length ? 'put them all in first' : undefined}
            onClick={() => onDone(answer)}
          >
            Power on
          </Action>
        </Foot>
      )}
    </div>
  );
}
