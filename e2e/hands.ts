import type { Page } from '@playwright/test';
import { expect, foot } from './bench-test';

/** How a person works a page: by key alone, or by tap alone. Looking is the same for both. */
export interface Hand {
  /** a button, link or tick */
  press(name: RegExp, last?: boolean): Promise<void>;
  /** writes into a field, over what stood in it */
  type(label: RegExp, text: string): Promise<void>;
  /** one of several answers that exclude each other */
  choose(name: RegExp): Promise<void>;
  /** one entry of a list that folds out */
  pick(label: RegExp, entry: RegExp): Promise<void>;
  /** a stop of the run, from 1 */
  stop(n: number): Promise<void>;
  /** sends what was written */
  send(): Promise<void>;
  /** clears a gate: its acts, its reading */
  gate(name: string, reading: string): Promise<void>;
  /** whatever the foot offers now */
  foot(): Promise<void>;
}

const MOST_TABS = 150;

/** What somebody hears of the control in focus. */
const inFocus = (page: Page) =>
  page.evaluate(() => {
    const el = document.activeElement as HTMLInputElement | null;
    if (!el || el === document.body) return { words: '', tag: '', kind: '' };
    const label = el.labels?.[0]?.textContent ?? '';
    const text = el.tagName === 'SELECT' ? '' : el.textContent;
    const words = (el.getAttribute('aria-label') ?? (label || text) ?? '').replace(/\s+/g, ' ').trim();
    return { words, tag: el.tagName, kind: el.type ?? '' };
  });

const writes = ({ tag, kind }: { tag: string; kind: string }) =>
  /^(TEXTAREA|SELECT)$/.test(tag) || (tag === 'INPUT' && !/radio|checkbox/.test(kind));

/**
 * How many Tabs are surely not enough, as a person sees how far off a control is: those between the focus and the
 * first after it that is called so, in the order of the page, or all of them. What no Tab reaches is not counted.
 */
const surelyBetween = (page: Page, name: RegExp) =>
  page.evaluate(
    ([source, flags]) => {
      const called = new RegExp(source, flags);
      const words = (e: Element) =>
        [e.getAttribute('aria-label'), ...((e as HTMLInputElement).labels ?? []), e]
          .map((w) => (typeof w === 'string' ? w : (w?.textContent ?? '')))
          .map((w) => w.replace(/\s+/g, ' ').trim());
      const all = [
        ...document.querySelectorAll<HTMLElement>('a[href], button, input, select, textarea, [tabindex]'),
      ];
      const reached = all.filter(
        (e) => e.tabIndex >= 0 && !e.matches(':disabled, [inert] *, [type=radio]') && e.checkVisibility(),
      );
      const from = document.activeElement;
      const after = reached.filter(
        (e) =>
          !from ||
          from === document.body ||
          from.compareDocumentPosition(e) & Node.DOCUMENT_POSITION_FOLLOWING,
      );
      const at = after.findIndex((e) => words(e).some((w) => called.test(w)));
      return at < 0 ? after.length : at;
    },
    [name.source, name.flags] as const,
  );

const stopsOf = (page: Page) => page.getByRole('list', { name: 'The run' }).getByRole('listitem');

/** Nobody works a sheet that is still being fetched: what it says then is that it is coming. */
async function theSheetOf(page: Page, n: number): Promise<void> {
  await expect(stopsOf(page).nth(n - 1)).toHaveAttribute('aria-current', 'step');
  await expect(page.locator('#main')).not.toHaveAttribute('aria-busy', 'true');
}

