import { useMemo, useRef, useState } from 'react';
import { heldBy } from '../../core/job';
import { joint, type LedgerMove, looseNow } from '../../core/ledger';
import { Action, Second } from '../../ui/Action';
import { SelectField, Wrong } from '../../ui/Field';
import { Foot } from '../../ui/Foot';
import { Warn } from '../../ui/Signs';
import { PlugFacts } from '../job/PlugFacts';
import type { Refused } from '../job/store';
import { useJob } from '../job/use-job';
import { usePlug } from '../job/use-plug';
import { Reading } from './Reading';
import { SCREWS_GO, type ScrewsGo, useLine } from './use-line';

/** The quick line: one move as a technician jots it, read as it is typed. */
export function EntryLine({
  text,
  onText,
  beside,
  leads,
  correcting,
  onCorrected,
}: {
  text: string;
  onText(t: string): void;
  /** a move of a known way stands above, and the line is for what is otherwise */
  beside: boolean;
  /** nothing else is to be done now */
  leads: boolean;
  /** a move that was written down wrongly and is said anew */
  correcting: LedgerMove | undefined;
  onCorrected(): void;
}) {
  const { job, record } = useJob();
  const { names, read, say, go, setGo } = useLine();
  const [wrong, setWrong] = useState<Refused | null>(null);
  const [shown, setShown] = useState<string | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const { items } = job.ledger;
  const line = useMemo(() => read(text), [read, text]);
  const plugs = line.item?.kind === 'plug' ? line.item.name : undefined;
  const known = usePlug(plugs);
  const held = plugs ? joint(heldBy(job, line.verb, plugs)) : null;
  const nameOf = (id: string) => {
    const n = names.find((x) => x.id === id);
    return n?.kind === 'cover' || n?.kind === 'thing' ? n.name : id;
  };
  const asked = line.doubtful.length > 0 && shown === text;
  const done = (refused: Refused | null, left = '') => {
    setWrong(refused);
    if (refused) onText(left || text);
    else {
      onText('');
      setShown(null);
      onCorrected();
    }
    input.current?.focus();
  };
  const submit = (e: React.FormEvent) => {
    e.preventDefault();
    // What is doubtful is shown once, and taken the second time.
    if (line.doubtful.length > 0 && !asked) return setShown(text);
    if (!correcting) {
      const { refused, left } = say(line);
      return done(refused, left);
    }
    const { moves } = line;
    const [move] = moves;
    if (!move || moves.length > 1)
      return setWrong({ reason: 'A move is corrected to one move, such as: unplug J7', path: '' });
    done(record('move.corrected', { ...move, move: correcting.id }));
  };
  const means = (said: string, at: number, id: string) => {
    record('name.learned', { said, means: id });
    onText(text.slice(0, at) + nameOf(id) + text.slice(at + said.length));
    input.current?.focus();
  };
  return (
    <form id="entry" onSubmit={submit} className="border-b border-rule-strong" noValidate>
      <div className="flex gap-3 pt-2 px-4 max-[760px]:flex-col">
        <label className="flex-1 flex items-center gap-3 border-2 border-bark px-4 min-h-[50px] bg-paper has-[:focus]:outline-[3px] has-[:focus]:outline-bark has-[:focus]:outline-offset-2">
          <span className="text-bark-2 whitespace-nowrap">Came off:</span>
          <input
            ref={input}
            data-key="entry"
            className="mono w-full min-w-0 bg-transparent outline-none text-[22px] font-[560]"
            value={text}
            placeholder="4 x M3x8 PH1 rear cover > cup 3"
            onChange={(e) => {
              onText(e.target.value);
              setWrong(null);
            }}
            onKeyDown={(e) => {
              if (e.key !== 'Escape') return;
              if (correcting) onCorrected();
              e.currentTarget.blur();
            }}
            autoComplete="off"
            spellCheck={false}
            enterKeyHint="done"
          />
        </label>
        {beside && (
          <Second type="submit" keyName="Enter">
            {correcting ? 'Correct' : 'Record'}
          </Second>
        )}
        {!beside && (leads || text.trim()) && (
          <Foot>
            {text.trim() ? (
              <Action type="submit" form="entry" keyName="Enter">
                {correcting ? 'Correct' : 'Record'}
              </Action>
            ) : (
              <Action keyName="E" onClick={() => input.current?.focus()}>
                What came off
              </Action>
            )}
          </Foot>
        )}
      </div>
      {correcting && (
        <p className="px-4 pt-2 flex gap-3 items-center text-[15px]" role="status">
          <span>
            Correcting <b className="mono">{correcting.text}</b>: all that followed from it follows the new
            words.
          </span>
          <Second small onClick={onCorrected}>
            Leave it as it was
          </Second>
        </p>
      )}
      {asked && (
        <div className="mx-4 mt-2 border border-ochre bg-ochre-wash px-3 py-2 grid gap-2" role="status">
          {line.doubtful.map((d) => (
            <p key={d.at} className="flex flex-wrap gap-2 items-center">
              <span>
                <b className="mono">{d.text}</b>{' '}
                {d.nearest.length ? 'is nothing of this unit. Did you mean' : 'was not understood.'}
              </span>
              {d.nearest.map((id) => (
                <Second key={id} small onClick={() => means(d.text, d.at, id)}>
                  {nameOf(id)}
                </Second>
              ))}
            </p>
          ))}
          <p className="note">Enter again takes the line as it is read below.</p>
        </div>
      )}
      {beside && !text.trim() ? (
        <div className="h-2" />
      ) : (
        <div className="flex flex-wrap items-start">
          <div className="flex-1 min-w-[300px]">
            <Reading line={line} items={items} loose={looseNow(job.ledger)} />
          </div>
          {!text.trim() && (
            <div className="px-4 py-2 w-[250px]">
              <SelectField
                label="Screws without a place go"
                value={go}
                onChange={(e) => setGo(e.target.value as ScrewsGo)}
              >
                {Object.entries(SCREWS_GO).map(([id, words]) => (
                  <option key={id} value={id}>
                    {words}
                  </option>
                ))}
              </SelectField>
            </div>
          )}
        </div>
      )}
      {held && held.id !== 'plug' && (
        <p className="px-4 pb-2 text-[15px]">
          {held.id}: {held.off}.
        </p>
      )}
      {known && (known.label || known.mark) && (
        <p className="px-4 pb-2 flex gap-2 text-ochre font-[600]">
          <Warn />
          <span>
            {[
              known.label && `Label it ${line.item?.name} first`,
              known.mark && 'dot contact 1 on plug and board',
            ]
              .filter(Boolean)
              .join(', and ')}
            . <span className="font-[400] text-bark">{known.worst}.</span>
          </span>
        </p>
      )}
      {known && (
        <div className="px-4 pb-2 text-[15px]">
          <PlugFacts known={known} going="out" />
        </div>
      )}
      {wrong && (
        <div className="px-4 pb-2">
          <Wrong>{wrong.reason}</Wrong>
        </div>
      )}
    </form>
  );
}
