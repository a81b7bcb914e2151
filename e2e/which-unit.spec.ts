import { describeUnit } from '../src/core/unit';
import { alive, allSent, expect, foot, freshJob, test } from './bench-test';
import { byKey } from './hands';

test('a unit that came before shows its story, by key alone; a mark nearly the same is asked about', async ({
  page,
  demo,
}) => {
  await freshJob(page, demo.url, 'Hearing-loop amplifier, ticket hall');
  const hand = byKey(page);
  const which = page.getByRole('region', { name: 'Which unit this is' });
  await hand.type(/^Serial or asset mark$/, 'qf 40 O311');
  await hand.send();
  const asked = which.getByRole('group', { name: 'Is it QF-40-0311?' });
  await expect(asked).toContainText('nearly the same mark');
  await expect(which.getByText('No earlier job on this unit.')).toBeVisible();
  await hand.press(/^It is QF-40-0311$/);
  await expect(asked).toHaveCount(0);
  const earlier = which.getByRole('list', { name: 'Earlier jobs on this unit' });
  await expect(earlier.getByRole('link', { name: 'SP-077' })).toBeVisible();
  await expect(earlier).not.toContainText('Came back');

  // The same function fails again: that is a comeback.
  await page.getByRole('radio', { name: 'Loop heard on the left side of the hall' }).check();
  await page.getByLabel('What happens instead').fill('silent again');
  await foot(page).getByRole('button', { name: 'Record' }).click();
  await page.waitForURL('**/trace');
  await allSent(page);
  await page.goto(page.url().replace('/trace', '/take-in'));
  await alive(page);
  await expect(earlier.getByText(/^Came back after \d+ days with the same fault$/).first()).toBeVisible();
  // Nothing to read in it is said at the field, and what was typed stays.
  await page.getByLabel('Serial or asset mark', { exact: true }).fill('--');
  await which.getByRole('button', { name: 'Keep it so' }).click();
  await expect(which.getByText('nothing can be read in “--”')).toBeVisible();
});

test('Ctrl K finds jobs, units and sums in one list, by key alone', async ({ page, demo }) => {
  await page.goto(demo.url);
  await alive(page);
  await page.keyboard.press('Control+k');
  const sheet = page.getByRole('dialog', { name: 'Find' });
  await page.keyboard.type('QF-40');
  await expect(sheet.getByRole('option', { name: /SP-077 Hearing-loop amplifier/ })).toBeVisible();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('departure');
  await expect(sheet.getByRole('option', { name: /Ferry departure board/ }).first()).toBeVisible();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('"ticket office" tag:sp-117');
  await expect(sheet.getByRole('option')).toHaveCount(1);
  await page.keyboard.press('Enter');
  await page.waitForURL('**/take-in');
});

test('practice on a unit that was described from nothing: every kind is made from its map, or says why not', async ({
  page,
  demo,
}) => {
  const map = describeUnit({
    name: 'Slipway winch panel',
    maker: 'Orrin',
    model: 'WP-2',
    does: 'Winch pulls and holds',
    rows: [
      { id: 'S1', name: 'pull lever', kind: 'sensor', outside: true },
      { id: 'W1', name: 'lever loom', kind: 'cable' },
      {
        id: 'A1',
        name: 'panel board',
        kind: 'board',
        tap: { id: 'TP1', how: 'measure', nominal: 24, tolerance: 1, unit: 'V', inside: true },
      },
      { id: 'W2', name: 'motor loom', kind: 'cable' },
      { id: 'M1', name: 'winch motor', kind: 'motor' },
      { id: 'P1', name: 'panel supply', kind: 'supply' },
    ],
    cover: 'panel door, inner plate',
    coverMinutes: 3,
    hazards: ['mains'],
  } as Parameters<typeof describeUnit>[0]);
  const sent = await page.request.post(`${demo.url}/api/units`, {
    data: { id: '01M2W1NCHPANE10000000000AA', version: 0, place: 'slipway', map },
  });
  expect(sent.status()).toBe(201);
  await page.goto(`${demo.url}/practice`);
  await alive(page);
  await page.getByLabel('On', { exact: true }).selectOption({ label: 'Slipway winch panel, slipway' });
  await page.getByRole('button', { name: 'Start plugs back' }).click();
  await expect(page.getByText('Slipway winch panel has no board with 3 plugs on its map')).toBeVisible();
  for (const kind of ['what is missing', 'way back', 'fits, or not', 'quick reading']) {
    await page.goto(`${demo.url}/practice`);
    await alive(page);
    await page.getByLabel('On', { exact: true }).selectOption({ label: 'Slipway winch panel, slipway' });
    await page.getByRole('button', { name: `Start ${kind}` }).click();
    await page.waitForURL('**/practice/*');
    await alive(page);
    await expect(page.getByRole('region', { name: 'Practice' })).toContainText('Slipway winch panel');
  }
  await page.goto(`${demo.url}/practice`);
  await alive(page);
  await page.getByLabel('To', { exact: true }).selectOption({ label: 'Slipway winch panel, slipway' });
  await page.getByRole('button', { name: 'Start: Its likeliest fault' }).click();
  await page.waitForURL('**/trace');
  await alive(page);
  await expect(page.getByText('Winch pulls and holds: fails')).toBeVisible();
  await expect(
    page.getByRole('region', { name: 'What can be done' }).getByRole('button', { name: /Measure at TP1/ }),
  ).toBeVisible();
});
