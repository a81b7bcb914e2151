import type { ReactNode, Ref } from 'react';

/** Something wider than its place, that scrolls and can be reached by key for it. */
export const ScrollRow = ({
  label,
  className = '',
  at,
  children,
}: {
  label: string;
  className?: string;
  at?: Ref<HTMLDivElement>;
  children: ReactNode;
}) => (
  // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls has to be reachable by key
  <div ref={at} className={className} tabIndex={0} role="group" aria-label={label}>
    {children}
  </div>
);
