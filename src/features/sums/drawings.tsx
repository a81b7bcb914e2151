import type { ReactNode } from 'react';
import { FERRULES, type SumAnswer, type Value, WIRE_COLOURS } from '../../core/sums';
import { worded } from './typed';

type Draw = (given: Record<string, Value>, answer: SumAnswer) => ReactNode;

/** Colours of bands and wires: they are what they are in both themes. */
const INK: Record<string, string> = {
  black: '#1d1a18',
  brown: '#6b4226',
  red: '#b3271e',
  orange: '#e07b1a',
  yellow: '#e8c72c',
  green: '#2f7d3b',
  blue: '#2b5fa8',
  violet: '#7a4a9e',
  grey: '#8c8a86',
  white: '#f6f3ea',
  gold: '#b8913a',
  silver: '#b9bcc0',
  pink: '#e39ab0',
  turquoise: '#3aa8a0',
};

function Bands({ bands }: { bands: string[] }) {
  return (
    <svg viewBox="0 0 260 70" width="260" height="70" role="img" aria-label={`Bands ${bands.join(', ')}`}>
      <path d="M0 35H40M220 35H260" stroke="var(--color-bark-3)" strokeWidth="4" />
      <rect
        x="40"
        y="14"
        width="180"
        height="42"
        rx="14"
        fill="#dfcfa8"
        stroke="var(--color-bark)"
        strokeWidth="1.5"
      />
      {bands.map((b, i) => (
        <rect
          // biome-ignore lint/suspicious/noArrayIndexKey: two bands may be alike
          key={i}
          x={bands.length === 1 ? 122 : 58 + i * (i === bands.length - 1 ? 148 / (bands.length - 1) : 24)}
          y="14"
          width="14"
          height="42"
          fill={INK[b] ?? 'none'}
          stroke="var(--color-bark)"
          strokeWidth=".7"
        />
      ))}
    </svg>
  );
}

/** Millimetres to drawing units. */
const SCALE = 9;

function Ferrule({ answer }: { answer: SumAnswer }) {
  const strip = Number(answer.stripMm) * SCALE;
  const sleeve = Number(answer.sleeveMm) * SCALE;
  const total = Number(answer.totalMm) * SCALE;
  const collar = total - sleeve;
  const colour = String(answer.colour);
  const known = FERRULES.some((f) => f.colour === colour);
  return (
    <svg
      viewBox={`0 0 ${collar + sleeve + 150} 96`}
      width="100%"
      style={{ maxWidth: collar + sleeve + 150 }}
      role="img"
      aria-label={`Strip ${answer.stripMm} mm, sleeve ${answer.sleeveMm} mm, ${colour} collar`}
    >
      <rect x="0" y="24" width="120" height="20" fill="var(--color-slate-fill)" stroke="var(--color-bark)" />
      <path
        d={[28, 33, 38].map((y) => `M120 ${y}H${120 + strip}`).join('')}
        stroke="#b5753a"
        strokeWidth="4"
      />
      <path
        d={`M112 16L${112 + collar} 26V42L112 52Z`}
        fill={known ? INK[colour] : 'none'}
        stroke="var(--color-bark)"
        strokeWidth="1.4"
        opacity=".85"
      />
      <rect
        x={112 + collar}
        y="26"
        width={sleeve}
        height="16"
        fill="none"
        stroke="var(--color-bark)"
        strokeWidth="1.6"
      />
      <path d={`M120 62V72M${120 + strip} 62V72M120 67H${120 + strip}`} stroke="var(--color-bark-2)" />
      <text x={120 + strip / 2} y="88" fontSize="14" textAnchor="middle">
        strip {String(answer.stripMm)} mm
      </text>
    </svg>
  );
}

