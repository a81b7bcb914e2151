import type { MissingQuestion } from '../../../core/practice';
import { Action } from '../../../ui/Action';
import { Foot } from '../../../ui/Foot';
import type { SheetProps } from './sheet';

/** A job written down: the line where it cannot go on is pointed to. */
export function MissingSheet({
  question,
  answer,
  onAnswer,
  onDone,
  over,
}: SheetProps<MissingQuestion, { place: number }>) {
  const place = answer?.place;
  return (
    <div className="pad grid gap-2">
      <ol aria-label="The job as it was written down">
        {question.lines.map((l, i) => (
          <li
            key={l.event.id}
            className={`border-t border-rule last:border-b ${place === i ? 'bg-ochre-wash' : ''}`}
          >
            <button
              type="button"
              aria-pressed={place === i}
              aria-disabled={over || undefined}
              className={`grid grid-cols-[44px_minmax(0,1fr)] w-full text-left px-1 py-[7px] ${place === i ? 'shadow-[inset_5px_0_0_var(--color-ochre-fill)]' : 'hover:bg-inset'}`}
              onClick={() => onAnswer({ place: i })}
            >
              <span className="big text-[18px] pl-3">{i + 1}</span>
              <span>{l.words}</span>
            </button>
          </li>
        ))}
      </ol>
      {!over && (
        <Foot>
          <b className="text-[18px]">
            {place === undefined ? 'Point to a line' : `It cannot go on at line ${place + 1}`}
          </b>
          <Action
            keyName="Enter"
            held={place === undefined ? 'point to a line first' : undefined}
            onClick={() => place !== undefined && onDone({ place })}
          >
            That one
          </Action>
        </Foot>
      )}
    </div>
  );
}
