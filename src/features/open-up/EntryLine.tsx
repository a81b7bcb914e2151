import { useMemo, useRef, useState } from 'react';
import { isPlannedPart } from '../../core/job';
import {
  type Item,
  lookAlike,
  looseNow,
  type Place,
  placeWords,
  type QuickLine,
  readLine,
  specOf,
} from '../../core/ledger';
import { Action, Second } from '../../ui/Action';
import { Wrong } from '../../ui/Field';
import { NotEqual, Warn } from '../../ui/Signs';
import type { Refused } from '../job/store';
import { ItemPicture } from '../job/Tray';
import { useJob } from '../job/use-job';
import { usePlug } from '../job/use-plug';

/** The next cup that holds nothing. */
export function freeCup(items: Item[]): Place {
  const used = new Set(items.filter((i) => i.place.kind === 'cup').map((i) => i.place.label));
  let n = 1;
  while (used.has(String(n))) n++;
  return { kind: 'cup', label: String(n) };
}

const Cell = ({
  label,
  children,
  note,
}: {
  label: string;
  children: React.ReactNode;
  note?: React.ReactNode;
}) => (
  <div className="pr-4 pl-4 first:pl-0 border-l border-rule first:border-l-0 grid gap-1 content-start min-w-0">
    <span className="note text-[13px]!">{label}</span>
    <span className="text-[20px] leading-[1.15] font-[650] flex items-center gap-2 min-h-[30px]">
      {children}
    </span>
    {note && <span className="text-[14px] leading-[1.2]">{note}</span>}
  </div>
);

const SIZE: Record<string, string> = {
  PH: 'cross',
  PZ: 'cross with ticks',
  SL: 'slot',
  HEX: 'hex',
  T: 'six-lobe',
  SQ: 'square',
  Y: 'three wings',
};
const driveWords = (d: string) => Object.entries(SIZE).find(([k]) => d.startsWith(k))?.[1] ?? '';

/** How the line was read, field by field, and what it could be taken for. */
function Reading({ line, items, loose }: { line: QuickLine; items: Item[]; loose: Item[] }) {
  const { item } = line;
  const twin = item && items.find((i) => lookAlike(i, item));
  const like = twin && item ? lookAlike(twin, item) : null;
  return (
    <div className="flex flex-wrap gap-y-2 items-stretch px-4 py-2 min-h-[92px]">
      {item ? (
        <>
          <Cell label="how many" note={item.count === null ? 'count before the close' : undefined}>
            {item.count ?? 'several'}
          </Cell>
          <Cell
            label="what"
            note={[
              item.head && `${item.head} head`,
              item.contacts && `${item.contacts} contacts`,
              item.latch && 'latched',
            ]
              .filter(Boolean)
              .join(', ')}
          >
            <span className="max-h-[30px] overflow-hidden">
              <ItemPicture item={{ ...item, count: 0 }} />
            </span>
            {item.kind === 'fastener' && item.thread ? specOf({ ...item, drive: '' }) : item.name}
          </Cell>
          {item.drive && (
            <Cell label="driver" note={driveWords(item.drive)}>
              {item.drive}
            </Cell>
          )}
          {item.kind === 'fastener' && (
            <Cell label="from" note={item.from ? '' : 'say where, it finds its way home'}>
              {item.from ?? <span className="text-bark-2">not said</span>}
            </Cell>
          )}
          <Cell label="kept">{placeWords(item.place)}</Cell>
        </>
      ) : line.sideUp ? (
        <>
          <Cell label="flip">{line.sideUp} up</Cell>
          {loose.length > 0 && (
            <p className="border border-ochre bg-ochre-wash px-3 py-2 text-[14px] self-center" role="status">
              <b>Before you turn it:</b>{' '}
              {loose
                .map((i) => `${specOf(i)} ${(i.by.loose ?? 0) > 0 ? 'loose' : placeWords(i.place)}`)
                .join(', ')}
            </p>
          )}
        </>
      ) : (
        <p className="note self-center">
          One line per move: <span className="mono text-bark">4 x M3x8 PH1 rear cover &gt; cup 3</span>,{' '}
          <span className="mono text-bark">unplug J7 24p latch</span>,{' '}
          <span className="mono text-bark">lift shield</span>,{' '}
          <span className="mono text-bark">flip bottom</span>.
        </p>
      )}
      {line.unknown.length > 0 && (
        <div className="border border-ochre bg-ochre-wash text-ochre px-3 py-1 ml-auto text-[14px]">
          <b>Not understood</b>
          <span className="block text-bark mono">{line.unknown.join(' ')}</span>
          <span className="block text-bark">kept as text</span>
        </div>
      )}
      {like && twin && item && (
        <div className="border border-ochre bg-ochre-wash px-3 py-2 ml-auto max-w-[330px]">
          <b className="flex gap-2 items-center text-ochre">
            <NotEqual /> Twin of {twin.place.kind} {twin.place.label}
          </b>
          <span className="text-[14px] leading-[1.25] block">
            {specOf(twin)} there, {specOf(item)} here.{' '}
            {like.differs === 'length'
              ? `In the wrong hole it reaches ${Number(like.protrusionMm.toFixed(2))} mm further.`
              : 'Near thread: it starts, then strips.'}
          </span>
        </div>
      )}
    </div>
  );
}

/** The quick line: one move as a technician jots it, read as it is typed. */
export function EntryLine({
  text,
  onText,
  beside,
}: {
  text: string;
  onText(t: string): void;
  /** another action leads, and the line is for what is otherwise */
  beside: boolean;
}) {
  const { job, record } = useJob();
  const [wrong, setWrong] = useState<Refused | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const { items } = job.ledger;
  const line = useMemo(() => readLine(text, freeCup(items)), [text, items]);
  const known = usePlug(line.item?.kind === 'plug' ? line.item.name : undefined);
  const submit = (e: React.FormEvent) => {
    e.preventDefault();
    if (!line.item && !line.sideUp) {
      setWrong({ reason: 'Say what came off, such as: unplug J7', path: '' });
      return;
    }
    const refused = record('move.recorded', {
      verb: line.verb,
      text: text.trim(),
      item: line.item,
      ...(isPlannedPart(job, line.item) ? { out: true } : {}),
      ...(line.sideUp ? { sideUp: line.sideUp } : {}),
    });
    setWrong(refused);
    if (!refused) onText('');
    input.current?.focus();
  };
  return (
    <form onSubmit={submit} className="border-b border-rule-strong" noValidate>
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
            autoComplete="off"
            spellCheck={false}
            enterKeyHint="done"
          />
        </label>
        {beside ? (
          <Second type="submit" keyName="Enter">
            Record
          </Second>
        ) : (
          <Action type="submit" keyName="Enter">
            Record
          </Action>
        )}
      </div>
      {beside && !text.trim() ? (
        <div className="h-2" />
      ) : (
        <Reading line={line} items={items} loose={looseNow(job.ledger)} />
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
      {known?.route && (
        <p className="px-4 pb-2 text-[15px]">
          Then its lead comes out of: {[...known.route].reverse().join(', ')}. Note the slack.
        </p>
      )}
      {known?.leave && <p className="px-4 pb-2 text-ochre font-[600]">Leave alone: {known.leave}.</p>}
      {wrong && (
        <div className="px-4 pb-2">
          <Wrong>{wrong.reason}</Wrong>
        </div>
      )}
    </form>
  );
}
