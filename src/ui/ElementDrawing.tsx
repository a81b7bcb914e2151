interface Size {
  w: number;
  h: number;
}

const board = ({ w, h }: Size) => (
  <>
    <g fill="none" stroke="var(--color-pcb-line)" strokeWidth="1.1">
      <rect x={w * 0.36} y={10} width={26} height={13} />
      <path d={`M${w * 0.36 + 4} 10v-4m6 4v-4m6 4v-4m6 4v-4M${w * 0.36 + 4} 23v4m6-4v4m6-4v4m6-4v4`} />
      <circle cx={w * 0.8} cy={18} r={7} />
      {h > 100 && (
        <>
          <circle cx={w * 0.22} cy={40} r={6} />
          <circle cx={w * 0.36} cy={40} r={6} />
          <path d={`M${w * 0.58} 38h9m4 0h9m4 0h9`} />
        </>
      )}
    </g>
    {[7, w - 7].flatMap((cx) =>
      [7, h - 7].map((cy) => (
        <circle
          key={`${cx} ${cy}`}
          cx={cx}
          cy={cy}
          r="3"
          fill="var(--color-paper)"
          stroke="var(--color-bark)"
        />
      )),
    )}
  </>
);

const cable = ({ w, h }: Size) => {
  const cores = 9;
  const at = Array.from({ length: cores }, (_, i) => 7 + (i * (w - 14)) / (cores - 1));
  return (
    <>
      <g stroke="var(--color-bark-3)" fill="none">
        {at.map((x) => (
          <path
            key={x}
            d={`M${x} 10V${h - 10}`}
            stroke={x === 7 ? '#B23A22' : undefined}
            strokeWidth={x === 7 ? 2.4 : 1}
          />
        ))}
      </g>
      {[0, h - 11].map((y) => (
        <rect
          key={y}
          y={y}
          width={w}
          height="11"
          fill="var(--color-shade)"
          stroke="var(--color-bark)"
          strokeWidth="1.250"
        />
      ))}
    </>
  );
};

const connector = ({ w }: Size) => (
  <>
    <g fill="none" stroke="var(--color-bark)" strokeWidth="1.2">
      <circle cx={w / 2} cy="30" r="20" />
      <circle cx={w / 2} cy="30" r="14.500" />
    </g>
    {[
      [-7, 4],
      [7, 4],
      [0, -7],
    ].map(([x = 0, y = 0]) => (
      <circle key={`${x} ${y}`} cx={w / 2 + x} cy={30 + y} r="2.4" fill="var(--color-bark)" />
    ))}
  </>
);

const supply = ({ w }: Size) => (
  <g fill="none" stroke="var(--color-pcb-line)" strokeWidth="1.2">
    <rect x={w * 0.12} y="10" width="30" height="26" />
    <path d={`M${w * 0.12 + 5} 10v26m6-26v26m6-26v26m6-26v26`} />
    <circle cx={w * 0.62} cy="18" r="8" />
    <circle cx={w * 0.82} cy="18" r="8" />
  </g>
);

const battery = ({ w }: Size) => (
  <g fill="none" stroke="var(--color-bark)" strokeWidth="1.2">
    <path
      d={`M10 12H${w - 14}V36H10ZM${w - 14} 19h4v10h-4M${10 + (w - 24) / 3} 12V36M${10 + ((w - 24) * 2) / 3} 12V36`}
    />
  </g>
);

const motor = ({ w }: Size) => (
  <g fill="none" stroke="var(--color-bark)" strokeWidth="1.2">
    <circle cx={w / 2} cy="28" r="19" />
    <circle cx={w / 2} cy="28" r="4" fill="var(--color-bark)" />
    <path d={`M${w / 2} 9v6M${w / 2} 41v6M${w / 2 - 19} 28h6M${w / 2 + 13} 28h6`} />
  </g>
);

const lamp = ({ w }: Size) => (
  <g fill="none" stroke="var(--color-bark)" strokeWidth="1.2">
    <circle cx={w / 2} cy="24" r="14" />
    <path d={`M${w / 2 - 10} 14l20 20m0-20l-20 20M${w / 2 - 6} 40h12v6h-12z`} />
  </g>
);

const sensor = ({ w }: Size) => (
  <g fill="none" stroke="var(--color-bark)" strokeWidth="1.2">
    <path d={`M${w / 2 - 18} 12h10v26h-10zM${w / 2 + 8} 12h10v26h-10z`} />
    <path d={`M${w / 2 - 6} 25h12`} strokeDasharray="2 2" />
  </g>
);

const setting = ({ w }: Size) => (
  <g fill="none" stroke="var(--color-bark)" strokeWidth="1.2">
    <path d={`M${w / 2 - 16} 30h8l14-12M${w / 2 + 8} 30h8`} />
    <circle cx={w / 2 - 8} cy="30" r="2.500" />
    <circle cx={w / 2 + 8} cy="30" r="2.500" />
  </g>
);

const DRAWINGS: Record<string, { fill: string; draw(size: Size): React.ReactNode }> = {
  board: { fill: 'var(--color-pcb)', draw: board },
  cable: { fill: 'var(--color-paper)', draw: cable },
  connector: { fill: 'var(--color-shade)', draw: connector },
  supply: { fill: 'var(--color-pcb)', draw: supply },
  battery: { fill: 'var(--color-slate-wash)', draw: battery },
  motor: { fill: 'var(--color-shade)', draw: motor },
  lamp: { fill: 'var(--color-shade)', draw: lamp },
  sensor: { fill: 'var(--color-shade)', draw: sensor },
  setting: { fill: 'var(--color-shade)', draw: setting },
};

/** Ground colour of a kind of element, so that a number over it can take an outline of the same. */
export const groundOf = (kind: string): string => DRAWINGS[kind]?.fill ?? 'var(--color-shade)';

/** An element as a flat drawing of its kind. */
export const ElementDrawing = ({ kind, w, h }: Size & { kind: string }) => (
  <>
    <rect width={w} height={h} fill={groundOf(kind)} />
    {DRAWINGS[kind]?.draw({ w, h })}
  </>
);
