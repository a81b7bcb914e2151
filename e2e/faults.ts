import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';

/** The rules for those who hear or press keys, asked in the page itself: it holds no other. What is right is not listed. */
export const axe = (page: Page) =>
  new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ['violations'] });

const inWords = (where: string, violations: Awaited<ReturnType<AxeBuilder['analyze']>>['violations']) =>
  violations
    .filter((v) => v.impact === 'serious' || v.impact === 'critical')
    .map((v) => `${where} ${v.id}: ${v.nodes.map((n) => n.html.slice(0, 120)).join(' | ')}`);

/**
 * What is seriously wrong with a page for those who hear or press keys: by day all rules, by night those of
 * colour, which are all that another theme changes.
 */
export async function seriousFaults(page: Page, where: string): Promise<string[]> {
  const day = inWords(`${where}, by day,`, (await axe(page).analyze()).violations);
  await theme(page, 'night');
  const colours = await axe(page).withRules(['color-contrast', 'link-in-text-block']).analyze();
  await theme(page, 'day');
  return [...day, ...inWords(`${where}, by night,`, colours.violations)];
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
