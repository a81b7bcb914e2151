import { useEffect, useState } from 'react';
import { modelOf } from '../../core/job';
import type { Donor } from '../../core/record';
import { amountOf, stockFor } from '../../core/stock';
import { SelectField } from '../../ui/Field';
import { useJob } from '../job/use-job';
import { useStock } from '../stores/use-stock';

/** Where a part was taken from, as it is recorded with it. */
export interface From {
  stock?: string;
  donor?: { job: string; tag: string };
}

/** Where the new part comes from: bought for this job, from the store, from a unit kept for its parts. */
export function FromWhere({
  part,
  disabled,
  onFrom,
}: {
  /** what goes in, in words */
  part: string;
  disabled: boolean;
  onFrom(from: From): void;
}) {
  const { job } = useJob();
  const { stock } = useStock();
  const donors = useDonors(job.id);
  const [chosen, setChosen] = useState<string | null>(null);
  const element = job.plan?.element ?? '';
  const wanted = { model: modelOf(job.map), element, part };
  const byId = new Map(stock.map((s) => [s.item.id, s]));
  const aside = stock.filter((s) => s.holding.reserved.some((r) => r.job === job.id));
  const fitting = stockFor(
    stock.map((s) => s.item),
    wanted,
  ).flatMap((f) => byId.get(f.item.id) ?? []);
  const offered = [...new Set([...aside, ...fitting])];
  // What was set aside for this job is what goes in, unless it is said otherwise.
  const value = chosen ?? (aside[0] ? `stock ${aside[0].item.id}` : '');
  useEffect(() => {
    const [kind, id] = value.split(' ');
    const donor = donors.find((d) => d.job === id);
    if (kind === 'stock' && id) onFrom({ stock: id });
    else if (kind === 'donor' && donor) onFrom({ donor: { job: donor.job, tag: donor.tag } });
    else onFrom({});
  }, [value, donors, onFrom]);
  if (offered.length === 0 && donors.length === 0) return null;
  const donor = donors.find((d) => `donor ${d.job}` === value);
  const held = byId.get(value.slice('stock '.length))?.holding;
  const own = held?.reserved.find((r) => r.job === job.id)?.count ?? 0;
  return (
    <SelectField
      label="It comes from"
      value={value}
      disabled={disabled}
      onChange={(e) => setChosen(e.target.value)}
      hint={
        donor?.faulty.includes(element)
          ? `${element} was at fault in ${donor.tag}: do not take it from there`
          : donor?.given.length
            ? `${donor.tag} gave already: ${donor.given.map((g) => `${g.name} to ${g.tag}`).join(', ')}`
            : held && held.free + own < 1
              ? 'The ledger has none free: it will be noted as found, and used'
              : undefined
      }
    >
      <option value="">bought for this job</option>
      {offered.map(({ item, holding }) => (
        <option key={item.id} value={`stock ${item.id}`}>
          {`${item.what}, ${item.place.kind} ${item.place.label}`.trim()} (
          {amountOf(holding.onHand, item.unit)}
          {holding.reserved.some((r) => r.job === job.id) ? ', set aside for this job' : ''})
        </option>
      ))}
      {donors.map((d) => (
        <option key={d.job} value={`donor ${d.job}`}>
          {d.tag}, {d.unit}, kept for its parts{d.same ? '' : ', another model'}
        </option>
      ))}
    </SelectField>
  );
}

function useDonors(job: string): Donor[] {
  const [donors, setDonors] = useState<Donor[]>([]);
  useEffect(() => {
    fetch(`/api/jobs/${job}/donors`)
      .then(async (res) => res.ok && setDonors((await res.json()) as Donor[]))
      // Without the server no donor is known here; the part can be recorded all the same.
      .catch(() => {});
  }, [job]);
  return donors;
}
