import { alive, allSent, expect, freshJob, test } from './bench-test';

test('old and new side by side: figures in any unit, a verdict on every line, nothing lost on reload', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/batteries`);
  await alive(page);
  const old = page.getByRole('region', { name: 'Old battery' });
  const fresh = page.getByRole('region', { name: 'New battery' });
  const verdict = page.getByRole('region', { name: 'Verdict' });
  await expect(verdict.getByRole('heading', { name: 'Type what the labels say' })).toBeVisible();
  await old.getByLabel('Chemistry').selectOption('li-ion');
  await old.getByLabel('Form').selectOption('pouch');
  for (const [name, text] of [
    ['Nominal, V', '3,7'],
    ['Full charge, one cell, V', '4.2'],
    ['Capacity, as printed, Ah', '900 mAh'],
    ['Length, mm', '4.8 cm'],
    ['Width, mm', '30'],
    ['Thickness, mm', '5.6'],
    ['Contacts, from 1', '+ −'],
  ] as const)
    await old.getByLabel(name).fill(text);
  await fresh.getByRole('button', { name: 'As the old one' }).click();
  await fresh.getByLabel('Thickness, mm').fill('5');
  await expect(verdict.getByRole('heading', { name: 'It fits, as far as is known' })).toBeVisible();
  await expect(fresh.getByRole('img', { name: /48 × 30 mm, contacts \+ -/ })).toBeVisible();

  await fresh.getByLabel('Capacity, as printed, Ah').fill('9 Wh');
  await expect(fresh.getByText('is in Wh, this is read in Ah')).toBeVisible();
  await fresh.getByLabel('Capacity, as printed, Ah').fill('2400m');
  await expect(verdict.getByText('not credible', { exact: true })).toBeVisible();
  await fresh.getByLabel('Contacts, from 1').fill('- +');
  await expect(verdict.getByRole('heading', { name: 'Do not fit it' })).toBeVisible();
  await expect(verdict.getByText('contact 1 carries − where + was')).toBeVisible();
  await page.getByLabel('Load, A').fill('300m');
  await expect(page.getByRole('img', { name: /Runtime over load/ })).toBeVisible();
  await page.getByLabel('Charger, A').fill('-1');
  await expect(verdict.getByText('type a figure over 0')).toBeVisible();
  await page.getByLabel('Charger, A').fill('');
  await page.reload();
  await alive(page);
  await expect(fresh.getByLabel('Contacts, from 1')).toHaveValue('- +');
  await expect(page.locator('body')).not.toContainText(/NaN|Infinity/);
});

test('charge after a timed rest, hours wanted, and chemistry rows that are changed and kept', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/batteries`);
  await alive(page);
  const fresh = page.getByRole('region', { name: 'New battery' });
  await page.getByRole('button', { name: 'Clear both' }).click();
  await fresh.getByLabel('Chemistry').selectOption('lead-acid');
  await fresh.getByLabel('Capacity, as printed, Ah').fill('14');
  await page.getByRole('button', { name: /Cells, mounting/ }).click();
  await fresh.getByLabel('Cells in series').fill('2');
  await fresh.getByLabel('Cells measured, V').fill('12.7 12.1');
  await expect(fresh.getByRole('img', { name: 'as fitted: 2 in series' })).toBeVisible();
  await expect(page.getByText('cell 2 is low, cell 1 high: over 50 mV is not even')).toBeVisible();

  await page.getByRole('tab', { name: 'Charge and hours' }).click();
  const left = page.getByRole('region', { name: 'Charge left' });
  await left.getByLabel('Chemistry').selectOption('lead-acid 12 V');
  await left.getByLabel('At rest, V').fill('12,5');
  await expect(left.getByRole('heading', { name: 'About 80 % full' })).toBeVisible();
  await left.getByRole('button', { name: 'The rest begins now' }).click();
  await expect(left.getByText(/4\.0\sh to go|to go\. Until then the figure says little/)).toBeVisible();
  await left.getByLabel('At rest, V').fill('40');
  await expect(left.getByText(/is the number in series right/)).toBeVisible();
  await left.getByLabel('At rest, V').fill('12.5');
  const hours = page.getByRole('region', { name: 'Hours' });
  await hours.getByLabel('Load, A').fill('1');
  await hours.getByLabel('Hours wanted').fill('24');
  await expect(hours.getByText(/That asks for/)).toBeVisible();

  await page.getByRole('tab', { name: 'Chemistry' }).click();
  const row = page.getByRole('region', { name: 'Chemistry row' });
  await row.getByLabel('Rest voltages, V and %, from full to empty').fill('12.7 100; 12.8 50');
  await row.getByRole('button', { name: 'Keep the rows' }).click();
  await expect(row.getByText(/fall from full to empty: 12.8 V, 50 % does not/)).toBeVisible();
  await row.getByLabel('Rest voltages, V and %, from full to empty').fill('12.7 100; 12.5 40; 10.5 0');
  await row.getByLabel('Source').fill('measured at this bench');
  await row.getByRole('button', { name: 'Keep the rows' }).click();
  await expect(row.getByText(/kept as version \d/)).toBeVisible();
  await page.getByRole('tab', { name: 'Charge and hours' }).click();
  await expect(left.getByRole('heading', { name: '39 to 49 % full' })).toBeVisible();
  await page.reload();
  await alive(page);
  await page.getByRole('tab', { name: 'Charge and hours' }).click();
  await expect(left.getByRole('heading', { name: '39 to 49 % full' })).toBeVisible();
  await expect(left.getByText(/measured at this bench, rows of version/)).toBeVisible();
  await page.getByRole('tab', { name: 'Chemistry' }).click();
  await row.getByRole('button', { name: 'All as shipped' }).click();
  await expect(row.getByText(/kept as version \d/)).toBeVisible();
});

test('in a job the new battery is compared in Plan, holds the swap, and goes into the calendar', async ({
  page,
  demo,
}) => {
  const job = await freshJob(page, demo.url, 'Photo-booth printer, north arcade');
  await page.getByRole('radio', { name: 'Prints a whole strip' }).check({ force: true });
  await page.getByLabel('What happens instead').fill('Goes dark');
  await page.getByRole('button', { name: /^Record/ }).click();
  await page.waitForURL('**/trace');
  await page.getByRole('link', { name: /^Plan/ }).click();
  await page.getByLabel('Element to mend').selectOption({ value: 'B1' });
  const fits = page.getByRole('region', { name: 'Does the new one fit' });
  await fits.getByRole('button', { name: 'Compare old and new' }).click();
  const dialog = page.getByRole('dialog');
  const old = dialog.getByRole('region', { name: 'Old battery' });
  await old.getByLabel('Chemistry').selectOption('li-ion');
  await old.getByLabel('Contacts, from 1').fill('+ -');
  await dialog.getByRole('button', { name: 'As the old one' }).click();
  await dialog.getByRole('region', { name: 'New battery' }).getByLabel('Contacts, from 1').fill('- +');
  await dialog.getByRole('button', { name: 'Keep it in the job' }).click();
  await expect(fits.getByRole('heading', { name: 'Do not fit it' })).toBeVisible();
  await allSent(page);
  await page.goto(`${job}/plan`);
  await alive(page);
  await page.getByLabel('Element to mend').selectOption({ value: 'B1' });
  await expect(fits.getByText('polarity, contact 1 carries − where + was')).toBeVisible();
  const answer = await page.request.get(`${job.replace('/jobs/', '/api/jobs/')}/replace-by`);
  expect(answer.status()).toBe(409);
  expect((await answer.json()).detail).toContain('compare old and new battery');
});
