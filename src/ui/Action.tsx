import type { ComponentProps, ReactNode } from 'react';

type ActionProps = ComponentProps<'button'> & {
  /** the key that does it, shown inside */
  keyName?: string;
  /** why it cannot be done now; it stays reachable and says so */
  held?: string | undefined;
  children: ReactNode;
};

/** The one action of a screen: it points where it sends you. */
export function Action({ keyName, held, children, className = '', onClick, ...rest }: ActionProps) {
  return (
    <button
      type="button"
      {...rest}
      className={`act ${className}`}
      aria-disabled={held ? true : undefined}
      title={held}
      onClick={held ? (e) => e.preventDefault() : onClick}
    >
      <span>{children}</span>
      {keyName && <kbd>{keyName}</kbd>}
    </button>
  );
}

/** Any other action: a plain box. */
export function Second({
  keyName,
  children,
  className = '',
  small,
  ...rest
}: ComponentProps<'button'> & { keyName?: string; small?: boolean }) {
  return (
    <button type="button" {...rest} className={`act-2 ${small ? 'small' : ''} ${className}`}>
      <span>{children}</span>
      {keyName && <kbd>{keyName}</kbd>}
    </button>
  );
}
