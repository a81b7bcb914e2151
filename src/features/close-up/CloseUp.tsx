import { useCallback, useMemo, useState } from 'react';
import type { JobState } from '../../core/job';
import { holds, PROOFS, specOf, tally, type WayBackStep } from '../../core/ledger';
import { Action, Second } from '../../ui/Action';
import { TextField, Wrong } from '../../ui/Field';
import { useKeys } from '../../ui/Keys';
import { TickBox } from '../../ui/Signs';
import { useFocusKept } from '../../ui/use-focus-kept';
import { useKept } from '../../ui/use-kept';
import { Faces } from '../faces/Faces';
import type { Refused } from '../job/store';
import { useJob } from '../job/use-job';
import { usePlug } from '../job/use-plug';
import { Covers } from './Covers';
import { LengthCheck } from './LengthCheck';
import { Lid } from './Lid';
import { Meanwhile } from './Meanwhile';
import { TryItOpen } from './TryItOpen';
import { useWayHome } from './use-way-home';
import { WhichOrder } from './WhichOrder';
import { WhoseScrews } from './WhoseScrews';

/** The way back, written from what was really recorded: the next thing big, the rest below it. */
export function CloseUp() {
  const { job, go } = useJob();
  const home = useWayHome();
  const [order, setOrder] = useKept<'strict' | 'quicker'>(`mulch-way-back-${job.id}`, 'strict');
  const steps = (order === 'quicker' && home.quicker) || home.strict;
  const [picked, setPicked] = useState<string | null>(null);
  const next = steps.find((s) => s.item && s.item.id === picked) ?? steps[0];
  const place = useFocusKept<HTMLElement>(`${next?.kind} ${next?.item?.id ?? next?.cover?.id}`);
  if (job.ledger.items.length === 0) {
    return (
      <div className="empty">
        <h2>Nothing came off</h2>
        <p>
          The way back is written from the moves recorded in Open up. There are none, so there is nothing to
          put back.
        </p>
        <div className="flex flex-wrap gap-3">
          <Action onClick={() => go(job.fix ? 'prove' : 'open up')}>{job.fix ? 'Prove' : 'Open up'}</Action>
        </div>
      </div>
    );
  }
  return (
    <div className="cols">
      <section
        ref={place}
        tabIndex={-1}
        className="pad grid gap-4 content-start min-w-0"
        aria-label="Way back"
      >
        <WhoseScrews />
        {next ? (
          <NextStep key={`${next.item?.id ?? next.cover?.id} ${next.kind}`} step={next} />
        ) : (
          <AllBack />
        )}
        <Meanwhile home={home} />
        {steps.length > 1 && (
          <>
            <div className="lead border-t border-rule-strong pt-3">
              <h3 className="sec">Then</h3>
              <span className="note">
                {steps === home.strict ? 'last off, first on' : 'the quicker order'}; {steps.length - 1} to
                come
              </span>
            </div>
            <WhichOrder home={home} order={order} onOrder={setOrder} />
            <ol className="rows">
              {steps
                .filter((s) => s !== next)
                .map((s, i) => (
                  <li
                    key={`${s.item?.id ?? s.cover?.id} ${s.kind}`}
                    className="grid grid-cols-[30px_minmax(0,1fr)_auto] gap-2 items-center"
                  >
                    <span className="big text-[20px] text-bark-2">{i + 2}</span>
                    <span>
                      <b>{s.text}</b>
                      <span className="note block">{s.note}</span>
                    </span>
                    {s.kind !== 'close' && (
                      <Second
                        small
                        aria-label={`Now: ${s.text}`}
                        onClick={() => setPicked(s.item?.id ?? null)}
                      >
                        Now
                      </Second>
                    )}
                  </li>
                ))}
            </ol>
          </>
        )}
      </section>
      <section className="content-start">
        <TryItOpen />
        <Covers />
        {(job.map.faces?.length ?? 0) > 0 && (
          <div className="pad border-t border-rule-strong">
            <Faces title="Where it goes" next={coverOfStep(job, next)} most={{ w: 308, h: 280 }} />
          </div>
        )}
      </section>
    </div>
  );
}

