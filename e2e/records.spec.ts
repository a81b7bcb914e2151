import { readFileSync } from 'node:fs';
import { unzipSync } from 'fflate';
import { alive, allSent, expect, foot, test } from './bench-test';
import { axe } from './faults';
import { byKey } from './hands';
import { type Running, startMulch } from './mulch';

/** Saltmarsh Pier with two years of its record. */
let mulch: Running;
test.beforeAll(async () => {
  mulch = await startMulch({ demo: 'years' });
});
test.afterAll(() => mulch.stop());

test('every job is found again by what is remembered of it, by key alone, and by an address', async ({
  page,
}) => {
  await page.goto(mulch.url);
  await alive(page);
  await page.keyboard.press('d');
  await page.waitForURL('**/records');
  await alive(page);
  const jobs = page.getByRole('region', { name: 'Jobs of the record' });
  await expect(jobs.getByRole('link').first()).toContainText('SP-117');
  // The list goes on as far as there are jobs: what comes into sight is fetched.
  // So many are drawn as they come into sight: once that has begun, the rows stay.
  await page.getByTestId('virtuoso-item-list').waitFor();
  await page.keyboard.press('ArrowDown');
  await expect(jobs.getByRole('link').first()).toBeFocused();
  // Rows are as high as their words: the end moves while they come.
  await expect(async () => {
    await page.keyboard.press('End');
    await expect(jobs.getByText('SY-101')).toBeVisible({ timeout: 700 });
  }).toPass();
  await page.keyboard.press('/');
  await page.keyboard.type('tag:SP-0 -dead "comes and goes"');
  await expect(foot(page).getByText('3 jobs')).toBeVisible();
  await expect(jobs.getByRole('link')).toHaveCount(3);
  await page.reload();
  await alive(page);
  await expect(jobs.getByRole('link')).toHaveCount(3);
  await byKey(page).pick(/^Element$/, /^W7/);
  await expect(foot(page).getByText('2 jobs')).toBeVisible();
  await expect(foot(page).getByText('2 filters')).toBeVisible();
  // What is like nothing says what to do.
  await page.getByLabel('Words').fill('"no such words"');
  await expect(page.getByText('No job is like that. Drop a filter')).toBeVisible();
  await foot(page).getByRole('button', { name: 'All jobs again' }).click();
  await expect(jobs.getByRole('link').first()).toBeVisible();
  const violations = await axe(page);
  expect(violations.map((v) => [v.id, v.nodes.map((n) => n.html)])).toEqual([]);
});

test('what the jobs teach, the days of a comeback, and minutes taken onto a map and back', async ({
  page,
}) => {
  await page.goto(`${mulch.url}/records`);
  await alive(page);
  await page.keyboard.press('w');
  await expect(page.getByRole('region', { name: 'How long it holds' })).toBeVisible();
  const cameBack = page.getByText(/^Came back within \d+ days$/).locator('..');
  await expect(cameBack).toContainText(/\d+ of \d+, between/);
  const before = await cameBack.textContent();
  await page.getByLabel('A comeback is the same fault within').fill('ninety');
  await page.getByRole('button', { name: 'Set', exact: true }).click();
  await expect(page.getByText('a whole number of days, from 1 to 3650')).toBeVisible();
  await page.getByLabel('A comeback is the same fault within').fill('14');
  await page.getByRole('button', { name: 'Set', exact: true }).click();
  await expect(page.getByText('Came back within 14 days')).toBeVisible();
  expect(await cameBack.textContent()).not.toBe(before);

  await page.getByLabel('Model').selectOption({ label: await labelOf(page, 'Hapstock SI-900') });
  const minutes = page.getByRole('region', { name: 'Minutes of the map' });
  const first = minutes.getByRole('checkbox').first();
  await first.waitFor();
  const rows = await minutes.getByRole('checkbox').count();
  await first.check();
  await minutes.getByRole('button', { name: 'Take 1 onto the map' }).click();
  await expect(minutes.getByRole('checkbox')).toHaveCount(rows - 1);
  await minutes.getByRole('button', { name: 'Undo: the map as it was' }).click();
  await expect(minutes.getByRole('checkbox')).toHaveCount(rows);
  const violations = await axe(page);
  expect(violations.map((v) => [v.id, v.nodes.map((n) => n.html)])).toEqual([]);

  const waiting = page.waitForEvent('download');
  await foot(page).getByRole('link', { name: 'As a table (CSV)' }).click();
  const csv = readFileSync((await (await waiting).path()) ?? '', 'utf8');
  expect(csv.split('\n')[0]).toBe('figure,what,value,unit,low,high,count,of\r');
  // On a phone the figures stay within the page.
  await page.setViewportSize({ width: 390, height: 844 });
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await expect(page.getByRole('button', { name: 'More filters' })).toBeVisible();
});

const labelOf = async (page: import('@playwright/test').Page, model: string): Promise<string> =>
  (await page.getByLabel('Model').locator('option', { hasText: model }).textContent()) ?? '';

