import { alive, allSent, clearGates, expect, freshJob, test } from './bench-test';
import { axe } from './faults';

test('wrong matings are worked out, fewest labels, printed; a table tells what is wrong with a row', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/units`);
  await alive(page);
  await page.getByRole('link', { name: 'Map of Photo-booth printer' }).click();
  await alive(page);
  const map = page.url();
  await page.getByRole('link', { name: 'Plugs', exact: true }).click();
  await alive(page);
  await expect(page.getByRole('heading', { name: 'Worst first' })).toBeVisible();
  await expect(page.getByText(/can destroy what is on it/).first()).toBeVisible();
  await expect(page.getByRole('region', { name: 'Before anything is unplugged' })).toContainText('W6');
  const violations = await axe(page);
  expect(violations.filter((v) => ['serious', 'critical'].includes(v.impact ?? ''))).toEqual([]);
  const pdf = await page.request.get(`${map.replace('/units/', '/api/units/')}/labels`);
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');

  await page.goto(map);
  await alive(page);
  await page.getByRole('tab', { name: /Headers/ }).click();
  await page.getByLabel('Positions of J2').fill('12');
  await expect(page.getByText('J2 has 12 positions and 4 lines').first()).toBeVisible();
  await page.getByLabel('Contacts, from 1 of J2').fill('+24V;;GND');
  await expect(page.getByText('contact 2 is empty: write nc').first()).toBeVisible();
  await expect(page.getByLabel('Contacts, from 1 of J2')).toHaveValue('+24V;;GND');
  await page
    .getByRole('button', { name: /Drop what was left|Undo/ })
    .first()
    .click();
});

test('a plug at risk asks for its mark before it is unplugged, and says where it goes on the way back', async ({
  page,
  demo,
}) => {
  const job = await freshJob(page, demo.url, 'Photo-booth printer, north arcade');
  await allSent(page);
  await page.goto(`${job}/make-safe`);
  await alive(page);
  await clearGates(page, [
    ['Mains', '0'],
    ['C14', '3'],
  ]);
  await allSent(page);
  await page.goto(`${job}/open-up`);
  await alive(page);
  await page.getByLabel('Came off:').fill('unplug W6 2p');
  await expect(page.getByText(/dot contact 1 on plug and board/)).toBeVisible();
  await page.keyboard.press('Enter');
  await allSent(page);
  await page.goto(`${job}/close-up`);
  await alive(page);
  await expect(page.getByText(/upper left, red dot/).first()).toBeVisible();
  await expect(page.getByText(/2 of 2 seated, latch down, a tug/)).toBeVisible();
});
