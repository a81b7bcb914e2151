import { useState } from 'react';
import { chargeHolds } from '../../core/hazard';
import { Refusal } from '../../core/refusal';
import { formatReading, type Hazard, parseReading } from '../../core/unit';
import { Second } from '../../ui/Action';
import { Clock } from '../../ui/Clock';
import { TextField } from '../../ui/Field';
import { GateSign } from '../../ui/GateSign';
import { useChemistry } from '../batteries/use-chemistry';
import { useJob } from '../job/use-job';
import { openSum } from '../sums/open-sum';

/** How full the packs are: what heat and levers wait for. */
export function ChargeGate() {
  const { job } = useJob();
  const packs = job.map.hazards.filter((h) => h.charge);
  return packs.map((h) => <PackCharge key={h.id} hazard={h} />);
}

function PackCharge({ hazard: h }: { hazard: Hazard }) {
  const { job, record } = useJob();
  const [table] = useChemistry();
  const [volts, setVolts] = useState('');
  const [series, setSeries] = useState(String(h.charge?.series ?? 1));
  const [wrong, setWrong] = useState<string | null>(null);
  const held = chargeHolds([h], job.charges, job.out ? [job.out.element] : [])[0];
  const read = job.charges[h.id];
  const limit = h.charge;
  if (!limit) return null;
  const row = table.rows.find((r) => r.chemistry === limit.chemistry);
  const percent = /%\s*$/.test(volts.trim());
  const take = (e: React.FormEvent) => {
    e.preventDefault();
    try {
      const value = parseReading(volts.replace('%', ''));
      const refused = record('charge.read', {
        hazard: h.id,
        source: percent ? 'unit' : 'meter',
        ...(percent
          ? { percent: value }
          : {
              volts: value,
              ...(Number(series) !== limit.series ? { series: Number(series) } : {}),
              ...(row && table.version > 0 ? { row, chemistry: table.version } : {}),
            }),
      });
      setWrong(refused?.reason ?? null);
      if (!refused) setVolts('');
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      setWrong(error.message);
    }
  };
  return (
    <section className="gate" data-up={!held} aria-label={`Gate: charge of ${h.name}`}>
      <GateSign up={!held} />
      <div className="grid gap-2">
        <h3 className="text-[20px]">
          No heat, no lever{' '}
          <span className="font-text text-[15px] font-[400] tracking-normal">
            until {h.name} is under {limit.maxPercent}&nbsp;%
          </span>
        </h3>
        {read && (
          <p className={held ? 'text-ochre font-[600]' : ''}>
            About {read.percent.toFixed(0)}&nbsp;% full
            {read.volts !== undefined && `, ${formatReading(read.volts, 'V')} at rest`}, read{' '}
            <Clock at={read.at} />
            {held ? '. Discharge it first, then read again.' : '.'}
          </p>
        )}
        <form onSubmit={take} className="flex flex-wrap gap-3 items-end" noValidate>
          <TextField
            label="Volts at rest, or the % the unit says"
            hint={`${limit.chemistry}, after ${row?.restHours ?? 1} h with nothing drawn`}
            value={volts}
            onChange={(e) => {
              setVolts(e.target.value);
              setWrong(null);
            }}
            placeholder="7.2 or 20 %"
            autoComplete="off"
            className="w-[270px]"
            wrong={wrong ?? undefined}
          />
          <TextField
            label="Cells in series"
            inputMode="numeric"
            value={series}
            onChange={(e) => setSeries(e.target.value)}
            className="w-[120px]"
            autoComplete="off"
          />
          <span className="flex flex-wrap gap-2 pb-[21px]">
            <Second type="submit">{read ? 'Read again' : 'Read'}</Second>
            {held && read && (
              <Second
                onClick={() => openSum({ name: 'discharge-to', begin: dischargeFrom(read.percent, limit) })}
              >
                How long to discharge
              </Second>
            )}
          </span>
        </form>
        <p className="note">
          {row?.caution} A full cell that is bent, pierced or heated burns; an empty one mostly does not.
          Usual practice, no promise. The maker’s instructions and local rules come first.
        </p>
      </div>
    </section>
  );
}

const dischargeFrom = (percent: number, limit: NonNullable<Hazard['charge']>) => ({
  fromPercent: percent.toFixed(0),
  toPercent: String(limit.maxPercent),
});
