import { useState } from 'react';
import { placeWords, specOf, tally } from '../../core/ledger';
import { Clock } from '../../ui/Clock';
import { Flip } from '../../ui/Signs';
import { FoundScrew } from '../job/FoundScrew';
import { useJob } from '../job/use-job';
import { ByButtons } from './ByButtons';
import { EntryLine } from './EntryLine';
import { Follow } from './Follow';
import { Reach } from './Reach';
import { useWayIn } from './use-way-in';

/** Opening a unit met for the first time: every move goes down as it is done, and the way back writes itself. */
export function OpenUp() {
  const { job } = useJob();
  const [text, setText] = useState('');
  const { way, wrong } = useWayIn();
  const put = (t: string) => {
    setText(t);
    document.querySelector<HTMLElement>('[data-key=entry]')?.focus();
  };
  const moves = job.ledger.moves.filter((m) => m.verb !== 'fit');
  const item = (id: string | undefined) => job.ledger.items.find((i) => i.id === id);
  const flips = moves.filter((m) => m.sideUp).length;
  return (
    <div className="grid content-start min-h-full grid-rows-[auto_auto_1fr]">
      <Follow way={way} wrong={wrong} onOtherwise={put} />
      <EntryLine text={text} onText={setText} beside={Boolean(way?.steps.length)} />
      <div className="grid grid-cols-[minmax(0,1.05fr)_minmax(0,1.1fr)_minmax(0,.9fr)] max-[1000px]:grid-cols-1 [&>*+*]:border-l [&>*+*]:border-rule">
        <section className="pad" aria-label="Off so far">
          <div className="lead pb-2">
            <h2 className="sec">Off so far</h2>
            <span className="note">
              {moves.length} {moves.length === 1 ? 'move' : 'moves'}
              {flips > 0 && `, ${flips} ${flips === 1 ? 'flip' : 'flips'}`}
            </span>
            <FoundScrew />
            {moves.some((m) => m.item) && (
              <a className="act-2 small" href={`/api/jobs/${job.id}/labels`} target="_blank" rel="noreferrer">
                Print labels
              </a>
            )}
          </div>
          {moves.length === 0 && (
            <p className="note">
              Nothing is off. Write the first move on the line above, or use the buttons. Screws first, then
              what they hold: that is the order they go back in, turned round.
            </p>
          )}
          <ol className="rows">
            {moves.map((m, i) => {
              const it = item(m.item);
              if (m.sideUp) {
                return (
                  <li key={m.id} className="flex items-center gap-3 bg-kraft px-2 -mx-2">
                    <Flip /> <b className="flex-1">Flipped, {m.sideUp} up</b> <Clock at={m.at} />
                  </li>
                );
              }
              return (
                <li key={m.id} className="grid grid-cols-[30px_minmax(0,1fr)_auto] gap-2 items-center">
                  <span className="big text-[22px]">{i + 1}</span>
                  <span className="leading-[1.2]">
                    {it
                      ? `${it.kind === 'fastener' ? `${it.count ?? 'several'} × ` : ''}${specOf(it)}`
                      : m.text}
                    <span className="note block">
                      {it?.from ?? m.verb}
                      {it && tally(it).back > 0 && `, ${tally(it).back} back`}
                    </span>
                  </span>
                  <b className="text-[15px] text-right max-w-[110px]">
                    {it ? placeWords(it.place).replace(/^in /, '') : ''}
                  </b>
                </li>
              );
            })}
          </ol>
        </section>
        <ByButtons onText={put} />
        <Reach onText={put} />
      </div>
    </div>
  );
}
