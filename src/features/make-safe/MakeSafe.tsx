import { liveLines } from '../../core/hazard';
import { coversNeeded, gatesAhead, openAccess, partiesLeft, stillFed, waitsUnder } from '../../core/job';
import { Action, Second } from '../../ui/Action';
import { Foot } from '../../ui/Foot';
import { Faces } from '../faces/Faces';
import { useJob } from '../job/use-job';
import { Parties } from '../prove/Parties';
import { ChargeGate } from './ChargeGate';
import { FirstLeadRule } from './FirstLeadRule';
import { GatePanel } from './GatePanel';
import { MovesExpose } from './MovesExpose';
import { PowerDown } from './PowerDown';

/** The gates of this unit: what is live, the act that ends it, the reading that proves it. */
export function MakeSafe() {
  const { job, record, go } = useJob();
  const open = openAccess(job);
  const ahead = gatesAhead(job);
  const lines = liveLines(job.map.hazards, job.hazards, open);
  const order = job.map.hazards
    .map((h) => lines.find((l) => l.hazard.id === h.id))
    .filter((l) => l !== undefined);
  const [waiting] = job.map.hazards.flatMap((h) => {
    const under = waitsUnder(job, h)?.name;
    return under ? [{ hazard: h.name, under }] : [];
  });
  const needed = coversNeeded(job);
  const fed = stillFed(job);
  const asked = (job.map.parties?.length ?? 0) > 0;
  // Whoever holds the opening comes before its gates; the others may wait below them.
  const whoFirst = partiesLeft(job).some((p) => (p.before ?? 'opening') === 'opening');
  const next = job.fix ? 'close up' : job.out ? 'swap' : 'open up';
  return (
    <div className="cols">
      <section className="min-w-0">
        <div className="pad lead">
          <h2 className="headline">
            {ahead.length
              ? `${ahead.length} ${ahead.length === 1 ? 'gate holds' : 'gates hold'} the way in`
              : job.map.hazards.length
                ? waiting
                  ? `No gate holds the ${waiting.under}; ${waiting.hazard} waits under it`
                  : 'No gate holds the way in'
                : fed.length
                  ? 'Its battery goes on feeding it'
                  : 'Nothing is known to be live in it'}
          </h2>
          <span className="note">power {job.power === 'unknown' ? 'not known' : job.power}</span>
        </div>
        {order.length === 0 && (
          <div className="empty">
            <p>
              The map of this unit names no hazard. If you see one, note it in Take in: it gets its gate here.
            </p>
            <Second onClick={() => go('take in')}>Note a hazard</Second>
          </div>
        )}
        {asked && whoFirst && <WhoHasToKnow />}
        <PowerDown />
        {order.map((l) => (
          <GatePanel key={l.hazard.id} line={l} holds={ahead.includes(l.hazard)} />
        ))}
        <ChargeGate />
        {asked && !whoFirst && <WhoHasToKnow />}
        <FirstLeadRule />
        <Foot>
          <Action
            held={ahead.length ? `held by ${ahead.map((h) => h.name).join(', ')}` : undefined}
            onClick={() => go(next)}
            keyName={ahead.length ? 'held' : next === 'open up' ? '5' : next === 'swap' ? '6' : '7'}
          >
            {next === 'open up' ? 'Open up' : next === 'swap' ? 'Swap' : 'Close up'}
          </Action>
          {job.power !== 'off' && (
            <Second onClick={() => record('power.set', { power: 'off' })}>Power is off now</Second>
          )}
          {job.power === 'off' && (
            <Second onClick={() => record('power.set', { power: 'on' })}>Power is on again</Second>
          )}
        </Foot>
      </section>
      <section className="pad grid gap-4 content-start">
        <div>
          <MovesExpose />
        </div>
        {(job.map.faces?.length ?? 0) > 0 && (
          <div className="border-t border-rule pt-3">
            <Faces
              title="Where it can hurt"
              next={needed.find((c) => !open.includes(c))}
              most={{ w: 308, h: 300 }}
            />
          </div>
        )}
        <div className="border-t border-rule pt-3 grid gap-2">
          <h2 className="sec">Before hands go in</h2>
          {fed.map(({ battery, feeds, leads }) => (
            <p key={battery.id}>
              <b>
                {battery.id} {battery.name}
              </b>{' '}
              goes on feeding {feeds.join(', ')} with the plug out:{' '}
              {leads.length ? `part ${leads.join(' and ')}` : 'part its lead, or take it out,'} as soon as it
              is reached.
            </p>
          ))}
          <ul className="note list-disc pl-5 grid gap-1">
            <li>Prove the meter on a known live point, read, prove it again.</li>
            <li>Ground yourself only when nothing live is within reach.</li>
            <li>Take cards and media out before they snap.</li>
            <li>A lamp that is out proves nothing.</li>
          </ul>
          <p className="note">
            These are the usual cautions. Local codes, the maker’s instructions and licensed practice come
            first.
          </p>
        </div>
      </section>
    </div>
  );
}

const WhoHasToKnow = () => (
  <div className="pad border-b border-rule">
    <Parties />
  </div>
);
