import { Tabs } from 'radix-ui';
import { memo, useCallback, useMemo, useState } from 'react';
import { coversNeeded, gatesAhead, isReached, type JobState, openAccess } from '../../core/job';
import { type LedgerMove, placeWords, sideUpWords, specOf, tally } from '../../core/ledger';
import { Second } from '../../ui/Action';
import { Clock } from '../../ui/Clock';
import { LongList } from '../../ui/LongList';
import { Flip, Pencil } from '../../ui/Signs';
import { Faces } from '../faces/Faces';
import { FoundScrew } from '../job/FoundScrew';
import { SubUnitButton } from '../job/SubUnitBar';
import { UsedUp } from '../job/UsedUp';
import { useJob } from '../job/use-job';
import { Photos } from '../photos/Photos';
import { BareEnds } from './BareEnds';
import { ByButtons } from './ByButtons';
import { EntryLine } from './EntryLine';
import { Follow } from './Follow';
import { Reach } from './Reach';
import { useWayIn } from './use-way-in';

const FollowOn = memo(Follow);
const Bare = memo(BareEnds);
const Within = memo(Reach);

const movesOff = (job: JobState) => job.ledger.moves.filter((m) => m.verb !== 'fit');

type Beside = 'faces' | 'buttons' | 'pictures';

/** The cover that comes off next on the way to what is planned. */
const nextCover = (job: JobState) => coversNeeded(job).find((c) => !openAccess(job).includes(c));

const Correct = ({ text, onCorrect }: { text: string; onCorrect(): void }) => (
  <Second small aria-label={`Correct: ${text}`} title="Correct it" onClick={onCorrect}>
    <Pencil />
  </Second>
);

/** Every move so far, the last one first. */
const OffSoFar = memo(function OffSoFar({ onCorrect }: { onCorrect(m: LedgerMove): void }) {
  const { job, events } = useJob();
  const onTheLine = useMemo(
    () => new Set(events.flatMap((e) => (e.type === 'move.recorded' ? [e.id] : []))),
    [events],
  );
  const items = useMemo(() => new Map(job.ledger.items.map((i) => [i.id, i])), [job.ledger.items]);
  const moves = movesOff(job);
  const flips = moves.filter((m) => m.sideUp).length;
  const rows = moves.map((m, i) => ({ m, i })).reverse();
  return (
    <section className="pad" aria-label="Off so far">
      <div className="lead pb-2">
        <h2 className="sec">Off so far</h2>
        <span className="note">
          {moves.length} {moves.length === 1 ? 'move' : 'moves'}
          {flips > 0 && `, ${flips} ${flips === 1 ? 'flip' : 'flips'}`}
        </span>
      </div>
      {moves.length === 0 && (
        <p className="note">
          Nothing is off. Write the first move on the line above, or use the buttons. Screws first, then what
          they hold: that is the order they go back in, turned round.
        </p>
      )}
      <div className="rows">
        <LongList items={rows} keyOf={(r) => r.m.id}>
          {({ m, i }) => {
            const it = items.get(m.item ?? '');
            if (m.sideUp) {
              return (
                <div className="flex items-center gap-3 bg-kraft px-2 -mx-2">
                  <Flip /> <b className="flex-1">Flipped, {sideUpWords(m.sideUp)}</b> <Clock at={m.at} />
                  {onTheLine.has(m.id) && <Correct text={m.text} onCorrect={() => onCorrect(m)} />}
                </div>
              );
            }
            return (
              <div className="grid grid-cols-[30px_minmax(0,1fr)_auto_auto] gap-2 items-center">
                <span className="big text-[22px]">{i + 1}</span>
                <span className="leading-[1.2]">
                  {it
                    ? `${it.kind === 'fastener' ? `${it.count ?? 'several'} × ` : ''}${specOf(it)}`
                    : m.text}
                  <span className="note block">
                    {it?.from ?? (it ? m.verb : '')}
                    {it?.within && `, of the ${job.subUnits.find((u) => u.id === it.within)?.name}`}
                    {it && tally(it).back > 0 && `, ${tally(it).back} back`}
                    {it && (it.by.loose ?? 0) > 0 && `, ${it.by.loose} of them loose`}
                  </span>
                </span>
                <b className="text-[15px] text-right max-w-[90px]">
                  {it ? placeWords(it.place).replace(/^in /, '') : ''}
                </b>
                {onTheLine.has(m.id) && <Correct text={m.text} onCorrect={() => onCorrect(m)} />}
              </div>
            );
          }}
        </LongList>
      </div>
      <div className="flex flex-wrap gap-2 pt-2">
        <FoundScrew />
        <SubUnitButton />
        <UsedUp />
        {(job.map.plugs?.length ?? 0) > 0 && (
          <a className="act-2 small" href={`/jobs/${job.id}/plugs`}>
            Its plugs
          </a>
        )}
        {moves.some((m) => m.item) && (
          <a className="act-2 small" href={`/api/jobs/${job.id}/labels`} target="_blank" rel="noreferrer">
            Print labels
          </a>
        )}
      </div>
    </section>
  );
});

