import {
  type Item,
  lookAlike,
  type MoveSaid,
  placeTag,
  placeWords,
  type QuickLine,
  sideUpWords,
  specOf,
} from '../../core/ledger';
import { DRIVES } from '../../core/line';
import { NotEqual } from '../../ui/Signs';
import { ItemPicture } from '../job/Tray';

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

const driveWords = (d: string) => DRIVES.find(({ id }) => d.startsWith(id))?.looks ?? '';

/** One move as it was read, field by field. */
function One({ said, loose }: { said: MoveSaid; loose: Item[] }) {
  const { item } = said;
  if (said.sideUp)
    return (
      <>
        <Cell label="flip">{sideUpWords(said.sideUp)}</Cell>
        {loose.length > 0 && (
          <p className="border border-ochre bg-ochre-wash px-3 py-2 text-[14px] self-center" role="status">
            <b>Before you turn it:</b>{' '}
            {loose
              .map((i) => `${specOf(i)} ${(i.by.loose ?? 0) > 0 ? 'loose' : placeWords(i.place)}`)
              .join(', ')}
          </p>
        )}
      </>
    );
  if (!item || item.kind === 'change')
    return (
      <>
        <Cell label="a move, nothing comes off" note={item ? 'told again on the way back' : undefined}>
          {[said.verb, item?.name ?? said.on].filter(Boolean).join(' ')}
        </Cell>
        {said.minutes !== undefined && (
          <Cell label="takes" note="a timer starts">
            {said.minutes}&nbsp;min
          </Cell>
        )}
        {said.tool && <Cell label="with">{said.tool}</Cell>}
      </>
    );
  return (
    <>
      <Cell label="how many" note={item.count === null ? 'count before the close' : undefined}>
        {item.count ?? 'several'}
      </Cell>
      <Cell
        label="what"
        note={[
          item.head && `${item.head} head`,
          item.contacts && `${item.contacts} contacts`,
          item.wires && `${item.wires} wires`,
          item.latch && 'latched',
          item.state === 'aside' && 'moved aside',
          said.note,
        ]
          .filter(Boolean)
          .join(', ')}
      >
        <span className="max-h-[30px] overflow-hidden">
          <ItemPicture item={{ ...item, count: 0 }} />
        </span>
        {item.kind === 'fastener' && item.thread ? specOf({ ...item, drive: '' }) : item.name}
      </Cell>
      {(item.drive || said.tool) && (
        <Cell
          label={item.drive ? 'driver' : 'with'}
          note={item.drive ? (said.tool ?? driveWords(item.drive)) : undefined}
        >
          {item.drive ?? said.tool}
        </Cell>
      )}
      {item.kind === 'fastener' && (
        <Cell label="from" note={item.from ? '' : 'say where, it finds its way home'}>
          {item.from ?? <span className="text-bark-2">not said</span>}
        </Cell>
      )}
      <Cell label="kept">{placeWords(item.place)}</Cell>
    </>
  );
}

/** How the line was read, move by move, and what it could be taken for. */
export function Reading({ line, items, loose }: { line: QuickLine; items: Item[]; loose: Item[] }) {
  const { moves } = line;
  const { item } = line;
  const twin = item && items.find((i) => lookAlike(i, item));
  const like = twin && item ? lookAlike(twin, item) : null;
  return (
    <div className="flex flex-wrap gap-y-2 items-stretch px-4 py-2 min-h-[92px]">
      {moves.length === 0 ? (
        <p className="note self-center">
          One line per move: <span className="mono text-bark">4 x M3x8 PH1 rear cover &gt; cup 3</span>,{' '}
          <span className="mono text-bark">unplug J7 24p latch</span>,{' '}
          <span className="mono text-bark">lift shield</span>,{' '}
          <span className="mono text-bark">heat 2 min</span>,{' '}
          <span className="mono text-bark">flip bottom</span>.
        </p>
      ) : (
        moves.map((said, k) => (
          <div
            key={`${said.text} ${said.item?.place.label ?? ''}`}
            className={`flex flex-wrap gap-y-2 ${k > 0 ? 'basis-full border-t border-rule pt-2' : ''}`}
          >
            <One said={said} loose={loose} />
          </div>
        ))
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
            <NotEqual /> Twin of {placeTag(twin.place)}
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
