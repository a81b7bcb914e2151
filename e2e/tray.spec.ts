import type { Page } from '@playwright/test';
import { allSent, cameOff, expect, freshJob, test } from './bench-test';

const place = (page: Page, name: RegExp) =>
  page.getByRole('region', { name: 'The Tray' }).getByRole('button', { name });
const dialog = (page: Page) => page.getByRole('dialog');

test.beforeEach(async ({ page, demo }) => {
  await freshJob(page, demo.url, 'Ticket kiosk, turnstile 2');
  await page.getByLabel('What happens instead').fill('Eats notes');
  await page.getByRole('button', { name: /^Record/ }).click();
  await page.waitForURL('**/trace');
  await page.getByRole('link', { name: /^Open up/ }).click();
});

test('a piece that cannot be found is missing on the bench until it is found or written off', async ({
  page,
  demo,
}) => {
  await cameOff(page, '4 x M3x8 PH1 plinth > cup 1');
  await place(page, /cup 1: 4 off/).click();
  await dialog(page).getByLabel('How many').fill('9');
  await dialog(page).getByRole('button', { name: 'Cannot be found' }).click();
  await expect(dialog(page).getByText('only 4 of M3×8 PH1 are off, so 9 cannot be missing')).toBeVisible();
  await dialog(page).getByLabel('How many').fill('1');
  await dialog(page).getByRole('button', { name: 'Cannot be found' }).click();
  await expect(place(page, /3 of 4.*1 missing/)).toBeVisible();
  await allSent(page);

  await page.goto(demo.url);
  await expect(page.getByText(/1 × M3×8 PH1, last seen in cup 1/).first()).toBeVisible();
  await page.goBack();
  await page.locator('.frame:not([inert])').waitFor();
  await place(page, /1 missing/).click();
  await dialog(page).getByRole('button', { name: 'Write off' }).click();
  await expect(dialog(page).getByText('say why it is written off')).toBeVisible();
  await dialog(page).getByLabel('Written off because').fill('fell into the plinth');
  await dialog(page).getByLabel('In its place').fill('M3×8 from stock');
  await dialog(page).getByRole('button', { name: 'Write off' }).click();
  await expect(place(page, /cup 1: 3 off/)).toBeVisible();
  await page.keyboard.press('9');
  await expect(page.getByRole('article')).toContainText(
    '1 written off, fell into the plinth; M3×8 from stock',
  );
});

test('a thing moves from place to place, and two look-alikes warn of each other', async ({ page }) => {
  await cameOff(page, '4 x M3x8 PH1 plinth > cup 1');
  await page.getByLabel('Came off:').fill('2 x M3x12 PH1 hinge > cup 2');
  await expect(page.getByText('Twin of cup 1')).toBeVisible();
  await expect(page.getByText('In the wrong hole it reaches 4 mm further.')).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByText('not M3×12, cup 2')).toBeVisible();
  await expect(page.getByText('not M3×8, cup 1')).toBeVisible();
  await place(page, /cup 2/).click();
  await dialog(page).getByLabel('Kept').selectOption('bag');
  await dialog(page).getByLabel('Number or name').fill('H');
  await dialog(page).getByRole('button', { name: 'Move' }).click();
  await expect(place(page, /bag H: 2 off/)).toBeVisible();
  await expect(page.getByText('not M3×12, bag H')).toBeVisible();
});

test('several, not counted, is taken while opening and counted before it goes back', async ({ page }) => {
  await cameOff(page, 'several x M3x6 plinth > cup 1');
  await expect(place(page, /\? several/)).toBeVisible();
  await page.getByRole('link', { name: /^Close up/ }).click();
  await expect(page.getByRole('heading', { name: 'Count M3×6' })).toBeVisible();
  await page.getByLabel('How many are there').fill('none');
  await page.getByRole('button', { name: /^Counted/ }).click();
  await expect(page.getByText(/a count is a whole number/)).toBeVisible();
  await page.getByLabel('How many are there').fill('5');
  await page.getByRole('button', { name: /^Counted/ }).click();
  await expect(page.getByRole('heading', { name: 'Screw in 5 × M3×6, plinth' })).toBeVisible();
  await page.getByRole('button', { name: 'All in, still loose' }).click();
  await expect(page.getByText('in, not tight yet')).toBeVisible();
  await page.getByRole('button', { name: /^One more is tight/ }).click();
  await page.getByRole('button', { name: 'All 4 are tight' }).click();
  await expect(page.getByRole('heading', { name: 'Everything is back and closed' })).toBeVisible();
  // With everything back the tray lies folded.
  await page.getByRole('button', { name: 'all back' }).click();
  await place(page, /M3×6/).click();
  await dialog(page).getByLabel('How many').fill('2');
  await dialog(page).getByRole('button', { name: 'Off again' }).click();
  await expect(page.getByRole('heading', { name: 'Screw in 2 × M3×6, plinth' })).toBeVisible();
});