/** Tab, arrows, Space, Enter and letters: no pointer at all. */
export function byKey(page: Page): Hand {
  const key = (k: string) => page.keyboard.press(k);
  const tabTo = async (name: RegExp, wanted: (tag: string, kind: string) => boolean) => {
    for (let i = 0; i < MOST_TABS; i++) {
      const { words, tag, kind } = await inFocus(page);
      if (name.test(words) && wanted(tag, kind)) return;
      // The first look ahead skips what is surely passed; then each is looked at.
      for (let far = i === 0 ? await surelyBetween(page, name) : 0; far > 0; far--, i++) await key('Tab');
      await key('Tab');
    }
    throw new Error(`no Tab reaches ${name}`);
  };
  /** to where single keys are heard */
  const out = () => key('Escape');
  const hand: Hand = {
    async press(name) {
      await tabTo(name, (tag, kind) => /^(BUTTON|A)$/.test(tag) || kind === 'checkbox');
      await key((await inFocus(page)).kind === 'checkbox' ? 'Space' : 'Enter');
    },
    async type(label, text) {
      await tabTo(label, (tag, kind) => writes({ tag, kind }));
      await key('Control+A');
      await page.keyboard.type(text);
    },
    async choose(name) {
      for (let i = 0; i < MOST_TABS; i++) {
        const answers = await page.evaluate(() => {
          const at = document.activeElement as HTMLInputElement | null;
          if (at?.type !== 'radio') return [];
          const group = [...document.querySelectorAll<HTMLInputElement>(`input[name="${at.name}"]`)];
          return group.map((r) => r.labels?.[0]?.textContent?.replace(/\s+/g, ' ').trim() ?? '');
        });
        if (answers.some((a) => name.test(a))) {
          for (let k = 0; k < answers.length && !name.test((await inFocus(page)).words); k++)
            await key('ArrowDown');
          return void (await key('Space'));
        }
        await key('Tab');
      }
      throw new Error(`no key reaches the answer ${name}`);
    },
    async pick(label, entry) {
      await tabTo(label, (tag) => tag === 'SELECT');
      for (let i = 0; i < 40; i++) {
        const words = await page.evaluate(
          () => (document.activeElement as HTMLSelectElement).selectedOptions[0]?.textContent ?? '',
        );
        if (entry.test(words)) return;
        await key(i === 0 ? 'Home' : 'ArrowDown');
      }
      throw new Error(`no arrow reaches ${entry}`);
    },
    async stop(n) {
      await out();
      await key(String(n));
      await theSheetOf(page, n);
    },
    send: () => key('Enter'),
    async gate(name, reading) {
      const region = page.getByRole('region', { name: `Gate: ${name}`, exact: true });
      await out();
      for (let i = 0; i < 12; i++) {
        if (writes(await inFocus(page))) break;
        await key('Space');
      }
      await expect(region.getByLabel(/Reading at/)).toBeFocused();
      await page.keyboard.type(reading);
      await key('Enter');
      await expect(region.getByText(/Gate up since/)).toBeVisible();
    },
    async foot() {
      const there = await page.evaluate(() => Boolean(document.activeElement?.closest('.foot')));
      if (!there) await out();
      await key('Enter');
    },
  };
  return hand;
}

/** A finger: what is tapped has to be in sight and uncovered, or be scrolled there. */
export function byTap(page: Page): Hand {
  const hand: Hand = {
    async press(name, last) {
      const named = page
        .getByRole('button', { name })
        .or(page.getByRole('link', { name }))
        .or(page.getByRole('checkbox', { name }));
      await (last ? named.last() : named.first()).tap();
    },
    async type(label, text) {
      const field = page.getByLabel(label).first();
      await field.tap();
      await field.fill(text);
    },
    choose: (name) => page.getByRole('radio', { name }).first().tap(),
    async pick(label, entry) {
      const list = page.getByLabel(label).first();
      await list.tap();
      const words = await list.locator('option', { hasText: entry }).first().textContent();
      await list.selectOption({ label: words ?? '' });
    },
    async stop(n) {
      await stopsOf(page)
        .nth(n - 1)
        .getByRole('link')
        .tap();
      await theSheetOf(page, n);
    },
    // The key of the keyboard on the glass that says done.
    send: () => page.keyboard.press('Enter'),
    async gate(name, reading) {
      const region = page.getByRole('region', { name: `Gate: ${name}`, exact: true });
      for (const box of await region.getByRole('checkbox').all()) if (await box.isVisible()) await box.tap();
      await region.getByLabel(/Reading at/).tap();
      await region.getByLabel(/Reading at/).fill(reading);
      await region.getByRole('button', { name: 'Gate up' }).tap();
      await expect(region.getByText(/Gate up since/)).toBeVisible();
    },
    foot: () => foot(page).getByRole('button').or(foot(page).getByRole('link')).first().tap(),
  };
  return hand;
}
