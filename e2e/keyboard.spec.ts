import type { Page } from '@playwright/test';
import { alive, allSent, expect, test } from './bench-test';

/** Presses Tab until the element with this role and name has focus: what a person without a mouse does. */
async function tabTo(page: Page, name: RegExp, most = 120): Promise<void> {
  for (let i = 0; i < most; i++) {
    await page.keyboard.press('Tab');
    const words = await page.evaluate(() => {
      const el = document.activeElement as HTMLElement | null;
      if (!el || el === document.body) return '';
      const label = (el as HTMLInputElement).labels?.[0]?.textContent ?? '';
      return `${el.getAttribute('aria-label') ?? ''} ${label} ${el.textContent ?? ''}`;
    });
    if (name.test(words)) return;
  }
  throw new Error(`no Tab reaches ${name}`);
}
const press = async (page: Page, ...keys: string[]) => {
  for (const k of keys) await page.keyboard.press(k);
};
/** Goes down the list of checks, back to it if the page took the focus, until the wanted one is shown. */
async function chooseByArrow(page: Page, title: string): Promise<void> {
  const wanted = page.getByRole('heading', { name: title, exact: true });
  for (let i = 0; i < 40 && !(await wanted.isVisible()); i++) {
    if (!(await page.evaluate(() => document.activeElement?.tagName === 'SELECT')))
      await tabTo(page, /Another check/);
    await press(page, 'ArrowDown');
    await page.waitForTimeout(60);
  }
  await expect(wanted).toBeVisible();
}
const blur = (page: Page) => page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
const gate = async (page: Page, act: RegExp, reading: string) => {
  await tabTo(page, act);
  await press(page, 'Space', 'Tab');
  await page.keyboard.type(reading);
  await press(page, 'Enter');
};

