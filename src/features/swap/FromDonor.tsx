import { useEffect, useState } from 'react';
import type { Donor } from '../../core/record';
import { SelectField } from '../../ui/Field';
import { useJob } from '../job/use-job';

/** Where the new part comes from, where units are kept for their parts. */
export function FromDonor({
  donor,
  disabled,
  onDonor,
}: {
  donor: Donor | null;
  disabled: boolean;
  onDonor(d: Donor | null): void;
}) {
  const { job } = useJob();
  const [donors, setDonors] = useState<Donor[]>([]);
  const element = job.plan?.element ?? '';
  useEffect(() => {
    fetch(`/api/jobs/${job.id}/donors`)
      .then(async (res) => res.ok && setDonors((await res.json()) as Donor[]))
      // Without the server no donor is known here; the part can be recorded all the same.
      .catch(() => {});
  }, [job.id]);
  if (donors.length === 0) return null;
  return (
    <SelectField
      label="It comes"
      value={donor?.job ?? ''}
      disabled={disabled}
      onChange={(e) => onDonor(donors.find((d) => d.job === e.target.value) ?? null)}
      hint={
        donor?.faulty.includes(element)
          ? `${element} was at fault in ${donor.tag}: do not take it from there`
          : donor?.given.length
            ? `${donor.tag} gave already: ${donor.given.map((g) => `${g.name} to ${g.tag}`).join(', ')}`
            : undefined
      }
    >
      <option value="">new, or from stock</option>
      {donors.map((d) => (
        <option key={d.job} value={d.job}>
          from {d.tag}, {d.unit}
          {d.same ? '' : ', another model'}
        </option>
      ))}
    </SelectField>
  );
}
