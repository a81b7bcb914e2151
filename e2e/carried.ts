import type { Page } from '@playwright/test';
import { alive, allSent, expect } from './bench-test';
import type { Hand } from './hands';

/** A unit that is described from nothing, and carried from Take in to Hand over by any hand. */

export interface Described {
  name: string;
  maker?: string;
  model?: string;
  does: string;
  covers: string;
  rows: { kind: string; what: string }[];
  pack?: { mark: string; leads: string; cells: string };
  hazards: string[];
}
export interface Bench {
  page: Page;
  hand: Hand;
  url: string;
}

export const exactly = (words: string) => new RegExp(`^${words.replace(/[+()]/g, '\\$&')}`);
export const PLAN = 3;
export const MAKE_SAFE = 4;
export const OPEN_UP = 5;
export const SWAP = 6;
export const CLOSE_UP = 7;
export const PROVE = 8;
export const HAND_OVER = 9;

export async function described({ page, hand, url }: Bench, d: Described): Promise<void> {
  await page.goto(`${url}/units/new`);
  await alive(page);
  await hand.type(/^What it is$/, d.name);
  if (d.maker) await hand.type(/^Maker$/, d.maker);
  if (d.model) await hand.type(/^Model$/, d.model);
  await hand.type(/^What it should do/, d.does);
  await hand.type(/^What has to come off/, d.covers);
  // The three rows that stand there already are taken away.
  for (let i = 3; i > 0; i--) await hand.press(/^Take row 1 away/);
  for (const [i, row] of d.rows.entries()) {
    await hand.press(exactly(`+ ${row.kind}`));
    await hand.type(exactly(`What row ${i + 1} is$`), row.what);
  }
  if (d.pack) {
    await hand.type(exactly(`Leads of ${d.pack.mark}, the power lead first`), d.pack.leads);
    await hand.type(/^In series/, d.pack.cells);
  }
  for (const h of d.hazards) await hand.press(exactly(h));
  await hand.press(/^Keep it and take it in/);
  await page.waitForURL('**/take-in');
  await alive(page);
}

export async function planned({ page, hand }: Bench, symptom: string, element: RegExp, remedy: RegExp) {
  await hand.type(/^What happens instead/, symptom);
  await hand.press(/^Plan at once/);
  await page.waitForURL('**/plan');
  await hand.pick(/^Element to mend/, element);
  await hand.choose(remedy);
  await hand.foot();
  await page.waitForURL('**/make-safe', { timeout: 10_000 });
}

/** Says lines on the entry line, each taken before the next. */
export async function cameOff({ page, hand }: Bench, ...lines: string[]): Promise<void> {
  for (const line of lines) {
    await hand.type(/^Came off:/, line);
    await hand.send();
    await expect(page.getByLabel('Came off:'), line).toHaveValue('');
  }
}

/** Does whatever the way back asks for, until all is back and closed, by the foot alone. */
export async function home({ page, hand }: Bench): Promise<string[]> {
  const did: string[] = [];
  const done = page.getByRole('heading', { name: 'Everything is back and closed' });
  const step = page.getByRole('region', { name: 'Way back' });
  for (let i = 0; i < 120; i++) {
    if (await done.isVisible()) return did;
    const head = (await step.getByRole('heading', { level: 2 }).first().textContent()) ?? '';
    if (did.at(-1) !== head) did.push(head);
    await hand.foot();
    await page.waitForTimeout(60);
  }
  throw new Error(`the way back does not end: ${did.join('; ')}`);
}

export async function handedOver({ page, hand }: Bench, to: string): Promise<void> {
  await hand.stop(PROVE);
  await hand.press(/^works/);
  await hand.stop(HAND_OVER);
  const points = page.getByRole('region', { name: 'Still open' }).getByRole('listitem');
  for (let left = await points.count(); left > 0; left--) {
    await hand.press(/^Let go: /);
    await hand.type(/^Why it is let go/, 'agreed with the owner');
    await hand.send();
    await expect(points).toHaveCount(left - 1);
  }
  await hand.type(/^To whom/, to);
  await hand.foot();
  await expect(page.getByRole('heading', { name: `Handed over to ${to}` })).toBeVisible();
  await allSent(page);
}

/** From Take in to Swap of a unit that is dead and has nothing to be made safe: its lead out next. */
export async function toSwap(bench: Bench, cover: string): Promise<void> {
  const { page, hand } = bench;
  await hand.stop(OPEN_UP);
  await cameOff(bench, `lift ${cover} > shelf`);
  await hand.stop(SWAP);
  await page.waitForURL('**/swap');
}