test('the whole story with the keyboard alone', async ({ page, demo }) => {
  await page.goto(demo.url);
  await alive(page);
  await press(page, '/');
  await page.keyboard.type('Hearing');
  await tabTo(page, /^\s*Take it in/);
  await press(page, 'Enter');
  await page.waitForURL('**/take-in');
  await alive(page);

  // Take in: radios by arrow, text by typing
  await tabTo(page, /left side of the hall/);
  await press(page, 'Space');
  await tabTo(page, /What happens instead/);
  await page.keyboard.type('Drops out on the left');
  await tabTo(page, /always/);
  await press(page, 'ArrowRight');
  await tabTo(page, /^\s*Record/);
  await press(page, 'Enter');
  await expect(page.getByRole('heading', { name: /Most suspect/ })).toBeVisible();

  // Trace: listen, open the hatch, measure, flex
  await tabTo(page, /Another check/);
  await chooseByArrow(page, 'Listen at H1');
  await tabTo(page, /^\s*as it should be/);
  await press(page, 'Enter');
  await expect(page.getByRole('heading', { name: /W7, \d\d %/ })).toBeVisible();
  await tabTo(page, /Another check/);
  await chooseByArrow(page, 'Measure at TP5');
  await expect(page.getByRole('heading', { name: 'Measure at TP5' })).toBeVisible();
  await press(page, 'Escape', 'Enter');
  await expect(page.getByRole('region', { name: 'The Tray' })).toContainText('service hatch');
  await blur(page);
  await press(page, 'r');
  await page.keyboard.type('31m');
  await press(page, 'Enter');
  await expect(page.getByText('TP5 0.031 V, wanted')).toBeVisible();
  await tabTo(page, /Another check/);
  await chooseByArrow(page, 'Flex W7 while it runs');
  await expect(page.getByRole('heading', { name: 'Flex W7 while it runs' })).toBeVisible();
  await press(page, 'Escape', 'x');
  await expect(page.getByRole('heading', { name: /Enough known/ })).toBeVisible();

  // Plan: the ladder by arrows
  await blur(page);
  await press(page, '3');
  await tabTo(page, /Reseat W7.*lasts if/);
  await press(page, 'ArrowDown', 'ArrowDown');
  await tabTo(page, /Replace W7 left ribbon, 16/);
  await press(page, 'Enter');
  await page.waitForURL('**/make-safe');

  // Make safe: each gate by its act and its reading
  await gate(page, /pull the plug at the outlet/, '0');
  await expect(page.getByText(/Gate up since/)).toHaveCount(1);
  await gate(page, /bleed through/, '3.2');
  await expect(page.getByText(/Gate up since/)).toHaveCount(2);

  // Open up by the quick line
  await blur(page);
  await press(page, '5', 'e');
  for (const line of ['6 x M4x12 T20 lid > cup 1', 'lift lid > shelf', 'unplug J7 10p latch']) {
    await page.keyboard.type(line);
    await press(page, 'Enter');
    await expect(page.getByLabel('Came off:')).toHaveValue('');
  }
  // A slip, undone and brought back
  await blur(page);
  await press(page, 'u');
  await expect(page.getByRole('region', { name: 'The Tray' })).toContainText('3 places in use');
  await press(page, 'Shift+U');
  await expect(page.getByRole('region', { name: 'The Tray' })).toContainText('4 places in use');

  // Swap
  await press(page, '6');
  await tabTo(page, /^\s*It is out/);
  await press(page, 'Enter');
  await tabTo(page, /^\s*It is in/);
  await press(page, 'Enter');

  // Close up: proofs, then the test while it is open
  await blur(page);
  await press(page, '7');
  await press(page, 'Space');
  await tabTo(page, /latch clicked/);
  await press(page, 'Enter');
  await tabTo(page, /flap down/);
  await press(page, 'Enter');
  await expect(page.getByRole('heading', { name: 'Fit lid' })).toBeVisible();
  await blur(page);
  await press(page, '8');
  // The hall has to know before it is tried
  await tabTo(page, /Whom, and how/);
  await page.keyboard.type('at the counter');
  await press(page, 'Enter');
  await expect(page.getByText('told', { exact: false }).first()).toBeVisible();
  await blur(page);
  await tabTo(page, /^\s*works/);
  await press(page, 'Enter');
  await expect(page.getByRole('heading', { name: 'It works again' })).toBeVisible();

  // Through the gates once more, then screw by screw with Space
  await blur(page);
  await press(page, '4');
  await gate(page, /pull the plug at the outlet/, '0');
  await gate(page, /bleed through/, '1');
  await blur(page);
  await press(page, '7', 'Space');
  await expect(page.getByRole('heading', { name: /Screw in 6 × M4×12/ })).toBeVisible();
  await press(page, 'Space', 'Space', 'Space', 'Shift+Space', 'Space', 'Space', 'Space', 'Space');
  await tabTo(page, /The lid is closed/);
  await press(page, 'Enter');
  await blur(page);
  await press(page, 'Space');
  await tabTo(page, /The service hatch is closed/);
  await press(page, 'Enter');
  await expect(page.getByRole('heading', { name: 'Everything is back and closed' })).toBeVisible();

  // Prove closed, hand over
  await press(page, '8');
  await tabTo(page, /Repeat Try: loop heard on the left/);
  await press(page, 'Enter');
  await tabTo(page, /^\s*works/);
  await press(page, 'Enter');
  await blur(page);
  await press(page, '9');
  // What is still open is let go, each with its reason
  for (let left = 1; left > 0; left--) {
    await expect(page.getByRole('button', { name: /^Let go: / })).toHaveCount(left);
    await tabTo(page, /^Let go: /);
    await press(page, 'Enter');
    await tabTo(page, /Why it is let go/);
    await page.keyboard.type('agreed with the hall');
    await press(page, 'Enter');
    await blur(page);
  }
  await tabTo(page, /To whom/);
  await page.keyboard.type('ticket hall');
  await press(page, 'Enter');
  await expect(page.getByRole('heading', { name: /Handed over to ticket hall/ })).toBeVisible();
  await allSent(page);
});
