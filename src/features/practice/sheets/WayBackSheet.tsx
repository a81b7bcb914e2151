import type { WayBackQuestion } from '../../../core/practice';
import { Action, Second } from '../../../ui/Action';
import { Foot } from '../../../ui/Foot';
import type { SheetProps } from './sheet';

/** Moves of a tear-down, laid one after the other in the order of the way back. */
export function WayBackSheet({
  question,
  answer,
  onAnswer,
  onDone,
  over,
}: SheetProps<WayBackQuestion, { order: string[] }>) {
  const order = answer?.order ?? [];
  const byId = new Map(question.moves.map((m) => [m.id, m]));
  const left = question.laid.filter((id) => !order.includes(id));
  const about = (id: string) => {
    const m = byId.get(id);
    return [m?.tool ?? 'by hand', m?.sideUp && `${m.sideUp} up`].filter(Boolean).join(', ');
  };
  return (
    <div className="cols">
      <section className="pad grid gap-2 content-start" aria-label="Way back">
        <div className="lead">
          <h2 className="sec">The way back</h2>
          <span className="note">
            {order.length} of {question.moves.length} laid
          </span>
        </div>
        {order.length === 0 && <p className="note">Take the first move home from the right.</p>}
        <ol>
          {order.map((id, i) => (
            <li
              key={id}
              className="grid grid-cols-[36px_minmax(0,1fr)_auto] gap-2 items-center border-t border-rule py-1"
            >
              <span className="big text-[18px]">{i + 1}</span>
              <span className="leading-[1.2]">
                {byId.get(id)?.text} <span className="note">{about(id)}</span>
              </span>
              {!over && (
                <Second
                  small
                  aria-label={`Take ${byId.get(id)?.text} away again`}
                  onClick={() => onAnswer({ order: order.filter((x) => x !== id) })}
                >
                  Away
                </Second>
              )}
            </li>
          ))}
        </ol>
      </section>
      <section className="pad grid gap-2 content-start" aria-label="Came off">
        <div className="lead">
          <h2 className="sec">Came off</h2>
          <span className="note">in no order</span>
        </div>
        <ul>
          {left.map((id) => (
            <li key={id} className="border-t border-rule last:border-b">
              <button
                type="button"
                className="grid w-full text-left px-2 py-[7px] hover:bg-inset"
                data-next="ask"
                aria-disabled={over || undefined}
                onClick={() => onAnswer({ order: [...order, id] })}
              >
                <b className="leading-[1.2]">{byId.get(id)?.text}</b>
                <span className="note">{about(id)}</span>
              </button>
            </li>
          ))}
        </ul>
      </section>
      {!over && (
        <Foot>
          <b className="text-[18px]">{left.length ? `${left.length} still lie there` : 'All are laid'}</b>
          <Action
            keyName="Enter"
            held={left.length ? 'lay them all first' : undefined}
            onClick={() => onDone({ order })}
          >
            That is the way back
          </Action>
        </Foot>
      )}
    </div>
  );
}
