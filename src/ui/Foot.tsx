import { createContext, type ReactNode, useContext, useEffect, useState } from 'react';
import { createPortal } from 'react-dom';

const Slot = createContext<HTMLElement | null>(null);

/**
 * The floor of a view, below what scrolls: always in sight, and large where a thumb is. Whatever is
 * the one action now stands here, from wherever it is drawn.
 */
export function FootHost({
  children,
  below,
}: {
  children: ReactNode;
  /** what lies under the foot and stays in sight with it */
  below: ReactNode;
}) {
  const [slot, setSlot] = useState<HTMLElement | null>(null);
  useEffect(() => {
    if (!slot) return;
    const pressed = (e: MouseEvent) => {
      const button = e.target instanceof Element ? e.target.closest('button') : null;
      const before = new Set(document.querySelectorAll('.wrong'));
      setTimeout(() => show(before, button?.form ?? null), SAID_MS);
    };
    slot.addEventListener('click', pressed, true);
    return () => slot.removeEventListener('click', pressed, true);
  }, [slot]);
  return (
    <Slot.Provider value={slot}>
      {children}
      <div className="low">
        <section className="foot no-print" ref={setSlot} tabIndex={-1} aria-label="Foot" />
        {below}
      </div>
    </Slot.Provider>
  );
}

/** Time for a view to say what is wrong. */
const SAID_MS = 60;

/** What was refused is said where it was typed, which may be far from the foot: it comes into sight, its field in hand. */
function show(before: Set<Element>, form: HTMLFormElement | null): void {
  const all = [...document.querySelectorAll<HTMLElement>('.main .wrong')];
  // The same may be said once more.
  const said = all.find((w) => !before.has(w)) ?? all.find((w) => form?.contains(w));
  if (!said) return;
  const field = said.closest('.field')?.querySelector<HTMLElement>('[aria-invalid=true]');
  field?.focus({ preventScroll: true });
  said.scrollIntoView({ block: 'nearest' });
}

/** Puts its content on the floor of the view. A button there that sends a form names the form by its id. */
export function Foot({ children }: { children: ReactNode }) {
  const slot = useContext(Slot);
  return slot && createPortal(children, slot);
}

const first = (selector: string) => document.querySelector<HTMLElement>(selector);

/** The action that stands on the floor and can be done now. */
const theAct = (): HTMLElement | undefined =>
  [...document.querySelectorAll<HTMLElement>('.foot .act:not([aria-disabled=true]):not([disabled])')].find(
    (act) => act.offsetParent !== null,
  );

/** Where somebody working by key goes on when what had the focus is gone. */
export const toFoot = (): void => first('.foot')?.focus({ preventScroll: true });

/** The one action of the view; where it is held or there are several, the next thing that it waits for. */
export function theOneAction(): void {
  const act = theAct();
  if (!act) return void next();
  // A form that still asks for something is not sent before it was asked for.
  const fields = act instanceof HTMLButtonElement ? [...(act.form?.elements ?? [])] : [];
  const asks = fields.find((f): f is HTMLElement => f instanceof HTMLElement && f.dataset.next === 'ask');
  if (asks) asks.focus();
  else act.click();
}

/** The next one: the next tick, count or answer that the view waits for, else its one action. */
export function theNext(): void {
  if (!next()) theAct()?.click();
}

/**
 * What waits, in its order: a field or one of several answers is gone to, anything else is done.
 * It is marked with `data-next`, `ask` where it only takes the focus.
 */
function next(): boolean {
  const waiting = first('.main [data-next], .foot [data-next]');
  if (!waiting) return false;
  if (waiting.dataset.next === 'ask') waiting.focus();
  else waiting.click();
  waiting.scrollIntoView({ block: 'nearest' });
  return true;
}
