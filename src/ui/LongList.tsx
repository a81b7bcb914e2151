import { type ComponentProps, type ReactNode, useEffect, useRef, useState } from 'react';
import type { Virtuoso as VirtualList } from 'react-virtuoso';

/** Up to so many stand on the page at once; of more, those in sight. */
const MOST = 60;

const Rows = (props: ComponentProps<'div'>) => <div role="list" {...props} />;
const Row = ({ item: _item, ...props }: ComponentProps<'div'> & { item?: unknown }) => (
  <div role="listitem" {...props} />
);
const COMPONENTS = { List: Rows, Item: Row };

/** What a list scrolls in: the nearest that scrolls, or the window. */
function scrollerOf(element: HTMLElement | null): HTMLElement | 'window' {
  for (let e = element?.parentElement; e && e !== document.body; e = e.parentElement)
    if (/auto|scroll/.test(getComputedStyle(e).overflowY)) return e;
  return 'window';
}

/** A list that may be long: however many there are, the page carries those that are in sight. */
export function LongList<T>({
  items,
  keyOf,
  children,
}: {
  items: T[];
  keyOf(item: T): string;
  children(item: T, at: number): ReactNode;
}) {
  const anchor = useRef<HTMLDivElement>(null);
  const [scroller, setScroller] = useState<HTMLElement | 'window' | null>(null);
  // Fetched with the first list that needs it.
  const [Virtuoso, setVirtuoso] = useState<typeof VirtualList | null>(null);
  const long = items.length > MOST;
  useEffect(() => {
    if (!long) return;
    setScroller(scrollerOf(anchor.current));
    void import('react-virtuoso').then((m) => setVirtuoso(() => m.Virtuoso));
  }, [long]);
  if (!long || !scroller || !Virtuoso)
    return (
      <div ref={anchor} role="list">
        {items.slice(0, MOST).map((item, i) => (
          <div role="listitem" key={keyOf(item)}>
            {children(item, i)}
          </div>
        ))}
      </div>
    );
  return (
    <Virtuoso
      data={items}
      components={COMPONENTS}
      computeItemKey={(_i, item) => keyOf(item)}
      itemContent={(i, item) => children(item, i)}
      increaseViewportBy={400}
      {...(scroller === 'window' ? { useWindowScroll: true } : { customScrollParent: scroller })}
    />
  );
}