function Divider({ given, answer }: { given: Record<string, Value>; answer: SumAnswer }) {
  return (
    <svg viewBox="0 0 260 180" width="260" height="180" role="img" aria-label="Divider of two resistors">
      <g fill="none" stroke="var(--color-bark)" strokeWidth="1.8">
        <path d="M60 14V34M60 84V104M60 154V170M46 170H74M60 94H140" />
        <rect x="50" y="34" width="20" height="50" />
        <rect x="50" y="104" width="20" height="50" />
      </g>
      <circle cx="60" cy="12" r="4" fill="var(--color-bark)" />
      <circle cx="140" cy="94" r="4" fill="var(--color-bark)" />
      <g fontSize="15">
        <text x="76" y="18">
          {worded(given.volts, 'V')}
        </text>
        <text x="80" y="64">
          {worded(given.r1, 'Ω')}
        </text>
        <text x="80" y="134">
          {worded(given.r2, 'Ω')}
        </text>
        <text x="150" y="99" fontWeight="700">
          {worded(answer.out, 'V')}
        </text>
      </g>
    </svg>
  );
}

function Plug({
  contacts,
  y,
  label,
  wrongAt,
}: {
  contacts: string[];
  y: number;
  label: string;
  wrongAt: number;
}) {
  return (
    <g transform={`translate(60 ${y})`}>
      <text x="-8" y="22" fontSize="14" textAnchor="end">
        {label}
      </text>
      <rect
        x="0"
        y="0"
        width={contacts.length * 36 + 8}
        height="34"
        fill="var(--color-inset)"
        stroke="var(--color-bark)"
        strokeWidth="1.5"
      />
      <path d="M0 0V10L10 0Z" fill="var(--color-bark)" />
      {contacts.map((c, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: contacts are known by their place
        <g key={i} transform={`translate(${8 + i * 36} 5)`}>
          <rect
            width="28"
            height="24"
            fill={i === wrongAt ? 'var(--color-brick-wash)' : 'var(--color-paper)'}
            stroke={i === wrongAt ? 'var(--color-brick)' : 'var(--color-bark-3)'}
            strokeWidth={i === wrongAt ? 2.5 : 1}
          />
          <text x="14" y="18" fontSize="17" fontWeight="700" textAnchor="middle">
            {c === '-' ? '−' : c}
          </text>
        </g>
      ))}
    </g>
  );
}

const words = (v: Value | undefined) => (Array.isArray(v) ? v.map(String) : []);

/** Small drawings, where one says more than the figure. */
const DRAWINGS: Record<string, Draw> = {
  'resistor-read': (given) => <Bands bands={words(given.bands).map((b) => b.toLowerCase())} />,
  'resistor-bands': (_g, answer) => <Bands bands={words(answer.bands)} />,
  ferrule: (_g, answer) => <Ferrule answer={answer} />,
  'ferrule-twin': (_g, answer) => <Ferrule answer={answer} />,
  'ferrule-awg': (_g, answer) => <Ferrule answer={answer} />,
  divider: (given, answer) => <Divider given={given} answer={answer} />,
  'fit-polarity': (given) => {
    const old = words(given.oldContacts).map((c) => c.replace('−', '-'));
    const fresh = words(given.newContacts).map((c) => c.replace('−', '-'));
    const apart = old.findIndex((x, i) => fresh[i] !== x);
    return (
      <svg
        viewBox={`0 0 ${80 + Math.max(old.length, fresh.length) * 36} 90`}
        width={80 + Math.max(old.length, fresh.length) * 36}
        height="90"
        role="img"
        aria-label="Contacts of both plugs"
      >
        <Plug contacts={old} y={4} label="old" wrongAt={-1} />
        <Plug contacts={fresh} y={50} label="new" wrongAt={apart} />
      </svg>
    );
  },
  'colour-code': (_g, answer) => {
    const found = WIRE_COLOURS.find((c) => c.colour === answer.colour);
    if (!found) return null;
    const both = found.letters === 'GNYE';
    return (
      <svg viewBox="0 0 260 24" width="260" height="24" role="img" aria-label={`A ${found.colour} wire`}>
        <rect
          x="1"
          y="4"
          width="258"
          height="16"
          fill={both ? INK.green : (INK[found.colour] ?? 'none')}
          stroke="var(--color-bark-3)"
        />
        {both && <rect x="1" y="10" width="258" height="5" fill={INK.yellow} />}
      </svg>
    );
  },
};

/** The drawing of a sum with its figures, or null. */
export const drawingOf = (name: string, given: Record<string, Value>, answer: SumAnswer): ReactNode =>
  DRAWINGS[name]?.(given, answer) ?? null;
