import { useState } from 'react';
import { cupsInUse, freeCup } from '../../core/ledger';
import { DRIVES } from '../../core/line';
import { Second } from '../../ui/Action';
import { Choices, SelectField, TextField } from '../../ui/Field';
import { useJob } from '../job/use-job';
import { KnownHere } from './KnownHere';

const THREADS = ['M1.6', 'M2', 'M2.5', 'M3', 'M4', 'M5', 'M6', 'M8', '4-40', '6-32', '8-32', '1/4-20'];
const INCHES = ['1/8', '3/16', '1/4', '5/16', '3/8', '1/2', '5/8', '3/4', '1'];
const METRIC = ['3', '4', '5', '6', '8', '10', '12', '14', '16', '20', '25', '30', '40'];
const lengthsOf = (thread: string) => (thread.includes('-') ? INCHES : METRIC);
const SIZES = DRIVES.flatMap((d) => d.sizes.map((s) => `${d.id}${s}`));

/** The same move without typing: every tap writes into the line above, where it is read back. */
export function ByButtons({ onText }: { onText(t: string): void }) {
  const { job } = useJob();
  const [what, setWhat] = useState('screws');
  const [count, setCount] = useState(4);
  const [thread, setThread] = useState('M3');
  const [length, setLength] = useState('8');
  const [drive, setDrive] = useState('PH1');
  const [from, setFrom] = useState('');
  const cup = freeCup(cupsInUse(job.ledger.items));
  const covers = job.map.access.map((a) => a.name);
  const target = from.trim() || covers[0] || 'cover';

  const line: Record<string, string> = {
    screws: `${count} x ${thread}x${length} ${drive.replace('HEX', 'hex ')} ${target} > cup ${cup.label}`,
    nuts: `${count} nuts ${thread} ${target} > cup ${cup.label}`,
    washers: `${count} washers ${thread} ${target} > cup ${cup.label}`,
    plug: `unplug ${from.trim() || 'J1'}`,
    cover: `lift ${target} > shelf`,
    tie: `cut tie ${from.trim() || 'W1'}`,
    tape: `peel tape ${from.trim() || 'W1'}`,
    flip: `flip ${from.trim() || 'bottom'}`,
  };
  const lengths = lengthsOf(thread);
  return (
    <section className="grid gap-3 content-start" aria-label="By buttons">
      <KnownHere />
      <Choices
        hideLabel
        label="What came off"
        name="what"
        value={what}
        onPick={setWhat}
        options={[
          { value: 'screws', words: 'Screws' },
          { value: 'nuts', words: 'Nuts' },
          { value: 'washers', words: 'Washers' },
          { value: 'plug', words: 'Plug' },
          { value: 'cover', words: 'Cover' },
          { value: 'tie', words: 'Tie' },
          { value: 'tape', words: 'Tape' },
          { value: 'flip', words: 'Flip' },
        ]}
      />
      {['screws', 'nuts', 'washers'].includes(what) && (
        <>
          <div className="flex items-center gap-3">
            <Second
              onClick={() => setCount(Math.max(1, count - 1))}
              className="w-16 h-16 justify-center text-[24px]"
              aria-label="One fewer"
            >
              −
            </Second>
            <span className="big text-[44px] min-w-[56px] text-center" aria-live="polite">
              {count}
            </span>
            <Second
              onClick={() => setCount(count + 1)}
              className="w-16 h-16 justify-center text-[24px]"
              aria-label="One more"
            >
              +
            </Second>
          </div>
          <div className="grid grid-cols-3 gap-2">
            <SelectField
              label="Thread"
              value={thread}
              onChange={(e) => {
                setThread(e.target.value);
                setLength(lengthsOf(e.target.value)[2] as string);
              }}
            >
              {THREADS.map((t) => (
                <option key={t}>{t}</option>
              ))}
            </SelectField>
            <SelectField
              label={thread.includes('-') ? 'Length, in' : 'Length, mm'}
              value={length}
              onChange={(e) => setLength(e.target.value)}
            >
              {lengths.map((t) => (
                <option key={t}>{t}</option>
              ))}
            </SelectField>
            <SelectField label="Driver" value={drive} onChange={(e) => setDrive(e.target.value)}>
              {SIZES.map((t) => (
                <option key={t}>{t}</option>
              ))}
            </SelectField>
          </div>
        </>
      )}
      <TextField
        label={what === 'flip' ? 'Side up' : what === 'plug' ? 'Which plug' : 'From, or which'}
        value={from}
        onChange={(e) => setFrom(e.target.value)}
        placeholder={what === 'flip' ? 'bottom' : what === 'plug' ? 'J7' : target}
        autoComplete="off"
      />
      {what !== 'plug' && what !== 'flip' && covers.length > 0 && (
        <div className="flex flex-wrap gap-2">
          {covers.map((c) => (
            <Second key={c} small onClick={() => setFrom(c)}>
              {c}
            </Second>
          ))}
        </div>
      )}
      <div className="grid gap-2">
        <span className="mono bg-inset px-2 py-1 text-[15px]">{line[what]}</span>
        <div>
          <Second
            onClick={() => {
              onText(line[what] ?? '');
              document.querySelector<HTMLElement>('[data-key=entry]')?.focus();
            }}
          >
            Put it on the line
          </Second>
        </div>
      </div>
    </section>
  );
}
