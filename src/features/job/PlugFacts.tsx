import { PlugFace } from '../units/harness/PlugFace';
import type { PlugKnown } from './use-plug';

/** What the map knows of a plug, at the step that parts it or puts it home. */
export function PlugFacts({ known, going }: { known: PlugKnown; going: 'out' | 'home' }) {
  const { plug, route } = known;
  // It hangs by its far end: it comes out from the plug on, and is laid towards it.
  const run = going === 'out' ? route : route && [...route].reverse();
  const facts = [
    known.landmark,
    plug.colour && `${plug.colour} plug`,
    `${known.contacts} ${known.contacts === 1 ? 'contact' : 'contacts'}`,
    plug.wires?.length ? `wires from contact 1: ${plug.wires.join(' ')}` : null,
    known.key ? `key ${known.key}` : !plug.bare && 'no key: it can be turned round',
    known.latch && `held by ${known.latch}`,
    known.bundle && `tied into ${known.bundle}`,
  ].filter(Boolean);
  return (
    <div className="flex flex-wrap gap-x-4 gap-y-1 items-center">
      {(plug.wires?.length ?? 0) > 0 && <PlugFace plug={plug} />}
      <span className="flex-1 min-w-[220px]">
        {going === 'home' ? 'It goes to' : 'It sits in'} <b>{known.home}</b>, {facts.join('; ')}.
        {run && (
          <span className="block">
            {going === 'out'
              ? 'Its lead comes out, from the plug on: '
              : 'Lay its lead first, from its far end to the plug: '}
            {run.map((r, i) => `${i + 1} ${r}`).join(', ')};{' '}
            {going === 'out' ? 'note the slack' : 'slack, nothing pinched'}.
          </span>
        )}
        {known.bare && <span className="block">Bare end: {known.bare}.</span>}
        {known.leave && <span className="block text-ochre font-[600]">Leave alone: {known.leave}.</span>}
        {known.worn && (
          <span className="block text-ochre font-[600]">It was {known.worn}: once, straight.</span>
        )}
      </span>
    </div>
  );
}
