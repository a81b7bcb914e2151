import { useState } from 'react';
import { parseMoney, plainMoney } from '../../core/money';
import { Refusal } from '../../core/refusal';
import type { Workshop } from '../../core/workshop';
import { Action, Second } from '../../ui/Action';
import { AreaField, TextField, Wrong } from '../../ui/Field';
import { FileButton } from '../../ui/FileButton';
import { Foot } from '../../ui/Foot';
import { SheetFrame } from '../sheet/SheetFrame';
import { SumHost } from '../sums/SumHost';
import { type Failure, send } from '../units/send';
import { sendBytes } from '../units/send-bytes';

const NO_KEYS = {};

/** What the workshop says of itself on its papers, and what it reckons with. */
export function WorkshopSheet({ workshop }: { workshop: Workshop }) {
  const [w, setW] = useState(workshop);
  const [rate, setRate] = useState(plainMoney(workshop.ratePerHour, workshop.currency));
  const [months, setMonths] = useState(String(workshop.warrantyMonths));
  const [wrong, setWrong] = useState<Failure | null>(null);
  const [said, setSaid] = useState('');
  const put = (more: Partial<Workshop>) => {
    setW({ ...w, ...more });
    setSaid('');
  };
  const at = (path: string) => (wrong?.path === path ? wrong.reason : undefined);
  const save = async (e: React.FormEvent) => {
    e.preventDefault();
    let next: Workshop;
    try {
      const { logo, ...rest } = w;
      next = {
        ...rest,
        ...(logo ? { logo } : {}),
        currency: w.currency.trim().toUpperCase(),
        ratePerHour: parseMoney(rate, w.currency.trim().toUpperCase()),
        warrantyMonths: Number(months.trim() || '0'),
      };
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      return setWrong({
        reason: error.message,
        path: error.path === '/currency' ? '/currency' : '/ratePerHour',
      });
    }
    const sent = await send<Workshop>('/api/workshop', next, 'PUT');
    setWrong(sent.ok ? null : sent.failure);
    if (!sent.ok) return;
    setW(sent.data);
    setSaid('Kept. It stands on every paper from now on.');
  };
  const logo = async ([chosen]: [File, ...File[]]) => {
    const sent = await sendBytes<{ file: string }>('/api/photos', chosen);
    if (sent.ok) put({ logo: sent.data.file });
    setWrong(sent.ok ? null : { ...sent.failure, path: '/logo' });
  };
  const elsewhere =
    wrong && !['/currency', '/ratePerHour', '/warrantyMonths', '/logo'].includes(wrong.path)
      ? wrong.reason
      : '';
  return (
    <SheetFrame
      tag="workshop"
      title="Workshop"
      about="what stands on its papers, and what it reckons with"
      label="Workshop"
      back={{ href: '/', words: 'bench' }}
      help={[]}
      keys={NO_KEYS}
    >
      <form id="workshop" onSubmit={save} noValidate className="pad grid gap-4 max-w-[720px]">
        <TextField
          label="Name of the workshop"
          value={w.name}
          onChange={(e) => put({ name: e.target.value })}
          autoComplete="organization"
        />
        <AreaField
          label="Address"
          hint="Line by line, as it stands on a paper"
          rows={4}
          value={w.address}
          onChange={(e) => put({ address: e.target.value })}
        />
        <div className="flex flex-wrap gap-4 items-center">
          {w.logo && (
            <img
              src={`/api/photos/${w.logo}?size=small`}
              alt="Mark of the workshop"
              className="h-[72px] border border-rule"
            />
          )}
          <FileButton label="Mark of the workshop" accept="image/*" onFiles={logo}>
            {w.logo ? 'Another mark' : 'A mark for the head'}
          </FileButton>
          {w.logo && (
            <Second
              small
              onClick={() => {
                const { logo: _, ...rest } = w;
                setW(rest);
              }}
            >
              Without a mark
            </Second>
          )}
          {at('/logo') && <Wrong>{at('/logo')}</Wrong>}
        </div>
        <div className="grid grid-cols-3 max-[760px]:grid-cols-1 gap-3">
          <TextField
            label="Currency"
            value={w.currency}
            onChange={(e) => put({ currency: e.target.value })}
            hint="three letters: EUR"
            wrong={at('/currency')}
            maxLength={3}
          />
          <TextField
            label="An hour at work"
            value={rate}
            onChange={(e) => {
              setRate(e.target.value);
              setSaid('');
            }}
            hint={`in ${w.currency || 'the currency'}, before tax`}
            inputMode="decimal"
            wrong={at('/ratePerHour')}
          />
          <TextField
            label="Own warranty"
            value={months}
            onChange={(e) => {
              setMonths(e.target.value);
              setSaid('');
            }}
            hint="months; 0 for none"
            inputMode="numeric"
            wrong={at('/warrantyMonths')}
          />
        </div>
        {elsewhere && <Wrong>{elsewhere}</Wrong>}
        <p role="status" className="note">
          {said}
        </p>
        <Foot>
          <Action type="submit" form="workshop" keyName="Enter">
            Keep it
          </Action>
        </Foot>
      </form>
      <SumHost />
    </SheetFrame>
  );
}
