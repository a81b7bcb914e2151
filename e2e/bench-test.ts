import { type BrowserContext, expect, type Page, test as playwright } from '@playwright/test';
import { type Running, startMulch } from './mulch';

interface Fixtures {
  /** fails the test when the page logs an error or breaks its content security policy */
  clean: undefined;
}
interface Shared {
  demo: Running;
  /** a browser that has the scripts and fonts of Mulch already */
  profile: BrowserContext;
}

/** A test with a browser of its own: as for somebody who opens Mulch for the first time, or with settings of its own. */
export const testAlone = playwright.extend<Fixtures, Shared>({
  demo: [
    // biome-ignore lint/correctness/noEmptyPattern: the fixture depends on nothing
    async ({}, use) => {
      const mulch = await startMulch({ demo: true });
      await use(mulch);
      await mulch.stop();
    },
    { scope: 'worker' },
  ],
  profile: [
    async ({ browser }, use) => {
      const profile = await browser.newContext({
        viewport: { width: 1280, height: 800 },
        serviceWorkers: 'block',
      });
      await use(profile);
      await profile.close();
    },
    { scope: 'worker' },
  ],
  clean: [
    async ({ page }, use) => {
      const wrong: string[] = [];
      page.on('console', (m) => {
        if (m.type() === 'error') wrong.push(m.text());
      });
      page.on('pageerror', (e) => wrong.push(e.message));
      await use(undefined);
      // A refused command is told to the person; the browser also logs its status.
      expect(wrong.filter((w) => !/Failed to load resource/.test(w))).toEqual([]);
    },
    { auto: true },
  ],
});

/** Closes every page, and forgets what pages keep for themselves. */
async function forget(profile: BrowserContext): Promise<void> {
  const open = profile.pages();
  const origins = new Set(open.map((p) => new URL(p.url()).origin).filter((o) => o.startsWith('http')));
  const blank = await profile.newPage();
  const session = await profile.newCDPSession(blank);
  for (const page of open) await page.close();
  for (const origin of origins)
    await session.send('Storage.clearDataForOrigin', { origin, storageTypes: 'all' });
  await profile.clearCookies();
  await blank.close();
}

/** A test in one browser with those before it: scripts and fonts are there, nothing that a page kept is. */
export const test = testAlone.extend({
  context: async ({ profile }, use) => {
    await use(profile);
    await forget(profile);
  },
});
export { expect };

/** Waits until a page that was just loaded takes input. */
export const alive = (page: Page) => page.locator('.frame:not([inert])').waitFor();

/** Opens a fresh job on a demo unit and answers its address. */
export async function freshJob(page: Page, url: string, unit: string): Promise<string> {
  await page.goto(url);
  await alive(page);
  await page.getByLabel('Unit', { exact: true }).selectOption({ label: unit });
  await page.getByRole('button', { name: 'Take it in' }).click();
  await page.waitForURL('**/take-in');
  await alive(page);
  return page.url().replace(/\/take-in$/, '');
}

/** Waits until everything recorded is kept by the server. */
export async function allSent(page: Page): Promise<void> {
  await expect(page.getByText(/\d+ unsent/)).toHaveCount(0);
}

/** Lets every point that is still open at Hand over go, with a reason. */
export async function letGo(page: Page, reason = 'agreed with the owner'): Promise<void> {
  const open = page.getByRole('region', { name: 'Still open' });
  const points = open.getByRole('listitem');
  for (let left = await points.count(); left > 0; left--) {
    await points
      .first()
      .getByRole('button', { name: /^Let go: / })
      .click();
    await page.getByLabel('Why it is let go').fill(reason);
    await page.getByRole('button', { name: 'Let go', exact: true }).click();
    await expect(points).toHaveCount(left - 1);
  }
}

/** Powers a unit down as one that is dead, and clears gates with their readings. */
export async function clearGates(page: Page, gates: [name: string, reading: string][]): Promise<void> {
  const down = page.getByRole('region', { name: 'Gate: power down' });
  await page
    .getByRole('region', { name: /^Gate: / })
    .first()
    .waitFor();
  if (await down.getByRole('button', { name: 'It cannot be done: it is dead' }).isVisible()) {
    await down.getByRole('button', { name: 'It cannot be done: it is dead' }).click();
    await down.getByLabel('Why it is not powered down its own way').fill('no lamp, no menu');
    await down.getByRole('button', { name: 'Pass it' }).click();
  }
  for (const [gate, reading] of gates) {
    const region = page.getByRole('region', { name: `Gate: ${gate}`, exact: true });
    for (const box of await region.getByRole('checkbox').all()) await box.check();
    await region.getByLabel(/Reading at/).fill(reading);
    await region.getByRole('button', { name: 'Gate up' }).click();
    await expect(region.getByText(/Gate up since/)).toBeVisible();
  }
}

/** Says lines on the entry line, each taken before the next. */
export async function cameOff(page: Page, ...lines: string[]): Promise<void> {
  for (const line of lines) {
    await page.getByLabel('Came off:').fill(line);
    await page.keyboard.press('Enter');
    await expect(page.getByLabel('Came off:'), line).toHaveValue('');
  }
}

/** Goes to a stop of the run. */
export const toStop = (page: Page, name: RegExp) => page.getByRole('link', { name }).first().click();

/** The floor of the view, where the one action stands. */
export const foot = (page: Page) => page.getByRole('region', { name: 'Foot', exact: true });
