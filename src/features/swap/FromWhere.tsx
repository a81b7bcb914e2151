import { useEffect, useState } from 'react';
import { modelOf } from '../../core/job';
import type { Donor } from '../../core/record';
import { amountOf, placeOf, stockFor } from '../../core/stock';
import { SelectField } from '../../ui/Field';
import { useJob } from '../job/use-job';
import { useFetched } from '../sheet/use-fetched';
import { useStock } from '../stores/use-stock';

/** Where a part was taken from, as it is recorded with it. */
export interface From {
  stock?: string;
  donor?: { job: string; tag: string };
}

const NO_DONORS: Donor[] = [];

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
  // Without the server no donor is known here; the part can be recorded all the same.
  const donors = useFetched<Donor[]>(`/api/jobs/${job.id}/donors`).data ?? NO_DONORS;
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
            : held && held.onHand < 1
              ? 'The ledger has none: it will be noted as found, and used'
              : held && held.free + own < 1
                ? `Set aside for ${held.reserved.map((r) => r.tag).join(', ')}: it will be missing there`
                : undefined
      }
    >
      <option value="">bought for this job</option>
      {offered.map(({ item, holding }) => (
        <option key={item.id} value={`stock ${item.id}`}>
          {item.what}, {placeOf(item)} ({amountOf(holding.onHand, item.unit)}
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