/** The cover that a step belongs to: its own, the one whose screws go in, or the one closed. */
function coverOfStep(job: JobState, step: WayBackStep | undefined): string | undefined {
  const { item, cover } = step ?? {};
  return cover?.id ?? item?.cover ?? job.map.access.find((a) => holds(item?.from, a))?.id;
}

function AllBack() {
  const { go } = useJob();
  return (
    <div className="grid gap-3 justify-items-start">
      <h2 className="headline flex items-center gap-3">
        <TickBox size={26} /> Everything is back and closed
      </h2>
      <p className="note">Every piece that came off is back, written off with its replacement, or proven.</p>
      <Action keyName="8" onClick={() => go('prove')}>
        Prove
      </Action>
    </div>
  );
}

function NextStep({ step }: { step: WayBackStep }) {
  const { record } = useJob();
  const [wrong, setWrong] = useState<Refused | null>(null);
  const { item } = step;
  const t = item ? tally(item) : null;
  const plug = usePlug(item?.kind === 'plug' ? item.name : undefined);
  const screws = step.kind === 'return' && item?.kind === 'fastener' && (t?.taken ?? 0) > 1;
  const back = useCallback(
    (n: number) =>
      item && step.to && setWrong(record('item.returned', { item: item.id, count: n, state: step.to })),
    [item, step.to, record],
  );
  const fewer = useCallback(
    () => item && setWrong(record('item.taken', { item: item.id, count: 1 })),
    [item, record],
  );
  const keys = useMemo(() => {
    const none: Record<string, () => void> = {};
    return step.kind === 'return' ? { Space: () => void back(1), 'Shift+Space': () => void fewer() } : none;
  }, [step.kind, back, fewer]);
  useKeys(keys);
  const home = item ? (item.by.tight ?? 0) : 0;

  return (
    <div className="grid gap-3">
      <div className="flex flex-wrap gap-x-7 gap-y-3 items-center">
        {screws && t && (
          <div className="flex items-end gap-3 border-r border-rule pr-6">
            <span className="big text-[104px] leading-[.82]! tracking-[-.05em]" aria-live="polite">
              {home}
            </span>
            <span className="font-[650] text-[20px] leading-[1.1]">
              of {t.taken - t.writtenOff}
              <br />
              tight
            </span>
          </div>
        )}
        <div className="flex-1 min-w-[240px] grid gap-1">
          <h2 className="text-[30px]">{step.text}</h2>
          {step.note && <p className="text-bark-2">{step.note}</p>}
          {item?.altered && <p className="text-ochre">Altered: {item.altered}</p>}
        </div>
      </div>
      {plug && (
        <p className="border-l-4 border-slate-fill bg-slate-wash px-3 py-2">
          It goes to <b>{plug.home}</b>
          {plug.landmark && `, ${plug.landmark}`}. {plug.mark && 'Contact 1 to the dot, '}
          {plug.contacts} of {plug.contacts} seated, latch down, a tug.
          {plug.bare && <span className="block">Bare end: {plug.bare}.</span>}
          {plug.route && (
            <span className="block">
              Lay its lead first: {plug.route.map((r, i) => `${i + 1} ${r}`).join(', ')}; slack, nothing
              pinched.
            </span>
          )}
          {plug.leave && <span className="block">Leave alone: {plug.leave}.</span>}
          {plug.worn && (
            <span className="block text-ochre font-[600]">It was {plug.worn}: once, straight.</span>
          )}
          {plug.worst && <span className="block text-[14px] text-brick font-[600]">{plug.worst}.</span>}
        </p>
      )}
      {item && step.kind === 'return' && <LengthCheck key={`length ${item.id}`} item={item} />}
      {step.kind === 'return' && item?.kind === 'tape' && (
        <p className="note">Old tape rarely sticks again: write it off from the tray and name the new one.</p>
      )}
      <StepAct
        step={step}
        onBack={back}
        onRefused={setWrong}
        screws={screws}
        fewer={home > 0 ? fewer : undefined}
      />
      {wrong && <Wrong>{wrong.reason}</Wrong>}
      {screws && item && t && t.taken - t.writtenOff >= FEW && (
        <Lid key={`lid ${item.id}`} item={item} count={t.taken - t.writtenOff} home={home} />
      )}
    </div>
  );
}

