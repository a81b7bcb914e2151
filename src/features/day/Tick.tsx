import type { ReactNode } from 'react';

/** One thing that holds or not. */
export const Tick = ({
  checked,
  onTick,
  children,
}: {
  checked: boolean;
  onTick(on: boolean): void;
  children: ReactNode;
}) => (
  <label className="inline-flex items-center gap-2 min-h-11">
    <input type="checkbox" className="size-5" checked={checked} onChange={(e) => onTick(e.target.checked)} />
    <span>{children}</span>
  </label>
);
