import { useMemo } from 'react';
import type { ReadingQuestion } from '../../../core/practice';
import { Second } from '../../../ui/Action';
import { Foot } from '../../../ui/Foot';
import { useKeys } from '../../../ui/Keys';
import type { SheetProps } from './sheet';

const KEYS = ['a', 's', 'd', 'f'];
/** Band colours as they are painted; they stand for themselves, by day and by night. */
const PAINT: Record<string, string> = {
  black: '#1b1b1b',
  brown: '#6b3e1d',
  red: '#b8261c',
  orange: '#dd7a1c',
  yellow: '#e2c41f',
  green: '#3c7d39',
  blue: '#2c55a0',
  violet: '#6f3d92',
  grey: '#8a8a88',
  white: '#f7f5ef',
  gold: '#b08d3c',
  silver: '#b9bcc0',
  pink: '#dd9fae',
};

/** Bands in their places: the tolerance stands apart. */
const placedBands = (colours: string[]) =>
  colours.map((colour, i) => {
    const last = i === colours.length - 1;
    return { place: `band ${i + 1}`, colour, x: last ? 252 : 96 + i * 44, outer: i === 0 || last };
  });

/** A resistor as it lies on the bench. */
function Bands({ colours }: { colours: string[] }) {
  return (
    <svg
      viewBox="0 0 360 96"
      className="w-full max-w-[640px]"
      role="img"
      aria-label={`A resistor: ${colours.join(', ')}`}
    >
      <path d="M0 48H70M290 48H360" stroke="var(--color-steel)" strokeWidth="5" />
      <path
        d="M70 30q8-10 24-10h22q6 8 12 8h104q6 0 12-8h22q16 0 24 10v36q-8 10-24 10h-22q-6-8-12-8H128q-6 0-12 8H94q-16 0-24-10Z"
        fill="#d9c49a"
        stroke="var(--color-bark)"
        strokeWidth="1.5"
      />
      {placedBands(colours).map(({ place, colour, x, outer }) => (
        <rect
          key={place}
          x={x}
          y={outer ? 21 : 29}
          width="17"
          height={outer ? 54 : 38}
          fill={PAINT[colour]}
          stroke="#271c14"
          strokeWidth=".8"
        />
      ))}
    </svg>
  );
}

/** One glance, one answer. */
export function QuickSheet({
  question,
  answer,
  onDone,
  over,
}: SheetProps<ReadingQuestion, { value: string }>) {
  const { options } = question;
  const keys = useMemo(
    () =>
      over ? {} : Object.fromEntries(options.map((value, i) => [KEYS[i] ?? '', () => onDone({ value })])),
    [options, over, onDone],
  );
  useKeys(keys);
  return (
    <div className="pad grid gap-5 content-start justify-items-start pt-8!">
      <p className="note">{question.kind}</p>
      {question.bands ? (
        <Bands colours={question.bands} />
      ) : (
        <p className="big text-[44px] leading-[1.1]!">{question.seen}</p>
      )}
      <h2 className="headline">{question.asks}</h2>
      {over ? (
        <p>
          You said <b>{answer?.value}</b>
        </p>
      ) : (
        <Foot>
          {options.map((value, i) => (
            <Second
              key={value}
              keyName={KEYS[i]?.toUpperCase() ?? ''}
              className="min-h-[56px]! text-[18px] flex-1 min-w-[130px]"
              onClick={() => onDone({ value })}
            >
              {value}
            </Second>
          ))}
        </Foot>
      )}
    </div>
  );
}
