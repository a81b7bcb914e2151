import { useState } from 'react';
import { plugsToMove } from '../../core/job';
import { Second } from '../../ui/Action';
import { Choices, TextField, Wrong } from '../../ui/Field';
import { Arrow, TickBox } from '../../ui/Signs';
import { useJob } from '../job/use-job';
import { usePlug } from '../job/use-plug';

const PROOFS = ['latch clicked', 'held a tug', 'both ends looked at'];

/** How the cables go over: all off first, or one across at a time with the old part beside the new. */
export function CableMode() {
  const { job, record } = useJob();
  const { mode, across } = job.swap;
  const left = plugsToMove(job);
  const kind = job.map.elements.find((e) => e.id === job.plan?.element)?.kind;
  const carriesPlugs = kind === 'board' || kind === 'supply' || left.length + across.length > 0;
  if (job.out || !carriesPlugs) return null;
  return (
    <section aria-label="Cables" className="grid gap-3 border-b border-rule-strong pb-4">
      <div className="lead">
        <h3 className="sec">Cables</h3>
        <span className="note">
          {mode === 'one across'
            ? 'old and new side by side; each plug goes to the same place'
            : 'unplugged in Open up, with their marks'}
        </span>
      </div>
      <Choices
        hideLabel
        label="How the cables go over"
        name="cables"
        value={mode}
        onPick={(v) => record('cables.chosen', { mode: v as typeof mode })}
        options={[
          { value: 'all off', words: 'all off, then all on' },
          { value: 'one across', words: 'one across at a time' },
        ]}
      />
      {mode === 'one across' && (
        <>
          {across.length > 0 && (
            <p className="flex flex-wrap gap-3">
              {across.map((p) => (
                <span key={p} className="flex gap-1 items-center">
                  <TickBox /> <b className="mono">{p}</b>
                </span>
              ))}
            </p>
          )}
          <NextAcross key={left[0] ?? across.length} plug={left[0]} more={left.length - 1} />
        </>
      )}
    </section>
  );
}

function NextAcross({ plug, more }: { plug: string | undefined; more: number }) {
  const { record } = useJob();
  const [name, setName] = useState(plug ?? '');
  const [wrong, setWrong] = useState<string | null>(null);
  const known = usePlug(name);
  const move = (how: string) => setWrong(record('plug.moved', { plug: name, how })?.reason ?? null);
  return (
    <div className="grid gap-3">
      <div className="flex flex-wrap gap-3 items-end">
        <TextField
          label={plug ? 'Next across' : 'A further plug'}
          value={name}
          onChange={(e) => {
            setName(e.target.value);
            setWrong(null);
          }}
          autoComplete="off"
          className="w-[160px]"
        />
        <span className="pb-3 flex gap-2 items-center">
          <Arrow size={22} />
          {known ? (
            <span>
              <b>{known.home}</b> on the new one{known.landmark && `, ${known.landmark}`}. {known.contacts} of{' '}
              {known.contacts} seated
              {known.mark && ', contact 1 to the dot'}
            </span>
          ) : (
            'the same place on the new one'
          )}
        </span>
      </div>
      {known?.worst && <p className="text-brick text-[14px] font-[600]">{known.worst}.</p>}
      <div className="flex flex-wrap gap-2 items-center">
        <span className="note">Across, and</span>
        {PROOFS.map((how) => (
          <Second key={how} small disabled={!name.trim()} onClick={() => move(how)}>
            {how}
          </Second>
        ))}
        {more > 0 && <span className="note">{more} to come</span>}
      </div>
      {wrong && <Wrong>{wrong}</Wrong>}
    </div>
  );
}
