import { firstLeadOf, leadsOf, leadsUnknown } from '../../core/hazard';
import { Choices } from '../../ui/Field';
import { useJob } from '../job/use-job';

const WORDS = {
  'battery first': 'battery before any other connector',
  'signal before power': 'signal lead before the power lead',
  'no rule': 'no rule',
} as const;
type Rule = keyof typeof WORDS;

/** Which lead is parted first: both schools, the default following the pack. */
export function FirstLeadRule() {
  const { job, record } = useJob();
  const usual = firstLeadOf(job.map);
  if (!usual && !job.firstLead) return null;
  const pack = job.map.hazards.find((h) => h.clear.unplugs);
  const rule: Rule = job.firstLead ?? usual ?? 'no rule';
  const signals = pack ? leadsOf(job.map, pack).signals : [];
  const unknown = leadsUnknown(job.map);
  return (
    <section className="pad grid gap-2 border-t border-rule-strong" aria-label="Which lead first">
      <h3 className="sec">Which lead first</h3>
      <Choices
        hideLabel
        label="Which lead first"
        name="first-lead"
        value={rule}
        onPick={(v) => record('lead-rule.chosen', { rule: v as Rule })}
        options={(Object.keys(WORDS) as Rule[]).map((value) => ({ value, words: WORDS[value] }))}
      />
      <p className="note">
        {pack?.clear.unplugs && `${pack.name}: power lead ${pack.clear.unplugs}`}
        {signals.length > 0 && `, signal ${signals.join(', ')}`}.{' '}
        {job.firstLead
          ? 'Chosen for this job.'
          : 'As this pack asks for; choose otherwise if you know better.'}{' '}
        A plug parted out of turn is held. On the way back it is the other way round.
      </p>
      {unknown.length > 0 && (
        <p className="text-ochre font-[600]">
          Which plugs are leads of {unknown.join(', ')} is not known: the order cannot be held for them. Name
          them at the gate.
        </p>
      )}
    </section>
  );
}
