import { useState } from 'react';
import { preparationsOf } from '../../core/job';
import { placeWords } from '../../core/ledger';
import { ageMonths, readDateCode } from '../../core/unit';
import { Action } from '../../ui/Action';
import { TextField, Wrong } from '../../ui/Field';
import { Foot } from '../../ui/Foot';
import { Arrow, TickBox } from '../../ui/Signs';
import type { Refused } from '../job/store';
import { useJob } from '../job/use-job';
import { ScanField } from '../scan/ScanField';
import { type From, FromWhere } from './FromWhere';
import { Preparations } from './Preparations';
import { StillOn } from './StillOn';

/** How a date code was read and how old that is; null where nothing can be read from it yet. */
function dated(text: string): string | null {
  if (!text.trim()) return null;
  try {
    const code = readDateCode(text);
    const months = ageMonths(code, new Date().toISOString());
    const age =
      months < 0
        ? 'that lies ahead: read it again'
        : months < 24
          ? `${months} ${months === 1 ? 'month' : 'months'} old`
          : `${Math.floor(months / 12)} years old`;
    return `${code.words}, ${age}`;
  } catch {
    return null;
  }
}

const filled = (values: Record<string, string>): Record<string, string> =>
  Object.fromEntries(Object.entries(values).flatMap(([k, v]) => (v.trim() ? [[k, v.trim()]] : [])));

/** The old part out, with what goes over from it; the new part in, with what is stamped on it. */
export function OutIn({ name, part }: { name: string; part: string }) {
  const { job, record } = useJob();
  const [old, setOld] = useState(`old ${name}`);
  const [carry, setCarry] = useState('');
  const [along, setAlong] = useState<string[]>([]);
  const [fresh, setFresh] = useState(part);
  const [stamps, setStamps] = useState({ oldSerial: '', oldDate: '', serial: '', dateCode: '' });
  const [wrong, setWrong] = useState<Refused | null>(null);
  const [from, setFrom] = useState<From>({});
  const isOut = job.out !== null;
  const gone = job.ledger.items.find((i) => i.id === job.out?.item);
  const write = (key: keyof typeof stamps) => (text: string) => {
    setStamps({ ...stamps, [key]: text });
    setWrong(null);
  };
  const set = (key: keyof typeof stamps) => (e: React.ChangeEvent<HTMLInputElement>) =>
    write(key)(e.target.value);
  const at = (path: string) => (wrong?.path === path ? wrong.reason : undefined);
  const elsewhere = wrong && !['/name', '/dateCode', '/along'].includes(wrong.path) ? wrong.reason : null;
  const out = (e: React.FormEvent) => {
    e.preventDefault();
    const list = carry
      .split(',')
      .map((c) => c.trim())
      .filter(Boolean);
    setWrong(
      record('part.removed', {
        name: old,
        ...(list.length ? { carry: list } : {}),
        ...(along.length ? { along } : {}),
        ...filled({ serial: stamps.oldSerial, dateCode: stamps.oldDate }),
      }),
    );
  };
  const fit = (e: React.FormEvent) => {
    e.preventDefault();
    setWrong(
      record('part.fitted', {
        name: fresh,
        ...filled({ serial: stamps.serial, dateCode: stamps.dateCode }),
        ...from,
      }),
    );
  };
  const asked = preparationsOf(job).length > 0;
  return (
    <div className="grid grid-cols-[1fr_44px_1fr] max-[760px]:grid-cols-1 gap-x-4 gap-y-5 items-start">
      <div className="grid gap-4">
        <Preparations when="before out" holding />
        <form
          id="part-out"
          onSubmit={out}
          noValidate
          className={`grid gap-3 p-4 border ${isOut ? 'border-rule' : 'border-bark border-2'}`}
        >
          <h3 className="sec flex gap-2 items-center">{isOut && <TickBox size={18} />} Out</h3>
          {isOut ? (
            <p>
              {gone?.name} is out, kept {gone && placeWords(gone.place)}. It does not go in again.
              {job.out?.serial && ` Serial ${job.out.serial}.`}
              {job.out?.dateCode && ` Date code ${job.out.dateCode}.`}
            </p>
          ) : (
            <>
              <TextField
                label="What comes out"
                value={old}
                onChange={(e) => setOld(e.target.value)}
                wrong={at('/name')}
              />
              <TextField
                label="Goes over to the new one"
                placeholder="heat sink, bracket"
                value={carry}
                onChange={(e) => setCarry(e.target.value)}
                hint="Parted by commas. Each stays in the tray until it has moved."
              />
              <StillOn along={along} onAlong={setAlong} wrong={at('/along')} />
              <div className="grid grid-cols-[minmax(0,1.4fr)_minmax(0,1fr)] gap-3 items-start">
                <ScanField
                  label="Serial of the old one"
                  value={stamps.oldSerial}
                  onText={write('oldSerial')}
                />
                <TextField
                  label="Its date code"
                  placeholder="2319"
                  value={stamps.oldDate}
                  onChange={set('oldDate')}
                  hint={dated(stamps.oldDate) ?? 'year and week, or 05/23'}
                  wrong={at('/dateCode')}
                />
              </div>
              {elsewhere && <Wrong>{elsewhere}</Wrong>}
              <Foot>
                <Action type="submit" form="part-out" keyName="Enter">
                  It is out
                </Action>
              </Foot>
            </>
          )}
        </form>
        <Preparations when="before out" holding={false} />
      </div>
      <span className="pt-12 justify-self-center max-[760px]:hidden">
        <Arrow size={32} />
      </span>
      <div className="grid gap-4">
        <Preparations when="before in" holding />
        <form
          id="part-in"
          onSubmit={fit}
          noValidate
          className={`grid gap-3 p-4 border ${isOut ? 'border-bark border-2' : 'border-rule'}`}
        >
          <h3 className="sec">In</h3>
          <TextField
            label="What goes in"
            value={fresh}
            onChange={(e) => setFresh(e.target.value)}
            disabled={!isOut}
            wrong={isOut ? at('/name') : undefined}
          />
          <FromWhere part={fresh} disabled={!isOut} onFrom={setFrom} />
          <div className="grid grid-cols-[minmax(0,1.4fr)_minmax(0,1fr)] gap-3 items-start">
            <ScanField label="Serial" value={stamps.serial} onText={write('serial')} disabled={!isOut} />
            <TextField
              label="Date code"
              placeholder="2641"
              value={stamps.dateCode}
              onChange={set('dateCode')}
              disabled={!isOut}
              hint={dated(stamps.dateCode) ?? 'year and week, or 05/23'}
              wrong={isOut ? at('/dateCode') : undefined}
            />
          </div>
          {isOut && elsewhere && <Wrong>{elsewhere}</Wrong>}
          {isOut ? (
            <Foot>
              <Action type="submit" form="part-in" keyName="Enter">
                It is in
              </Action>
            </Foot>
          ) : (
            <p className="note">Opens once the old one is out.</p>
          )}
        </form>
        <Preparations when="before in" holding={false} />
      </div>
      {asked && (
        <p className="note col-span-full">
          Common practice, no source; those that hold are marked. The maker’s instructions come first.
        </p>
      )}
    </div>
  );
}
