import { useCallback, useEffect, useMemo, useState } from 'react';
import { type JobEvent, STOPS, type Stop } from '../../core/job';
import { jobPath, stopOf } from '../../schemas/job-path';
import { FootHost, theNext, theOneAction, toFoot } from '../../ui/Foot';
import { Frame } from '../../ui/Frame';
import { Head } from '../../ui/Head';
import { KeysDialog, useEscape, useKeys } from '../../ui/Keys';
import { later } from '../../ui/later';
import { toggleTheme } from '../../ui/ThemeButton';
import { useFocusNeverLost } from '../../ui/use-focus-never-lost';
import { signedIn } from '../people/signed-in';
import { ScanLabel } from '../scan/ScanLabel';
import { openSum } from '../sums/open-sum';
import { SumHost } from '../sums/SumHost';
import { HistoryDialog } from './HistoryDialog';
import { Live } from './Live';
import { NewMap } from './NewMap';
import { NoteDialog } from './NoteDialog';
import { Notices } from './Notices';
import { ParkDialog } from './ParkDialog';
import { ParkedSheet } from './ParkedSheet';
import { Run } from './Run';
import { SubUnitBar } from './SubUnitBar';
import { loadTheRest, onTheSheet, sheetOf, turnTo } from './sheets';
import { STOP_TITLE } from './stop-title';
import { Ticks } from './Ticks';
import { RunningTimers, TimerDialog } from './Timers';
import { Tray } from './Tray';
import { JobDeskProvider, useJob, useLink } from './use-job';

/** Fetched when it is asked for: it needs the server anyway. */
const BesideDialog = later(() => import('../beside/BesideDialog').then((m) => m.BesideDialog));

/** Fetched for simulated units alone. */
const PracticeBand = later(() => import('../practice/PracticeBand').then((m) => m.PracticeBand));

const HELP = [
  { keys: '1 to 9', does: 'stop on the run' },
  { keys: 'Enter', does: 'the one action' },
  { keys: 'Space', does: 'the next one: a tick, a count, an answer' },
  { keys: 'G, X', does: 'the check came out good, or not' },
  { keys: 'Escape', does: 'out of a field, to the foot' },
  { keys: 'E', does: 'entry line' },
  { keys: 'R', does: 'reading' },
  { keys: 'T', does: 'tray' },
  { keys: 'U, Shift U', does: 'undo, redo' },
  { keys: 'P', does: 'park this job' },
  { keys: 'M', does: 'a note' },
  { keys: 'W', does: 'timer for what takes its time' },
  { keys: 'Y', does: 'history of this job' },
  { keys: 'Q', does: 'this job on the phone too' },
  { keys: 'C', does: 'scan a label' },
  { keys: '/ or Ctrl K', does: 'bench sums' },
  { keys: 'B', does: 'bench' },
  { keys: 'N', does: 'night and day' },
  { keys: '?', does: 'these keys' },
];

/** Who else has this job open, on which device. */
function WithOthers() {
  const { others } = useLink();
  const [first] = others;
  if (!first) return null;
  const me = signedIn()?.name ?? '';
  const who = (o: typeof first) => (o.name === me ? `also on ${o.device}` : `with ${o.name}, ${o.device}`);
  return (
    <span className="text-slate text-[14px]" title={others.map(who).join('; ')}>
      {others.length > 1 ? `${others.length} more here` : who(first)}
    </span>
  );
}

const focus = (selector: string) => document.querySelector<HTMLElement>(selector)?.focus();

function UnsentCount() {
  const { unsent, pictures } = useLink();
  const waiting = unsent + pictures;
  return waiting > 0 ? <span className="text-ochre text-[14px]">{waiting} unsent</span> : null;
}

