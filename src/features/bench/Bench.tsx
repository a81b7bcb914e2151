import { format } from 'date-fns';
import { useEffect, useMemo, useState } from 'react';
import type { JobSummary } from '../../core/job';
import { alongRows } from '../../ui/along-rows';
import { Wrong } from '../../ui/Field';
import { Frame } from '../../ui/Frame';
import { Head } from '../../ui/Head';
import { KeysDialog, useKeys } from '../../ui/Keys';
import { LongList } from '../../ui/LongList';
import { toggleTheme } from '../../ui/ThemeButton';
import { ScanLabel } from '../scan/ScanLabel';
import { SumHost } from '../sums/SumHost';
import { type Backup, Backups } from './Backups';
import { BenchRun } from './BenchRun';
import { JobRow } from './JobRow';
import { NewJob } from './NewJob';
import { OutOfPlace } from './OutOfPlace';
import { OwedHere } from './OwedHere';

const HELP = [
  { keys: '↑ ↓', does: 'along the jobs' },
  { keys: 'Enter', does: 'open the job' },
  { keys: '/', does: 'choose a unit for a new job' },
  { keys: 'C', does: 'scan a label' },
  { keys: 'T', does: 'today: the day and the van' },
  { keys: 'D', does: 'records' },
  { keys: 'S', does: 'stores' },
  { keys: 'P', does: 'practice' },
  { keys: 'N', does: 'night and day' },
  { keys: '?', does: 'these keys' },
];

function List({
  title,
  note,
  jobs,
  mark,
  empty,
  more,
}: {
  title: string;
  note: string;
  jobs: JobSummary[];
  mark?: boolean;
  empty: string;
  more?: React.ReactNode;
}) {
  return (
    <section aria-label={title}>
      <div className="lead pad pb-2! border-b border-rule-strong">
        <h2 className="headline text-[26px]!">{title}</h2>
        <span className="note">{note}</span>
      </div>
      {jobs.length === 0 && <p className="pad note">{empty}</p>}
      <LongList items={jobs} keyOf={(j) => j.id}>
        {(j, i) => <JobRow job={j} first={Boolean(mark) && i === 0} />}
      </LongList>
      {more}
    </section>
  );
}

/** Jobs from the server, or null where it does not answer. */
const jobsOf = (handedOver: 'yes' | 'no') =>
  fetch(`/api/jobs?handedOver=${handedOver}`)
    .then(async (res) => (res.ok ? ((await res.json()) as JobSummary[]) : null))
    .catch(() => null);

const jobs = (n: number) => `${n} ${n === 1 ? 'job' : 'jobs'}`;

/** The bench: jobs in hand, what each waits for, what is unaccounted for. */
export function Bench({
  here: first,
  gone: lastGone,
  count,
  owing,
  units,
  backup,
}: {
  /** the jobs that are here, or the newest of them */
  here: JobSummary[];
  /** the last that were handed over */
  gone: JobSummary[];
  /** how many there are of each */
  count: { here: number; gone: number };
  /** jobs from which something is still owed */
  owing: JobSummary[];
  units: { id: string; name: string; place: string }[];
  /** the last one Mulch made itself; null where it makes none */
  backup: Backup | 'none' | null;
}) {
  const [keys, setKeys] = useState(false);
  const [scanning, setScanning] = useState(false);
  const [day, setDay] = useState('');
  // Of the bench, not of the server.
  const [today, setToday] = useState('');
  useEffect(() => {
    setDay(format(new Date(), 'EEE d'));
    setToday(format(new Date(), 'yyyy-MM-dd'));
  }, []);
  const bindings = useMemo(
    () => ({
      ArrowDown: () => alongRows(1),
      ArrowUp: () => alongRows(-1),
      n: () => void toggleTheme(),
      c: () => setScanning(true),
      p: () => window.location.assign('/practice'),
      t: () => window.location.assign('/day'),
      d: () => window.location.assign('/records'),
      s: () => window.location.assign('/stores'),
      '/': () => document.querySelector<HTMLElement>('[data-key=find]')?.focus(),
      '?': () => setKeys(true),
      'Shift+?': () => setKeys(true),
    }),
    [],
  );
  useKeys(bindings);
  const [here, setHere] = useState(first);
  const [gone, setGone] = useState(lastGone);
  const [asking, setAsking] = useState(false);
  const [wrong, setWrong] = useState('');
  useEffect(() => {
    // A full bench: the page comes with the newest, and the rest follows it.
    if (first.length >= count.here) return;
    void jobsOf('no').then((all) => all && setHere(all));
  }, [first, count]);
  const showGone = async () => {
    setAsking(true);
    const all = await jobsOf('yes');
    setAsking(false);
    setWrong(all ? '' : 'They did not come: the server does not answer. Try again');
    if (all) setGone(all);
  };
  const now = here.filter((j) => j.next.kind !== 'waiting');
  const waiting = here.filter((j) => j.next.kind === 'waiting');
  const off = here.reduce((n, j) => n + j.off, 0);
  return (
    <Frame>
      <Head
        tag={<span className="tag mono min-w-[92px]">{day}</span>}
        title="Bench"
        about={`${jobs(count.here)} here, ${off} ${off === 1 ? 'piece' : 'pieces'} off`}
        onKeys={() => setKeys(true)}
      >
        <a href="/day">Day</a>
        <a href="/sums">Sums</a>
        <a href="/cables">Cables</a>
        <a href="/batteries">Batteries</a>
        <a href="/units">Units</a>
        <a href="/records">Records</a>
        <a href="/stores">Stores</a>
        <a href="/practice">Practice</a>
        <a href="/people">People</a>
      </Head>
      <BenchRun jobs={here} />
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
            {gone.length > 0 && (
              <List
                title="Handed over"
                note={jobs(count.gone)}
                jobs={gone}
                empty=""
                more={
                  gone.length < count.gone && (
                    <p className="pad grid gap-2 justify-items-start">
                      <button type="button" className="act-2" disabled={asking} onClick={showGone}>
                        {asking ? 'Getting them' : `All ${count.gone} of them`}
                      </button>
                      {wrong && <Wrong>{wrong}</Wrong>}
                    </p>
                  )
                }
              />
            )}
          </div>
          <div>
            <OwedHere jobs={owing} today={today} />
            <NewJob units={units} />
            <p className="pad border-t border-rule">
              <button type="button" className="act-2" onClick={() => setScanning(true)}>
                <span>Scan a label</span> <kbd>C</kbd>
              </button>
            </p>
            {backup && <Backups last={backup} />}
          </div>
        </div>
      </main>
      <OutOfPlace jobs={here} />
      <SumHost />
      {scanning && <ScanLabel onClose={() => setScanning(false)} />}
      <KeysDialog open={keys} onClose={() => setKeys(false)} help={HELP} />
    </Frame>
  );
}
