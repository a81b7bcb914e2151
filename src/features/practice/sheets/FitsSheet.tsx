import type { FitsQuestion } from '../../../core/practice';
import { Action } from '../../../ui/Action';
import { Foot } from '../../../ui/Foot';
import type { SheetProps } from './sheet';

/** Two sheets side by side: which line does not fit, or none. */
export function FitsSheet({
  question,
  answer,
  onAnswer,
  onDone,
  over,
}: SheetProps<FitsQuestion, { line: string | null }>) {
  const chosen = answer?.line;
  const rows = [...question.lines, { line: null, old: '', new: '' }];
  return (
    <div className="pad grid gap-2">
      <div className="grid grid-cols-[minmax(110px,0.7fr)_minmax(0,1fr)_minmax(0,1fr)] note border-b border-rule-strong pb-1 px-2">
        <span>line</span>
        <span>the old {question.what}</span>
        <span>the new {question.what}</span>
      </div>
      <ul aria-label="Lines of the comparison">
        {rows.map((l) => (
          <li
            key={l.line ?? ''}
            className={`border-b border-rule ${chosen === l.line ? 'bg-ochre-wash' : ''}`}
          >
            <button
              type="button"
              aria-pressed={chosen === l.line}
              aria-disabled={over || undefined}
              className={`grid grid-cols-[minmax(110px,0.7fr)_minmax(0,1fr)_minmax(0,1fr)] gap-x-2 w-full text-left px-2 py-[7px] ${chosen === l.line ? 'shadow-[inset_5px_0_0_var(--color-ochre-fill)]' : 'hover:bg-inset'}`}
              onClick={() => onAnswer({ line: l.line })}
            >
              <b>{l.line ?? 'None: all of it fits'}</b>
              <span>{l.old}</span>
              <span>{l.new}</span>
            </button>
          </li>
        ))}
      </ul>
      {!over && (
        <Foot>
          <b className="text-[18px]">
            {chosen === undefined
              ? 'Point to a line'
              : chosen === null
                ? 'All of it fits'
                : `${chosen} does not fit`}
          </b>
          <Action
            keyName="Enter"
            held={chosen === undefined ? 'point to a line first' : undefined}
            onClick={() => chosen !== undefined && onDone({ line: chosen })}
          >
            That is it
          </Action>
        </Foot>
      )}
    </div>
  );
}