/** Screws from which on their order is worth drawing. */
const FEW = 3;

interface ActProps {
  step: WayBackStep;
  screws: boolean;
  onBack(n: number): void;
  fewer?: (() => void) | undefined;
  onRefused(r: Refused | null): void;
}

const ACTS: Record<WayBackStep['kind'], (p: ActProps) => React.ReactNode> = {
  return: ReturnAct,
  prove: ProveAct,
  count: CountAct,
  close: CloseAct,
};

const StepAct = (p: ActProps) => {
  const Act = ACTS[p.step.kind];
  return <Act {...p} />;
};

function ReturnAct({ step, screws, onBack, fewer, onRefused }: ActProps) {
  const { record } = useJob();
  const { item } = step;
  if (!item) return null;
  return (
    <div className="flex flex-wrap gap-3">
      <Action className="min-h-[64px]! text-[18px]" keyName="Space" onClick={() => onBack(1)}>
        {screws
          ? 'One more is tight'
          : step.to === 'plugged'
            ? 'It is plugged'
            : step.to === 'tight'
              ? 'It is tight'
              : 'It is on'}
      </Action>
      {screws && step.left > 1 && (
        <Second className="min-h-[64px]!" onClick={() => onBack(step.left)}>
          All {step.left} are tight
        </Second>
      )}
      {screws && (item.by.off ?? 0) > 0 && (
        <Second
          className="min-h-[64px]!"
          onClick={() =>
            onRefused(record('item.returned', { item: item.id, count: item.by.off ?? 0, state: 'loose' }))
          }
        >
          All in, still loose
        </Second>
      )}
      {fewer && (
        <Second className="min-h-[64px]!" keyName="Shift Space" onClick={fewer}>
          One fewer
        </Second>
      )}
    </div>
  );
}

function ProveAct({ step, onRefused }: ActProps) {
  const { record } = useJob();
  const [other, setOther] = useState('');
  const prove = (how: string) => step.item && onRefused(record('item.proven', { item: step.item.id, how }));
  return (
    <div className="grid gap-3">
      <p className="note">
        {step.item?.kind === 'plug' ? 'A plug that is in is not yet home. ' : ''}How was{' '}
        {step.item ? specOf(step.item) : 'it'} proven?
      </p>
      <div className="flex flex-wrap gap-3">
        {PROOFS[step.item?.kind ?? 'plug'].map((how) => (
          <Second key={how} className="min-h-[64px]!" onClick={() => prove(how)}>
            {how}
          </Second>
        ))}
      </div>
      <form
        className="flex gap-3 items-end flex-wrap"
        onSubmit={(e) => {
          e.preventDefault();
          prove(other);
        }}
      >
        <TextField
          label="Otherwise"
          value={other}
          onChange={(e) => setOther(e.target.value)}
          className="min-w-[260px]"
        />
        <Second type="submit">Proven</Second>
      </form>
    </div>
  );
}

function CountAct({ step, onRefused }: ActProps) {
  const { record } = useJob();
  const [n, setN] = useState('');
  return (
    <form
      className="flex gap-3 items-end flex-wrap"
      onSubmit={(e) => {
        e.preventDefault();
        if (step.item) onRefused(record('item.counted', { item: step.item.id, count: Number(n) }));
      }}
    >
      <TextField
        label="How many are there"
        inputMode="numeric"
        value={n}
        onChange={(e) => setN(e.target.value)}
        className="w-[200px]"
      />
      <Action type="submit" keyName="Enter">
        Counted
      </Action>
    </form>
  );
}

function CloseAct({ step, onRefused }: ActProps) {
  const { record } = useJob();
  const { cover } = step;
  if (!cover) return null;
  return (
    <div className="flex flex-wrap gap-3">
      <Action
        className="min-h-[64px]! text-[18px]"
        onClick={() => onRefused(record('cover.closed', { cover: cover.id, kind: 'final' }))}
      >
        The {cover.name} is closed
      </Action>
    </div>
  );
}