function View({ away }: { away: Stop | null }) {
  const { job, stop, go, undo, redo, record } = useJob();
  const [keysOpen, setKeysOpen] = useState(false);
  const [parking, setParking] = useState(false);
  const [telling, setTelling] = useState(false);
  const [timing, setTiming] = useState(false);
  const [noting, setNoting] = useState(false);
  const [pairing, setPairing] = useState(false);
  const [scanning, setScanning] = useState(false);
  const [refusal, setRefusal] = useState<string | null>(null);
  const Sheet = sheetOf(stop);
  useFocusNeverLost(toFoot);
  useEscape(toFoot);
  const bindings = useMemo(
    () => ({
      ...Object.fromEntries(STOPS.map((s, i) => [String(i + 1), () => go(s)])),
      e: () => onTheSheet(() => focus('[data-key=entry]')),
      r: () => onTheSheet(() => focus('[data-key=reading]')),
      t: () => focus('.tray .place, .tray-lip button'),
      u: () => setRefusal(undo()?.reason ?? null),
      'Shift+U': () => setRefusal(redo()?.reason ?? null),
      b: () => window.location.assign('/'),
      p: () => setParking(true),
      y: () => setTelling(true),
      w: () => setTiming(true),
      m: () => setNoting(true),
      q: () => setPairing(true),
      c: () => setScanning(true),
      Enter: () => onTheSheet(theOneAction),
      Space: () => onTheSheet(theNext),
      '/': () => openSum(),
      n: () => void toggleTheme(),
      'Shift+?': () => setKeysOpen(true),
      '?': () => setKeysOpen(true),
    }),
    [go, undo, redo],
  );
  useKeys(bindings);
  const about = [[job.map.maker, job.map.model].filter(Boolean).join(' '), job.place]
    .filter(Boolean)
    .join(', ');
  return (
    <Frame>
      <Head
        tag={<span className="tag mono">{job.tag}</span>}
        title={job.map.name}
        about={
          <>
            {about && `${about}.`}
            {job.intake && <> “{job.intake.symptom}”</>}
          </>
        }
        onKeys={() => setKeysOpen(true)}
        more={[
          { words: 'Timer', keyName: 'W', onPick: () => setTiming(true) },
          ...(job.handedOver || job.parked
            ? []
            : [{ words: 'Park', keyName: 'P', onPick: () => setParking(true) }]),
          { words: 'History', keyName: 'Y', onPick: () => setTelling(true) },
          { words: 'Beside this', keyName: 'Q', onPick: () => setPairing(true) },
          { words: 'Scan a label', keyName: 'C', onPick: () => setScanning(true) },
        ]}
      >
        <WithOthers />
        <UnsentCount />
        <button type="button" onClick={() => setRefusal(undo()?.reason ?? null)}>
          Undo <kbd>U</kbd>
        </button>
        <button type="button" onClick={() => setNoting(true)}>
          Note
        </button>
        <button type="button" onClick={() => openSum()}>
          Sums
        </button>
        {job.practice ? <a href="/practice">Practice</a> : <a href="/">Bench</a>}
      </Head>
      <Run />
      <FootHost
        below={
          <div className="band">
            <Live />
            <Tray />
          </div>
        }
      >
        <main className="main" id="main" aria-label={STOP_TITLE[stop]} aria-busy={!Sheet || undefined}>
          {job.practice && <PracticeBand />}
          <RunningTimers />
          <ParkedSheet />
          <SubUnitBar />
          <NewMap />
          <Ticks />
          <Notices refusal={refusal} away={away} onDismiss={() => setRefusal(null)} />
          {Sheet ? <Sheet key={stop} /> : <p className="pad note coming">Fetching {STOP_TITLE[stop]}</p>}
        </main>
      </FootHost>
      <NoteDialog open={noting} onClose={() => setNoting(false)} />
      {scanning && <ScanLabel onClose={() => setScanning(false)} />}
      {pairing && <BesideDialog job={job.id} stop={stop} onClose={() => setPairing(false)} />}
      <TimerDialog open={timing} onClose={() => setTiming(false)} />
      <HistoryDialog open={telling} onClose={() => setTelling(false)} />
      {parking && <ParkDialog onClose={() => setParking(false)} />}
      <SumHost onKeep={(text) => record('note.added', { text })?.reason ?? null} />
      <KeysDialog open={keysOpen} onClose={() => setKeysOpen(false)} help={HELP} />
    </Frame>
  );
}

/** One job, all its stops. The address follows the stop, so that a reload and Back stay in place. */
export function JobApp({ id, events, stop: first }: { id: string; events: JobEvent[]; stop: Stop }) {
  const [stop, setStop] = useState(first);
  const [away, setAway] = useState<Stop | null>(null);
  const [, setFetched] = useState(0);
  // The stop is turned to at once: what is typed then never goes into the sheet that is being left.
  const turn = useCallback((next: Stop, then: () => void) => {
    setAway(null);
    setStop(next);
    if (sheetOf(next)) return then();
    turnTo(next).then(
      () => {
        setFetched((n) => n + 1);
        // Once it is drawn.
        setTimeout(then);
      },
      () => setAway(next),
    );
  }, []);
  const go = useCallback(
    (next: Stop) => {
      window.history.pushState({}, '', jobPath(id, next));
      document.title = `${STOP_TITLE[next]} – Mulch`;
      turn(next, () => {
        document.getElementById('main')?.scrollTo(0, 0);
        window.scrollTo(0, 0);
        toFoot();
      });
    },
    [id, turn],
  );
  useEffect(() => {
    const back = () => turn(stopOf(window.location.pathname.split('/').at(-1)) ?? first, () => {});
    window.addEventListener('popstate', back);
    return () => window.removeEventListener('popstate', back);
  }, [first, turn]);
  useEffect(loadTheRest, []);
  // A page that was kept for another stop of the job turns to the one that was asked for.
  useEffect(() => {
    const asked = stopOf(window.location.pathname.split('/').at(-1));
    if (asked && asked !== first) turn(asked, () => {});
  }, [first, turn]);
  useEffect(() => {
    if (!sheetOf(first)) turn(first, () => {});
  }, [first, turn]);
  return (
    <JobDeskProvider id={id} events={events} stop={stop} go={go}>
      <View away={away} />
    </JobDeskProvider>
  );
}
