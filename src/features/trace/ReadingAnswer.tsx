import { useEffect, useId, useRef, useState } from 'react';
import { Refusal } from '../../core/refusal';
import { formatReading, judgeReading, type ReadAs, readAs, spreadOf, type Tap } from '../../core/unit';
import { Action, Second } from '../../ui/Action';
import { Wrong } from '../../ui/Field';
import { Foot } from '../../ui/Foot';
import { RangeStrip } from '../../ui/RangeStrip';
import { openSum } from '../sums/open-sum';
import type { AnswerProps } from './answer';
import { FromLog } from './FromLog';
import { FromMeter } from './FromMeter';
import { VerdictBox } from './VerdictBox';

function read(text: string, unit: string): Partial<ReadAs> & { wrong?: string } {
  try {
    return readAs(text, unit);
  } catch (error) {
    return { wrong: error instanceof Refusal ? error.message : String(error) };
  }
}

/** The bench sum that belongs to a point: levels of sound, or of a serial line. */
const sumFor = (tap: Tap): string | null =>
  /serial|uart|rs-?232|rs-?485|txd?\b|rxd?\b/i.test(`${tap.name} ${tap.note ?? ''}`)
    ? 'serial-level'
    : tap.ac && ['V', 'mV', 'dBu', 'dBV'].includes(tap.expect?.unit ?? '')
      ? 'audio-level'
      : null;

const sumFields = (tap: Tap, typed: string): Record<string, string> => {
  const unit = tap.expect?.unit ?? '';
  const value = typed.trim() || `${tap.expect?.nominal ?? ''}`;
  if (sumFor(tap) === 'serial-level') return { idleVolts: value, activeVolts: '' };
  return unit === 'dBu' || unit === 'dBV' ? { volts: '', [unit]: value } : { volts: `${value} ${unit}` };
};

type Props = AnswerProps & { tap: Tap; expect: NonNullable<Tap['expect']> };

/** A reading against what is expected: typed, taken from the meter, or picked from a log; once or several times. */
export function ReadingAnswer({ check, tap, expect, onAnswer, onTyped }: Props) {
  const { unit, nominal, tolerance, low, high } = expect;
  const [text, setText] = useState('');
  const [takes, setTakes] = useState<number[]>([]);
  const [wrong, setWrong] = useState<string | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const form = useId();
  const typed = text.trim() ? read(text, unit) : {};
  const all = typed.value === undefined ? takes : [...takes, typed.value];
  const summed = all.length ? spreadOf(all) : null;
  const value = summed?.mean;
  const verdict = value === undefined ? null : judgeReading(value, expect);
  const beyond = value !== undefined && (value < low || value > high);

  useEffect(() => {
    onTyped?.(value === undefined ? null : { check: check.id, reading: value });
  }, [value, check.id, onTyped]);

  const put = (t: string) => {
    setText(t);
    setWrong(null);
  };
  const again = () => {
    if (typed.value === undefined) setWrong(read(text, unit).wrong ?? null);
    else {
      setTakes([...takes, typed.value]);
      put('');
    }
    input.current?.focus();
  };
  const submit = (e: React.FormEvent) => {
    e.preventDefault();
    if (text.trim() && typed.value === undefined) setWrong(typed.wrong ?? null);
    else if (value === undefined) setWrong(read('', unit).wrong ?? null);
    else
      setWrong(
        onAnswer({
          check: check.id,
          reading: value,
          ...(all.length > 1 ? { takes: all } : {}),
          source: 'meter',
        }),
      );
    input.current?.focus();
  };

  return (
    <form id={form} onSubmit={submit} className="grid gap-2" noValidate>
      <Foot>
        <label className="flex items-center gap-3">
          <b className="text-[18px] max-w-[220px] leading-[1.15]">{check.title}</b>
          <span className="sr-only">Reading in {unit}</span>
          <span className="flex items-center border-2 border-bark h-[52px] w-[200px] flex-none px-[10px]">
            <input
              ref={input}
              form={form}
              data-next={text.trim() ? undefined : 'ask'}
              data-key="reading"
              className="w-full min-w-0 font-mono text-[28px] font-[600] bg-transparent outline-none"
              value={text}
              onChange={(e) => put(e.target.value)}
              inputMode="text"
              autoComplete="off"
              aria-invalid={wrong ? true : undefined}
            />
            <span className="mono text-bark-2 pl-2">{unit}</span>
          </span>
        </label>
        <Action type="submit" form={form} keyName="Enter">
          {all.length > 1 ? 'Record the mean' : 'Record'}
        </Action>
      </Foot>
      {verdict ? (
        <VerdictBox verdict={verdict} expect={expect} />
      ) : (
        <span className="note">Type it as the meter shows it: 0.775, 775m, 4k7.</span>
      )}
      <RangeStrip {...expect} value={value} />
      <p>
        Expected{' '}
        <b>
          {nominal}&nbsp;{unit} ± {tolerance}&nbsp;{unit}
        </b>
        , so {formatReading(nominal - tolerance, '')} to {formatReading(nominal + tolerance, unit)}
        {tap.ac && ', alternating, r.m.s.'}
      </p>
      {typed.from && typed.value !== undefined && (
        <p className="text-[14px]">
          {typed.from} is <b>{formatReading(typed.value, unit)}</b>
        </p>
      )}
      {summed && summed.spread !== null && (
        <p className="text-[14px]">
          Mean of {summed.count}: <b>{formatReading(summed.mean, unit)}</b>, spread{' '}
          {formatReading(Number(summed.spread.toPrecision(2)), unit)}
          {takes.length > 0 && (
            <Second small className="ml-2" onClick={() => setTakes(takes.slice(0, -1))}>
              Drop {formatReading(takes.at(-1) as number, unit)}
            </Second>
          )}
        </p>
      )}
      {beyond && (
        <p className="text-[14px] text-ochre font-[600]">
          This point reads {formatReading(low, '')} to {formatReading(high, unit)} at most: look at the range
          and the unit of the meter before you record it.
        </p>
      )}
      {wrong && <Wrong>{wrong}</Wrong>}
      <div className="flex flex-wrap gap-2 items-center">
        <Second small onClick={again}>
          Take again
        </Second>
        <FromMeter
          tap={tap}
          unit={unit}
          onReading={(x) => {
            put(String(x));
            input.current?.focus();
          }}
          onWrong={setWrong}
        />
        {sumFor(tap) && (
          <Second small onClick={() => openSum({ name: sumFor(tap) as string, begin: sumFields(tap, text) })}>
            {sumFor(tap) === 'audio-level' ? 'As a level' : 'Which serial level'}
          </Second>
        )}
        <FromLog
          expect={expect}
          onReading={(x) => {
            put(String(Number(x.toPrecision(6))));
            input.current?.focus();
          }}
        />
      </div>
    </form>
  );
}
