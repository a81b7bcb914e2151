import { useEffect, useMemo, useState } from 'react';
import type { RecordAsked, RecordChoices, RecordRow, Taught } from '../../core/record';
import { Second } from '../../ui/Action';
import { alongRows } from '../../ui/along-rows';
import { Choices, Wrong } from '../../ui/Field';
import { Foot } from '../../ui/Foot';
import { SheetFrame } from '../sheet/SheetFrame';
import { useFetched } from '../sheet/use-fetched';
import { SumHost } from '../sums/SumHost';
import { Filters } from './Filters';
import { OwnersData } from './OwnersData';
import { filtersSet, queryOf } from './query';
import { RecordList } from './RecordList';
import { Teaches } from './Teaches';
import { useRecord } from './use-record';

export type Shows = 'jobs' | 'figures';

const HELP = [
  { keys: '/', does: 'words to find' },
  { keys: 'J', does: 'the jobs' },
  { keys: 'W', does: 'what they teach' },
  { keys: '↑ ↓', does: 'along the jobs' },
  { keys: 'Ctrl K', does: 'find anything' },
];

/** The record: every job there was, found by what one remembers of it, and what they teach together. */
export function Records({
  asked: first,
  shows: firstShows,
  jobs,
  figures,
  units,
}: {
  asked: RecordAsked;
  shows: Shows;
  /** how many there are, and the first of them */
  jobs: { count: number; rows: RecordRow[] };
  figures: Taught | null;
  /** maps on the shelf, by model */
  units: { id: string; name: string; model: string }[];
}) {
  const [asked, setAsked] = useState(first);
  const [shows, setShows] = useState(firstShows);
  const record = useRecord(asked, shows, { asked: first, jobs, figures });
  const choices = useFetched<RecordChoices>('/api/records/choices').data;
  useEffect(() => {
    // What is shown is the address: a reload, a bookmark and the way back find it again.
    window.history.replaceState(null, '', `/records${queryOf(asked, shows === 'figures' ? { shows } : {})}`);
  }, [asked, shows]);
  const keys = useMemo(
    () => ({
      '/': () => document.querySelector<HTMLElement>('[data-key=find]')?.focus(),
      j: () => setShows('jobs'),
      w: () => setShows('figures'),
      ArrowDown: () => alongRows(1),
      ArrowUp: () => alongRows(-1),
    }),
    [],
  );
  const put = (more: RecordAsked) => setAsked((a) => ({ ...a, ...more }));
  const set = filtersSet(asked);
  const n = record.jobs.count;
  return (
    <SheetFrame
      tag="records"
      title="Records"
      about={`${n} ${n === 1 ? 'job' : 'jobs'}${set ? ` of what is asked for` : ', every one there was'}`}
      label="Records"
      busy={record.busy}
      back={{ href: '/', words: 'bench' }}
      help={HELP}
      keys={keys}
    >
      <div className="cols records">
        <div className="pad grid gap-3 content-start">
          <Choices
            label="Shown"
            name="shows"
            value={shows}
            onPick={(v) => setShows(v as Shows)}
            options={[
              { value: 'jobs', words: 'The jobs' },
              { value: 'figures', words: 'What they teach' },
            ]}
            hideLabel
          />
          {record.wrong && <Wrong>{record.wrong}</Wrong>}
          {shows === 'jobs' ? (
            <RecordList key={queryOf(asked)} asked={asked} jobs={record.jobs} />
          ) : record.figures ? (
            <Teaches taught={record.figures} model={asked.model ?? ''} units={units} onDays={record.again} />
          ) : (
            <p className="note" role="status">
              {record.wrong ? '' : 'Reckoning it'}
            </p>
          )}
        </div>
        <Filters asked={asked} choices={choices} onPut={put} onDrop={() => setAsked({})}>
          {asked.owner && <OwnersData key={asked.owner} owner={asked.owner} />}
        </Filters>
      </div>
      <Foot>
        <span className="grid leading-[1.15]">
          <b className="text-[18px]">
            {n} {n === 1 ? 'job' : 'jobs'}
          </b>
          <span className="note">{set ? `${set} ${set === 1 ? 'filter' : 'filters'}` : 'no filter'}</span>
        </span>
        {set > 0 && <Second onClick={() => setAsked({})}>All jobs again</Second>}
        <a
          className="act"
          data-act=""
          href={`/api/records/${shows === 'jobs' ? 'jobs' : 'figures'}.csv${queryOf(asked)}`}
          download
        >
          As a table (CSV)
        </a>
      </Foot>
      <SumHost />
    </SheetFrame>
  );
}