test('the owner’s page, what is owed, a signature and the bundle, which another Mulch reads in', async ({
  page,
}) => {
  await page.goto(`${mulch.url}/workshop`);
  await alive(page);
  await page.getByLabel('Name of the workshop').fill('Boardwalk Repairs');
  await page.getByLabel('An hour at work').fill('58,5x');
  await page.keyboard.press('Enter');
  await expect(page.getByText('is no amount of money')).toBeVisible();
  await page.getByLabel('An hour at work').fill('58,50');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Kept. It stands on every paper from now on.')).toBeVisible();

  const jobs = (await (await page.request.get(`${mulch.url}/api/jobs?handedOver=yes`)).json()) as {
    id: string;
    tag: string;
  }[];
  const job = jobs.find((j) => j.tag === 'SP-077')?.id ?? '';
  await page.goto(`${mulch.url}/jobs/${job}/hand-over`);
  await alive(page);
  await page.getByText('The owner’s page', { exact: true }).click();
  await expect(page.getByRole('region', { name: 'What was wrong' })).toContainText(
    'Left side comes and goes',
  );
  await expect(page.getByRole('region', { name: 'Shown to work' })).toContainText('it did not before');
  const owed = page.getByRole('region', { name: 'Owed', exact: true });
  await owed.getByRole('button', { name: 'Write it down as owed' }).click();
  await expect(owed.getByText('say what is owed, and to whom')).toBeVisible();
  await owed.getByLabel('Kind').selectOption('core to return');
  await owed.getByLabel('Still owed').fill('old ribbon to its maker');
  await owed.getByLabel('By the day').fill('2026-01-15');
  await owed.getByRole('button', { name: 'Write it down as owed' }).click();
  await expect(owed.getByText('overdue')).toBeVisible();

  await page.getByRole('button', { name: 'Sign for it' }).click();
  const sheet = page.getByRole('dialog', { name: 'Signed for' });
  await sheet.getByLabel('Who signs').fill('M. Wren');
  await sheet.getByRole('button', { name: 'Keep it' }).click();
  await expect(sheet.getByText('sign in the field first')).toBeVisible();
  const field = await sheet.getByLabel('Field to sign in').boundingBox();
  if (!field) throw new Error('no field');
  await page.mouse.move(field.x + 30, field.y + 60);
  await page.mouse.down();
  for (let k = 1; k <= 12; k++) await page.mouse.move(field.x + 30 + 15 * k, field.y + 60 + (k % 3) * 20);
  await page.mouse.up();
  await sheet.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByRole('img', { name: 'Signature of M. Wren' }).first()).toBeVisible();
  await allSent(page);
  await expect(sheet).toHaveCount(0);
  const violations = await axe(page);
  expect(violations.filter((v) => v.impact === 'serious' || v.impact === 'critical')).toEqual([]);

  // On the bench until it is ticked.
  await page.goto(mulch.url);
  await alive(page);
  const here = page.getByRole('region', { name: 'Owed', exact: true });
  await expect(here).toContainText('1 overdue');
  await here.getByRole('link', { name: /old ribbon to its maker/ }).click();
  await page.waitForURL('**/hand-over');
  await alive(page);
  const papers = page.getByRole('region', { name: 'On paper and as files' });
  const coming = page.waitForEvent('download');
  await papers.getByRole('link', { name: 'Everything as a bundle' }).click();
  const bundle = (await (await coming).path()) ?? '';
  expect(Object.keys(unzipSync(readFileSync(bundle))).sort()).toEqual([
    'SHA256SUMS',
    'job.mulch.json',
    'readings.csv',
    'report-owner.pdf',
    'report-workshop.pdf',
  ]);
  await owed.getByRole('button', { name: 'Done' }).click();
  await expect(owed.getByRole('button', { name: 'Done' })).toHaveCount(0);

  const other = await startMulch();
  try {
    await page.goto(other.url);
    await alive(page);
    const zip = { name: 'SP-077.mulch.zip', mimeType: 'application/zip' };
    const bytes = readFileSync(bundle);
    const file = page.getByLabel('Job file or bundle');
    const spoilt = Buffer.from(bytes);
    const middle = Math.floor(spoilt.length / 2);
    spoilt.fill(0, middle, middle + 40);
    await file.setInputFiles({ ...zip, buffer: spoilt });
    await expect(page.getByText('Nothing was taken in.')).toBeVisible();
    await file.setInputFiles({ ...zip, buffer: bytes });
    await page.waitForURL('**/hand-over');
    await alive(page);
    await expect(page.getByRole('img', { name: 'Signature of M. Wren' }).first()).toBeVisible();
  } finally {
    await page.goto('about:blank');
    await other.stop();
  }
});

test('an owner’s data is given out whole and taken out, the figures stay', async ({ page }) => {
  await page.goto(`${mulch.url}/records?owner=Saltmarsh+Town+Band`);
  await alive(page);
  const jobs = page.getByRole('region', { name: 'Jobs of the record' });
  const n = await jobs.getByRole('link').count();
  expect(n).toBeGreaterThan(2);
  const data = page.getByRole('region', { name: 'Data of this owner' });
  const coming = page.waitForEvent('download');
  await data.getByRole('link', { name: 'Give it out' }).click();
  const files = unzipSync(readFileSync((await (await coming).path()) ?? ''));
  expect(Object.keys(files).filter((f) => f.endsWith('.zip'))).toHaveLength(n);
  await data.getByRole('button', { name: 'Take it out' }).click();
  const sheet = page.getByRole('dialog', { name: 'Take an owner out' });
  await sheet.getByLabel('Its name, once more').fill('Town Band');
  await sheet.getByRole('button', { name: 'Take it out' }).click();
  await expect(sheet.getByText('write the name as it stands here')).toBeVisible();
  await sheet.getByLabel('Its name, once more').fill('Saltmarsh Town Band');
  await sheet.getByRole('button', { name: 'Take it out' }).click();
  await expect(sheet.getByText(`Out of ${n} jobs`)).toBeVisible();
  await sheet.getByRole('link', { name: 'Records' }).click();
  await page.waitForURL(/\/records$/);
  await alive(page);
  await page.getByLabel('Words').fill('band');
  await expect(page.getByText('No job is like that.')).toBeVisible();
});
