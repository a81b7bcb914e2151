import { alive, allSent, expect, foot, freshJob, test } from './bench-test';

test('a known way in is followed move by move, left where the unit is otherwise, and kept for the next', async ({
  page,
  demo,
}) => {
  const job = await freshJob(page, demo.url, 'Photo-booth printer, north arcade');
  await page.getByRole('radio', { name: /Prints a whole strip/ }).check();
  await page.getByLabel('What happens instead').fill('dark strips');
  await page.getByLabel('What the unit itself says').fill('pack low');
  await page.getByRole('button', { name: /^Plan at once/ }).click();
  await page.waitForURL('**/plan');
  await allSent(page);
  await page.goto(`${job}/open-up`);
  await alive(page);

  const next = page.getByRole('form', { name: 'Next move' });
  await expect(next.getByText('No order of these moves is quicker.')).toBeVisible();
  await expect(next.getByText('Lay out:')).toBeVisible();
  const first = (await next.getByRole('heading').first().textContent()) ?? '';
  await foot(page)
    .getByRole('button', { name: /^It is off|^Done/ })
    .click();
  await expect(next.getByRole('heading').first()).not.toHaveText(first);
  await expect(page.getByText('1 place in use')).toBeVisible();

  // Undo brings the move back; a reload stays at the same move.
  await page.keyboard.press('u');
  await expect(next.getByRole('heading').first()).toHaveText(first);
  await foot(page)
    .getByRole('button', { name: /^It is off|^Done/ })
    .click();
  await allSent(page);
  await page.reload();
  await alive(page);
  await expect(next.getByRole('heading').first()).not.toHaveText(first);

  // It is otherwise here: the line is there to be put right.
  await foot(page).getByRole('button', { name: 'It is otherwise here' }).click();
  await expect(page.getByLabel('Came off:')).not.toHaveValue('');
  await page.getByLabel('Came off:').fill('3 x M4x6 PH2 door hinge > cup 5');
  await page.keyboard.press('Enter');
  await expect(page.getByText('2 places in use')).toBeVisible();

  // Labels for what is off; a code opens its thing.
  const pdf = await page.request.get(`${job.replace('/jobs/', '/api/jobs/')}/labels`);
  expect(pdf.headers()['content-type']).toBe('application/pdf');
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');

  // What was learned is kept on the map.
  await allSent(page);
  await page.goto(`${job}/hand-over`);
  await alive(page);
  await page.getByRole('button', { name: 'Keep the way in for next time' }).click();
  await expect(page.getByText(/kept on the map, version 2/)).toBeVisible();
});

test('timers run over every view, several at once, and survive a reload', async ({ page, demo }) => {
  await freshJob(page, demo.url, 'Ticket kiosk, turnstile 2');
  await page.keyboard.press('w');
  await page.getByRole('button', { name: /^Start it/ }).click();
  await expect(page.getByText('say what it is for')).toBeVisible();
  await page.getByRole('button', { name: 'glue cures, 30 min' }).click();
  await page.getByRole('button', { name: /^Start it/ }).click();
  await page.keyboard.press('w');
  await page.getByLabel('What for').fill('boots');
  await page.getByLabel('Minutes', { exact: true }).fill('0,01');
  await page.getByRole('button', { name: /^Start it/ }).click();
  const timers = page.getByRole('list', { name: 'Timers' });
  await expect(timers.getByText(/boots over since/)).toBeVisible();
  await expect(timers.getByText(/29:\d\d left/)).toBeVisible();
  await allSent(page);
  await page.reload();
  await alive(page);
  await expect(timers.getByText(/29:\d\d left/)).toBeVisible();
  await page.keyboard.press('2');
  await timers.getByRole('button', { name: 'Seen' }).click();
  await expect(timers.getByText('boots')).toHaveCount(0);
  await expect(timers.getByText('glue cures')).toBeVisible();
});