/** Where things sit, moves by buttons, and pictures, one beside another. */
const BesideTheList = memo(function BesideTheList({ onText }: { onText(t: string): void }) {
  const { job } = useJob();
  const [beside, setBeside] = useState<Beside>(job.map.faces?.length ? 'faces' : 'buttons');
  return (
    <Tabs.Root value={beside} onValueChange={(v) => setBeside(v as Beside)} className="grid gap-3">
      <Tabs.List className="tabs" aria-label="Beside the list">
        <Tabs.Trigger value="faces">Where it sits</Tabs.Trigger>
        <Tabs.Trigger value="buttons">By buttons</Tabs.Trigger>
        <Tabs.Trigger value="pictures">
          Pictures <b>{job.photos.length || ''}</b>
        </Tabs.Trigger>
      </Tabs.List>
      <Tabs.Content value="faces">
        <Faces title="Where it sits" next={nextCover(job)} />
      </Tabs.Content>
      <Tabs.Content value="buttons">
        <ByButtons onText={onText} />
      </Tabs.Content>
      <Tabs.Content value="pictures">
        <Photos title="Pictures" hint="Before each plug leaves: how it sits, how its leads run." />
      </Tabs.Content>
    </Tabs.Root>
  );
});

/** Opening a unit met for the first time: every move goes down as it is done, and the way back writes itself. */
export function OpenUp() {
  const { job } = useJob();
  const [text, setText] = useState('');
  const [correcting, setCorrecting] = useState<string | null>(null);
  const { way, wrong, reckoning } = useWayIn();
  // A letter typed draws the line anew and nothing beside it.
  const put = useCallback((t: string) => {
    setText(t);
    document.querySelector<HTMLElement>('[data-key=entry]')?.focus();
  }, []);
  const correct = useCallback(
    (m: LedgerMove) => {
      setCorrecting(m.id);
      put(m.text);
    },
    [put],
  );
  const moves = movesOff(job);
  return (
    <div className="grid content-start min-h-full grid-rows-[auto_auto_1fr]">
      <FollowOn way={way} wrong={wrong} reckoning={reckoning} onOtherwise={put} />
      <Bare />
      <EntryLine
        text={text}
        onText={setText}
        beside={Boolean(way?.steps.length)}
        leads={!way?.steps.length && !isReached(job) && gatesAhead(job).length === 0}
        correcting={moves.find((m) => m.id === correcting)}
        onCorrected={() => setCorrecting(null)}
      />
      <div className="grid grid-cols-[minmax(0,.85fr)_minmax(0,1.25fr)_minmax(0,.9fr)] max-[1000px]:grid-cols-1 [&>*+*]:border-l [&>*+*]:border-rule">
        <OffSoFar onCorrect={correct} />
        <section className="pad grid gap-3 content-start min-w-0">
          <BesideTheList onText={put} />
        </section>
        <Within onText={put} leads={!way?.steps.length && !text.trim()} />
      </div>
    </div>
  );
}
