import { type BatterySheet, layoutWords, packOf, spreadOfCells } from '../../core/fit';

const W = 26;
const H = 44;
const GAP = 14;
/** Cells beyond this are not drawn one by one. */
const MOST = 12;

/** A pack as it is put together: side by side on one rail, in series from rail to rail, each cell with its own voltage. */
export function PackDrawing({ sheet, fitted }: { sheet: BatterySheet; fitted: boolean }) {
  const { series: s, parallel: p, cellVolts } = sheet;
  if (s === undefined && p === undefined && !cellVolts?.length) return null;
  const series = s ?? cellVolts?.length ?? 1;
  const parallel = p ?? 1;
  const layout = {
    series,
    parallel,
    ...(sheet.eachVolts === undefined ? {} : { eachVolts: sheet.eachVolts }),
    ...(sheet.eachAmpHours === undefined ? {} : { eachAmpHours: sheet.eachAmpHours }),
  };
  const whole = packOf(layout);
  const spread = spreadOfCells(cellVolts);
  const sum = [
    whole.volts === undefined ? '' : `${Number(whole.volts.toPrecision(4))}\u00a0V`,
    whole.ampHours === undefined ? '' : `${Number(whole.ampHours.toPrecision(4))}\u00a0Ah`,
    whole.wattHours === undefined ? '' : `${Number(whole.wattHours.toPrecision(4))}\u00a0Wh`,
  ].filter(Boolean);
  const words = `${fitted ? 'as fitted' : 'as found'}: ${layoutWords(layout)}${sum.length ? `, together ${sum.join(', ')}` : ''}`;
  const whole_ = Number.isInteger(series) && Number.isInteger(parallel);
  if (!whole_ || series > MOST || parallel > MOST) return <p className="text-[14px]">{words}</p>;
  const column = W + GAP;
  const width = series * column + 30;
  const height = parallel * (H + 8) + 8;
  return (
    <figure className="m-0 grid gap-1">
      <svg
        viewBox={`0 0 ${width} ${height + 4}`}
        width={Math.min(width * 1.1, 320)}
        role="img"
        aria-label={words}
        style={{ maxWidth: '100%' }}
      >
        <g stroke="var(--color-bark)" strokeWidth="1.6" fill="none">
          {Array.from({ length: series + 1 }, (_, i) => {
            const x = 15 + i * column - GAP / 2;
            return (
              // biome-ignore lint/suspicious/noArrayIndexKey: rails are known by their place
              <path key={i} d={`M${x} ${8 + H / 2}V${height - 8 - H / 2}`} />
            );
          })}
          {Array.from({ length: series * parallel }, (_, k) => {
            const [i, j] = [Math.floor(k / parallel), k % parallel];
            const x = 15 + i * column;
            const y = 6 + j * (H + 8);
            const low = spread && spread.spreadV > 0.05 && spread.lowest === i + 1;
            const volts = parallel === 1 ? cellVolts?.[i] : undefined;
            return (
              // biome-ignore lint/suspicious/noArrayIndexKey: cells are known by their place
              <g key={k}>
                <path d={`M${x - GAP / 2} ${y + H / 2}H${x}M${x + W} ${y + H / 2}h${GAP / 2}`} />
                <rect
                  x={x}
                  y={y}
                  width={W}
                  height={H}
                  fill={low ? 'var(--color-ochre-wash)' : 'var(--color-slate-wash)'}
                  strokeWidth={low ? 2.6 : 1.6}
                />
                <text x={x + 3} y={y + 14} fontSize="13" stroke="none" fill="var(--color-bark)">
                  −
                </text>
                <text x={x + W - 11} y={y + 14} fontSize="13" stroke="none" fill="var(--color-bark)">
                  +
                </text>
                {volts !== undefined && (
                  <text
                    x={x + W / 2}
                    y={y + H - 8}
                    fontSize="13"
                    textAnchor="middle"
                    stroke="none"
                    fill="var(--color-bark)"
                  >
                    {volts.toFixed(1)}
                  </text>
                )}
              </g>
            );
          })}
        </g>
      </svg>
      <figcaption className="text-[14px]">{words}</figcaption>
    </figure>
  );
}
