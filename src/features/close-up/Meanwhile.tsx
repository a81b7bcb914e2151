import type { WayHome } from '../../core/recipe';

/** What the hands can do while something cures: the wait that comes, and the steps that do not hang on it. */
export function Meanwhile({ home }: { home: WayHome }) {
  const m = home.meanwhile;
  if (!m) return null;
  return (
    <p className="border-l-4 border-slate-fill bg-slate-wash px-3 py-2">
      <b>{m.wait}</b> then waits {m.minutes}&nbsp;min.{' '}
      {m.steps.length
        ? `Do it early; while it does: ${m.steps.slice(0, 4).join(', ')}${m.steps.length > 4 ? ` and ${m.steps.length - 4} more` : ''}.`
        : 'Everything after it hangs on it.'}
    </p>
  );
}
