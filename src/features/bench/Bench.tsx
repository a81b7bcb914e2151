import { format } from 'date-fns';
import { useEffect, useMemo, useState } from 'react';
import type { JobSummary } from '../../core/job';
import { Frame } from '../../ui/Frame';
import { Head } from '../../ui/Head';
import { KeysDialog, useKeys } from '../../ui/Keys';
import { toggleTheme } from '../../ui/ThemeButton';
import { SumHost } from '../sums/SumHost';
import { type Backup, Backups } from './Backups';
import { BenchRun } from './BenchRun';
import { JobRow } from './JobRow';
import { NewJob } from './NewJob';
import { OutOfPlace } from './OutOfPlace';

const HELP = [
  { keys: '↑ ↓', does: 'along the jobs' },
  { keys: 'Enter', does: 'open the job' },
  { keys: '/', does: 'choose a unit for a new job' },
  { keys: 'N', does: 'night and day' },
  { keys: '?', does: 'these keys' },
];

const step = (by: number) => {
  const rows = [...document.querySelectorAll<HTMLElement>('[data-row]')];
  const at = rows.indexOf(document.activeElement as HTMLElement);
  rows[Math.max(0, Math.min(rows.length - 1, at + by))]?.focus();
};

function List({
  title,
  note,
  jobs,
  mark,
  empty,
}: {
  title: string;
  note: string;
  jobs: JobSummary[];
  mark?: boolean;
  empty: string;
}) {
  return (
    <section aria-label={title}>
      <div className="lead pad pb-2! border-b border-rule-strong">
        <h2 className="headline text-[26px]!">{title}</h2>
        <span className="note">{note}</span>
      </div>
      {jobs.length === 0 && <p className="pad note">{empty}</p>}
      <ol>
        {jobs.map((j, i) => (
          <JobRow key={j.id} job={j} first={Boolean(mark) && i === 0} />
        ))}
      </ol>
    </section>
  );
}

const jobs = (n: number) => `${n} ${n === 1 ? 'job' : 'jobs'}`;

/** The bench: jobs in hand, what each waits for, what is unaccounted for. */
export function Bench({
  summaries,
  units,
  backup,
}: {
  summaries: JobSummary[];
  units: { id: string; name: string; place: string }[];
  /** the last one Mulch made itself; null where it makes none */
  backup: Backup | 'none' | null;
}) {
  const [keys, setKeys] = useState(false);
  const [day, setDay] = useState('');
  useEffect(() => setDay(format(new Date(), 'EEE d')), []);
  const bindings = useMemo(
    () => ({
      ArrowDown: () => step(1),
      ArrowUp: () => step(-1),
      n: () => void toggleTheme(),
      '/': () => document.querySelector<HTMLElement>('[data-key=find]')?.focus(),
      '?': () => setKeys(true),
      'Shift+?': () => setKeys(true),
    }),
    [],
  );
  useKeys(bindings);
  const now = summaries.filter((j) => !j.handedOver && j.next.kind !== 'waiting');
  const waiting = summaries.filter((j) => !j.handedOver && j.next.kind === 'waiting');
  const gone = summaries.filter((j) => j.handedOver);
  const off = summaries.reduce((n, j) => n + (j.handedOver ? 0 : j.off), 0);
  return (
    <Frame>
      <Head
        tag={<span className="tag mono min-w-[92px]">{day}</span>}
        title="Bench"
        about={`${jobs(now.length + waiting.length)} here, ${off} ${off === 1 ? 'piece' : 'pieces'} off`}
        onKeys={() => setKeys(true)}
      >
        <a href="/sums">Sums</a>
        <a href="/cables">Cables</a>
        <a href="/batteries">Batteries</a>
        <a href="/units">Units</a>
      </Head>
      <BenchRun jobs={summaries} />
      <main className="main">
        <div className="cols">
          <div>
            <List
              title="In hand"
              note={jobs(now.length)}
              jobs={now}
              mark
              empty="No job is in hand. Take a unit in at the right: pick one that is known, or describe the one in front of you."
            />
            <List
              title="Waiting"
              note={jobs(waiting.length)}
              jobs={waiting}
              empty="No job waits here. Park one, tray and all, at any stop."
            />
            {gone.length > 0 && <List title="Handed over" note={jobs(gone.length)} jobs={gone} empty="" />}
          </div>
          <div>
            <NewJob units={units} />
            {backup && <Backups last={backup} />}
          </div>
        </div>
      </main>
      <OutOfPlace jobs={summaries} />
      <SumHost />
      <KeysDialog open={keys} onClose={() => setKeys(false)} help={HELP} />
    </Frame>
  );
}
