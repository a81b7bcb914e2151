import { alive, expect, test } from './bench-test';

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
