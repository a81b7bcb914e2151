import type { WayHome } from '../../core/recipe';
import { Choices } from '../../ui/Field';

const min = (m: number) => `${m.toFixed(m < 10 ? 1 : 0)}\u00a0min`;
const count = (n: number, one: string) => `${n} ${one}${n === 1 ? '' : 's'}`;

/** The strict reverse or a quicker order, with what it saves. Nothing is asked where there is no other. */
export function WhichOrder({
  home,
  order,
  onOrder,
}: {
  home: WayHome;
  order: 'strict' | 'quicker';
  onOrder(o: 'strict' | 'quicker'): void;
}) {
  const { quickerSpent: q, strictSpent: s } = home;
  if (!q) return null;
  const words = (x: typeof s) =>
    `${min(x.minutes)}, ${count(x.flips, 'flip')}, ${count(x.toolChanges, 'change')} of tool${x.waiting > 0.05 ? `, ${min(x.waiting)} waiting` : ''}`;
  return (
    <div className="grid gap-1">
      <Choices
        label={`A quicker order saves about ${min(home.savedMinutes)}`}
        name="way-back-order"
        value={order}
        onPick={(v) => onOrder(v as 'strict' | 'quicker')}
        options={[
          { value: 'strict', words: `strict reverse: ${words(s)}` },
          { value: 'quicker', words: `quicker: ${words(q)}` },
        ]}
      />
      <p className="note">
        {home.optimal
          ? 'No order of these steps has fewer flips and changes for its minutes.'
          : `Not proven quickest: none is under ${min(home.lowerBound)}.`}{' '}
        Minutes are roughly what is usual.
      </p>
    </div>
  );
}
