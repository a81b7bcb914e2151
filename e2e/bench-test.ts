import { test as base, expect, type Page } from '@playwright/test';
import { type Running, startMulch } from './mulch';

interface Fixtures {
  /** fails the test when the page logs an error or breaks its content security policy */
  clean: undefined;
}
interface Shared {
  demo: Running;
}

export const test = base.extend<Fixtures, Shared>({
  demo: [
    // biome-ignore lint/correctness/noEmptyPattern: the fixture depends on nothing
    async ({}, use) => {
      const mulch = await startMulch({ demo: true });
      await use(mulch);
      await mulch.stop();
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
