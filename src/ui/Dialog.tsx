import { Dialog as Radix } from 'radix-ui';
import type { ReactNode } from 'react';

/** A sheet laid over the bench. Escape or the cross puts it away. */
export function Dialog({
  open,
  onClose,
  title,
  wide,
  children,
}: {
  open: boolean;
  onClose(): void;
  title: string;
  /** room for a picture, or for things side by side */
  wide?: 'picture' | 'table';
  children: ReactNode;
}) {
  return (
    <Radix.Root open={open} onOpenChange={(o) => !o && onClose()}>
      <Radix.Portal>
        <Radix.Overlay className="sheet-overlay" />
        <Radix.Content className={`sheet-dialog ${wide ? `with-${wide}` : ''}`} aria-describedby={undefined}>
          <div className="lead mb-3 flex-nowrap!">
            <Radix.Title className="text-[24px]">{title}</Radix.Title>
            <Radix.Close className="act-2 small" aria-label="Put away">
              Esc
            </Radix.Close>
          </div>
          {children}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
