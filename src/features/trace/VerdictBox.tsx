import { formatReading, type Verdict } from '../../core/unit';
import { Arrow, TickBox } from '../../ui/Signs';

/** In range, or by how much not, as a word and a shape. */
export function VerdictBox({
  verdict,
  expect,
}: {
  verdict: Verdict;
  expect: { nominal: number; tolerance: number; unit: string };
}) {
  const { inRange, side, outBy } = verdict;
  return (
    <output
      className={`flex-1 grid grid-cols-[34px_1fr] items-center border-[1.5px] pl-2 leading-[1.15] min-h-[52px] ${inRange ? 'bg-moss-wash border-moss text-moss' : 'bg-ochre-wash border-ochre text-ochre'}`}
    >
      {inRange ? <TickBox size={22} /> : <Arrow turn={side === 'under' ? 90 : -90} size={22} />}
      <span>
        <b className="block text-[17px]">
          {inRange ? 'In range' : side === 'under' ? 'Too low' : 'Too high'}
        </b>
        <span className="text-[13.5px] text-bark">
          {inRange
            ? `wanted ${expect.nominal} ± ${expect.tolerance}\u00a0${expect.unit}`
            : `${formatReading(outBy, expect.unit)} ${side}`}
        </span>
      </span>
    </output>
  );
}
