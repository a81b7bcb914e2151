import { useState } from 'react';
import { fixesOf, plansOf } from '../../core/job';
import { Action, Second } from '../../ui/Action';
import { Choices, TextField, Wrong } from '../../ui/Field';
import { Foot } from '../../ui/Foot';
import { TickBox } from '../../ui/Signs';
import { Faces } from '../faces/Faces';
import type { Refused } from '../job/store';
import { useJob } from '../job/use-job';
import { Photos } from '../photos/Photos';
import { CableMode } from './CableMode';
import { OutIn } from './OutIn';
import { PackCaution } from './PackCaution';

/** The part out, the part in; or the gentler remedy, done. */
export function Swap() {
  const { job, go } = useJob();
  const { plan } = job;
  if (!plan || plan.kind === 'refer') {
    return (
      <div className="empty">
        <h2>{plan ? 'This job is referred' : 'No remedy is planned yet'}</h2>
        <p>
          {plan
            ? 'Nothing is mended here. Hand over says to whom it goes.'
            : 'Plan says what is reseated, cleaned or replaced.'}
        </p>
        <Foot>
          <Action onClick={() => go(plan ? 'hand over' : 'plan')}>{plan ? 'Hand over' : 'Plan'}</Action>
        </Foot>
      </div>
    );
  }
  const element = job.map.elements.find((e) => e.id === plan.element);
  return (
    <div className="cols">
      <section className="pad grid gap-5 content-start">
        <div className="lead">
          <h2 className="headline">{plan.name}</h2>
          <span className="note">{plan.why}</span>
        </div>
        <InOneOpening />
        {job.fix ? (
          <div className="grid gap-3 justify-items-start">
            {fixesOf(job).map((f) => (
              <p key={f.at} className="flex gap-2 items-center text-[18px]">
                <TickBox size={20} /> Done: {f.name}
                {f.serial && `, serial ${f.serial}`}
                {f.dateCode && `, date code ${f.dateCode}`}
              </p>
            ))}
            {job.fix.across && <p className="note">Across one at a time: {job.fix.across.join(', ')}</p>}
            <Foot>
              <Action keyName="7" onClick={() => go('close up')}>
                Close up
              </Action>
            </Foot>
          </div>
        ) : plan.remedyKind === 'replace' ? (
          <>
            <PackCaution />
            <CableMode />
            <OutIn
              key={plan.at}
              name={`${element?.name ?? ''} ${element?.id ?? ''}`.trim()}
              part={plan.parts[0] ?? ''}
            />
          </>
        ) : (
          <Gentle key={plan.at} />
        )}
      </section>
      <section className="pad grid gap-4 content-start">
        {(job.map.faces?.length ?? 0) > 0 && <Faces title="Where it sits" most={{ w: 308, h: 300 }} />}
        <Photos
          title="Pictures"
          hint={
            job.fix || job.out
              ? 'As it sits now, before it is covered.'
              : 'As it sits and how its leads run, before it comes out.'
          }
        />
      </section>
    </div>
  );
}

/** Where this remedy stands among those of the same opening. */
function InOneOpening() {
  const { job } = useJob();
  const done = job.fix ? [] : fixesOf(job);
  const waiting = job.fix ? [] : plansOf(job).slice(1);
  if (done.length + waiting.length === 0) return null;
  return (
    <ul className="rows" aria-label="In this opening">
      {done.map((f) => (
        <li key={f.at} className="flex gap-2 items-center text-moss">
          <TickBox /> {f.element} done: {f.name}
        </li>
      ))}
      {waiting.map((p) => (
        <li key={p.at} className="note">
          Then, in the same opening: {p.name}
        </li>
      ))}
    </ul>
  );
}

function Gentle() {
  const { job, record, go } = useJob();
  const [note, setNote] = useState('');
  const cleans = job.plan?.remedyKind === 'clean';
  const [wet, setWet] = useState(true);
  const [wrong, setWrong] = useState<Refused | null>(null);
  const done = (e: React.FormEvent) => {
    e.preventDefault();
    const refused = record('remedy.done', {
      ...(note.trim() ? { note: note.trim() } : {}),
      ...(cleans && wet ? { solvent: true } : {}),
    });
    setWrong(refused);
    if (!refused && job.also.length === 0) go('close up');
  };
  return (
    <form id="gentle" onSubmit={done} className="grid gap-3 max-w-[560px]">
      <p>
        {job.plan?.remedyKind === 'reseat' &&
          'Part both ends, look at the contacts, press them home until the latch clicks. A plug that you part goes on the line in Open up, so that it is proven at the close.'}
        {cleans &&
          'Power out first. Alcohol and a lint-free swab on the contacts, let it dry. Never where it can run under a display.'}
        {job.plan?.remedyKind === 'set' &&
          'Note what it was, then set it. The old value belongs in the report.'}
      </p>
      <TextField
        label="What was seen"
        placeholder="contact 7 dull, latch half open"
        value={note}
        onChange={(e) => setNote(e.target.value)}
      />
      {cleans && (
        <Choices
          many
          hideLabel
          label="What was used"
          name="wet"
          value={wet ? ['wet'] : []}
          onPick={() => setWet(!wet)}
          options={[{ value: 'wet', words: 'With solvent: no power until it is said dry' }]}
        />
      )}
      {wrong && <Wrong>{wrong.reason}</Wrong>}
      <Foot>
        <Action type="submit" form="gentle" keyName="Enter">
          Done
        </Action>
        <Second onClick={() => go('open up')}>Record a plug first</Second>
      </Foot>
    </form>
  );
}
