import { alive, allSent, cameOff, clearGates, expect, freshJob, test, toStop } from './bench-test';

/** Questions that are asked once, where only the technician can know. */

test('screws whose words name no cover are asked for before it closes for good', async ({ page, demo }) => {
  await freshJob(page, demo.url, 'Ferry departure board, landing stage');
  await toStop(page, /^Make safe/);
  await clearGates(page, []);
  const gates = page.getByRole('region', { name: /^Gate: / });
  for (const region of await gates.all()) {
    if ((await region.getAttribute('data-up')) === 'true') continue;
    for (const box of await region.getByRole('checkbox').all()) if (await box.isVisible()) await box.check();
    const reading = region.getByLabel(/Reading at/);
    if (await reading.count()) await reading.fill('0');
    if (await region.getByRole('button', { name: 'Gate up' }).count())
      await region.getByRole('button', { name: 'Gate up' }).click();
  }
  await toStop(page, /^Open up/);
  await cameOff(page, '5 x M4x10 PH2 > cup 7', 'lift bezel plate > shelf');
  await toStop(page, /^Close up/);
  const asked = page.getByRole('region', { name: 'Whose screws' });
  await expect(asked).toContainText('Whose are the 5 × M4×10 PH2, in cup 7?');
  await page.getByRole('button', { name: 'It is on' }).click();
  await page.getByRole('button', { name: 'The bezel plate is closed' }).click();
  await expect(page.getByText('Say first whose they are: 5 × M4×10 PH2, in cup 7')).toBeVisible();
  await asked.getByRole('button', { name: 'The bezel plate' }).click();
  await expect(asked).toHaveCount(0);
  await page.getByRole('button', { name: 'All 5 are tight' }).click();
  await page.getByRole('button', { name: 'The bezel plate is closed' }).click();
  await expect(page.getByRole('heading', { name: 'Everything is back and closed' })).toBeVisible();
  await allSent(page);

  // Undone, they are asked for again.
  await page.keyboard.press('u');
  await page.keyboard.press('u');
  await page.keyboard.press('u');
  await expect(asked).toContainText('Whose are the 5 × M4×10 PH2');
});

test('what lies over the plug of a pack is named once and comes off before its gate', async ({
  page,
  demo,
}) => {
  const job = await freshJob(page, demo.url, 'Photo-booth printer, north arcade');
  await toStop(page, /^Make safe/);
  await clearGates(page, [
    ['Mains', '0'],
    ['C14', '3'],
  ]);
  await toStop(page, /^Open up/);
  await cameOff(page, 'lift rear cover > shelf', 'slide shield plate > shelf');
  await page.getByLabel('Came off:').fill('lift cell bracket > shelf');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/Held by B1 pack/).first()).toBeVisible();
  await toStop(page, /^Make safe/);
  const pack = page.getByRole('region', { name: 'Gate: B1 pack', exact: true });
  await pack.getByRole('button', { name: 'Something lies over its plug' }).click();
  await pack.getByRole('button', { name: 'Keep it' }).click();
  await expect(pack.getByText('say what lies over it')).toBeVisible();
  await pack.getByLabel('What comes off first').fill('cell bracket');
  await pack.getByRole('button', { name: 'Keep it' }).click();
  await expect(pack.getByText('Comes off before its plug is reached: cell bracket.')).toBeVisible();
  await toStop(page, /^Open up/);
  await cameOff(page, 'lift cell bracket > shelf');

  // Swollen is said at its gate, stays over a reload, and is taken back where it was not.
  await toStop(page, /^Make safe/);
  await pack.getByRole('button', { name: 'It is swollen' }).click();
  await expect(pack.getByRole('alert')).toContainText('No heat, no lever on it');
  await allSent(page);
  await page.goto(`${job}/make-safe`);
  await alive(page);
  await expect(pack.getByRole('alert')).toBeVisible();
  await pack.getByRole('button', { name: 'It is not swollen' }).click();
  await expect(pack.getByRole('alert')).toHaveCount(0);
});
