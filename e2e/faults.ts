import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Page } from '@playwright/test';
import type * as Axe from 'axe-core';

const SOURCE = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

/**
 * Which rules for those who hear or press keys a page breaks: all of them, or those named. They are put into a
 * page once. Sheets of styles and sounds are not fetched again for the two rules about turned pages and about
 * sound that starts by itself: Mulch has neither.
 */
export const axe = async (page: Page, rules?: string[]): Promise<Axe.Result[]> => {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(SOURCE);
  return page.evaluate(async (only) => {
    const { axe: rulesOf } = window as unknown as { axe: typeof Axe };
    const asked = await rulesOf.run(document, {
      resultTypes: ['violations'],
      preload: false,
      ...(only ? { runOnly: only } : {}),
    });
    return asked.violations;
  }, rules);
};

const inWords = (where: string, violations: Axe.Result[]) =>
  violations
    .filter((v) => v.impact === 'serious' || v.impact === 'critical')
    .map((v) => `${where} ${v.id}: ${v.nodes.map((n) => n.html.slice(0, 120)).join(' | ')}`);

/**
 * What is seriously wrong with a page for those who hear or press keys: by day all rules, by night those of
 * colour, which are all that another theme changes.
 */
export async function seriousFaults(page: Page, where: string): Promise<string[]> {
  const day = inWords(`${where}, by day,`, await axe(page));
  await theme(page, 'night');
  const colours = await axe(page, ['color-contrast', 'link-in-text-block']);
  await theme(page, 'day');
  return [...day, ...inWords(`${where}, by night,`, colours)];
}

const theme = (page: Page, name: 'day' | 'night') =>
  page.evaluate(async (to) => {
    document.documentElement.dataset.theme = to;
    window.dispatchEvent(new Event('mulch-theme'));
    await Promise.all(document.getAnimations().map((a) => a.finished.catch(() => undefined)));
  }, name);

/** How far a page runs off the width it has, px. */
export const runsOff = (page: Page) =>
  page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
