import { format } from 'date-fns';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { Stop } from '../../core/job';
import type { RecordAsked, RecordRow } from '../../core/record';
import { jobPath } from '../../schemas/job-path';
import { LongList } from '../../ui/LongList';
import { STOP_TITLE } from '../job/stop-title';
import { queryOf } from './query';

/** Rows are fetched so many at a time, as they come into sight. */
const PAGE = 100;
const day = (at: string) => format(new Date(at), 'd MMM yyyy');

/** Jobs of the record: however many there are, those in sight are here. */
export function RecordList({
  asked,
  jobs,
}: {
  asked: RecordAsked;
  jobs: { count: number; rows: RecordRow[] };
}) {
  const [pages, setPages] = useState<Record<number, RecordRow[]>>({});
  const asking = useRef(new Set<number>());
  const query = queryOf(asked);
  const fetchPage = useCallback(
    async (page: number) => {
      if (asking.current.has(page)) return;
      asking.current.add(page);
      const more = query ? `${query}&` : '?';
      const res = await fetch(`/api/records${more}at=${page * PAGE}&most=${PAGE}`).catch(() => null);
      // What did not come is asked for again when it next comes into sight.
      if (!res?.ok) return void asking.current.delete(page);
      const { rows } = (await res.json()) as { rows: RecordRow[] };
      setPages((p) => ({ ...p, [page]: rows }));
    },
    [query],
  );
  const items = useMemo(() => Array.from({ length: jobs.count }, (_, at) => ({ at })), [jobs.count]);
  if (jobs.count === 0)
    return (
      <p className="note">
        No job is like that. Drop a filter, or write fewer words: parts of words count from their beginning.
      </p>
    );
  return (
    <section aria-label="Jobs of the record">
      <LongList items={items} keyOf={({ at }) => String(at)}>
        {({ at }) => {
          const page = Math.floor(at / PAGE);
          const row = pages[page]?.[at % PAGE] ?? jobs.rows[at];
          return row ? <Row row={row} /> : <Coming page={page} fetchPage={fetchPage} />;
        }}
      </LongList>
    </section>
  );
}

/** A row that is not here yet: coming into sight, it is fetched. */
function Coming({ page, fetchPage }: { page: number; fetchPage(page: number): Promise<void> }) {
  useEffect(() => void fetchPage(page), [page, fetchPage]);
  return <p className="note min-h-[64px] py-2 border-b border-rule">Coming</p>;
}

function Row({ row }: { row: RecordRow }) {
  return (
    <a
      href={row.handedOverAt ? `/jobs/${row.job}/hand-over` : jobPath(row.job, row.stop as Stop)}
      data-row=""
      className="grid grid-cols-[112px_minmax(0,1fr)_minmax(0,1.1fr)_104px] max-[760px]:grid-cols-[104px_minmax(0,1fr)] gap-x-3 gap-y-1 items-start min-h-[64px] py-2 border-b border-rule no-underline hover:bg-inset"
    >
      <span className="tag mono">{row.tag}</span>
      <span className="leading-[1.25]">
        <b className="block">{row.unit}</b>
        <span className="note">{[row.mark, row.place].filter(Boolean).join(', ')}</span>
        {row.symptom && <span className="note block">“{row.symptom}”</span>}
      </span>
      <span className="leading-[1.3] max-[760px]:col-start-2">
        {row.done.length ? (
          row.done.map((d) => (
            <span className="block" key={d}>
              {d}
            </span>
          ))
        ) : (
          <span className="note">{row.handedOverAt ? 'nothing mended' : 'nothing done yet'}</span>
        )}
      </span>
      <span className="leading-[1.25] text-[14px] max-[760px]:col-start-2">
        <span className="block">{day(row.openedAt)}</span>
        <b>{row.result ?? STOP_TITLE[row.stop as Stop]}</b>
      </span>
    </a>
  );
}