test('what the line does not understand is kept and marked, never dropped', async ({ page }) => {
  await page.getByLabel('Came off:').fill('lift ticket chute @@ 12#');
  await expect(page.getByText('Not understood')).toBeVisible();
  await expect(page.getByText('@@', { exact: true })).toBeVisible();
  // Once it is shown, the second time it is taken.
  await page.keyboard.press('Enter');
  await expect(page.getByText('was not understood.')).toBeVisible();
  await expect(place(page, /ticket chute/)).toHaveCount(0);
  await page.keyboard.press('Enter');
  await expect(place(page, /ticket chute 12#/)).toBeVisible();
  // A name that is nearly one of the unit offers the one that is.
  await page.getByLabel('Came off:').fill('2 x M3x8 PH1 innre panel > cup 7');
  await page.keyboard.press('Enter');
  await expect(page.getByText('is nothing of this unit. Did you mean')).toBeVisible();
  await page.getByRole('button', { name: 'inner panel', exact: true }).click();
  await expect(page.getByLabel('Came off:')).toHaveValue('2 x M3x8 PH1 inner panel > cup 7');
  await page.keyboard.press('Enter');
  await expect(place(page, /cup 7: 2 off/)).toBeVisible();
  // A line is corrected after it was recorded, with what follows from it.
  await page.getByRole('button', { name: 'Correct: 2 x M3x8 PH1 inner panel > cup 7' }).click();
  await page.getByLabel('Came off:').fill('3 x M3x8 PH1 inner panel > cup 7');
  await page.keyboard.press('Enter');
  await expect(place(page, /cup 7: 3 off/)).toBeVisible();
  // Heat takes nothing off: it is a move, with its time, and stays live until it is said off.
  await page.getByLabel('Came off:').fill('heat front edge 2 min');
  await page.keyboard.press('Enter');
  const live = page.getByRole('region', { name: 'Live now' });
  await expect(live).toContainText('Heater at front edge: hot');
  await expect(page.getByRole('list', { name: 'Timers' })).toContainText('heat front edge');
  await live.getByRole('button', { name: 'It is off' }).click();
  await expect(live).not.toContainText('Heater');
  // Two moves on one line are two things.
  await page.getByLabel('Came off:').fill('1 x M4x8 T20 hasp, 2 x M4x12 T20 hasp > cup 9');
  await page.keyboard.press('Enter');
  await expect(place(page, /cup 9: 2 off/)).toBeVisible();
  await expect(place(page, /1 off, M4×8 T20, hasp/)).toBeVisible();
  await page.getByLabel('Came off:').fill('flip back');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Flipped, back up')).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByText('Say what came off, such as: unplug J7')).toBeVisible();
});

test('a screw found on the floor is matched to where it is missing', async ({ page }) => {
  await cameOff(page, '4 x M3x8 PH1 plinth > cup 1');
  await cameOff(page, '3 x M3x8 T10 hinge > cup 2');
  await place(page, /cup 2: 3 off/).click();
  await dialog(page).getByLabel('How many').fill('1');
  await dialog(page).getByRole('button', { name: 'Cannot be found' }).click();
  await page.getByRole('button', { name: 'A screw was found' }).click();
  await dialog(page).getByLabel('What it is').fill('M5x30');
  await expect(dialog(page).getByText('Nothing like it came off this unit')).toBeVisible();
  await dialog(page).getByLabel('What it is').fill('M3x8');
  const first = dialog(page).getByRole('listitem').first();
  await expect(first).toContainText('hinge');
  await first.getByRole('button', { name: 'It is this one' }).click();
  await expect(place(page, /cup 2: 3 off/)).toBeVisible();
});

test('what takes the place of a torn cable is owed and proven, and loose screws are named before a turn', async ({
  page,
}) => {
  await cameOff(page, '2 x M3x8 PH1 shroud > its hole');
  await page.getByLabel('Came off:').fill('flip bottom');
  await expect(page.getByText('Before you turn it: M3×8 PH1 in its own hole')).toBeVisible();
  await cameOff(page, 'unplug lamp ribbon');
  await page.getByLabel('Came off:').fill('flip bottom');
  await expect(page.getByRole('status').filter({ hasText: 'Before you turn it' })).not.toContainText(
    'lamp ribbon',
  );
  await page.getByLabel('Came off:').fill('');
  await place(page, /lamp ribbon/).click();
  await dialog(page).getByRole('button', { name: 'Write off' }).click();
  await dialog(page).getByLabel('Written off because').fill('torn at the stiffener');
  await dialog(page).getByLabel('In its place').fill('new lamp ribbon');
  await dialog(page).getByRole('button', { name: 'Write off' }).click();
  // A dust cap that is lost and not replaced is owed no longer.
  await cameOff(page, 'lift dust cap > shelf');
  await place(page, /dust cap/).click();
  await dialog(page).getByLabel('Written off because').fill('crumbled');
  await dialog(page).getByLabel('In its place').fill('nothing');
  await dialog(page)
    .getByRole('checkbox', { name: /It goes in here/ })
    .uncheck();
  await dialog(page).getByRole('button', { name: 'Write off' }).click();
  await page.getByRole('link', { name: /^Close up/ }).click();
  await expect(page.getByRole('heading', { name: 'Plug in lamp ribbon' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Way back' })).toContainText('new lamp ribbon');
  await page.getByRole('button', { name: 'It is plugged' }).click();
  await expect(page.getByRole('heading', { name: 'Prove lamp ribbon' })).toBeVisible();
});
