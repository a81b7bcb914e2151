import { alive, allSent, expect, freshJob, test } from './bench-test';

test('a sum is found by typing, answers as it is typed, and says what it cannot answer', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/sums`);
  await alive(page);
  await page.keyboard.press('/');
  await page.keyboard.type('ferrule gauge');
  await page.getByRole('link', { name: 'Ferrule for a gauge' }).click();
  const answer = page.locator('output').first();
  await expect(answer).toContainText('1.5');
  await page.getByLabel('Gauge, AWG').fill('20 AWG');
  await expect(answer).toContainText('white');
  await page.getByLabel('Gauge, AWG').fill('2/0');
  await expect(page.getByText('over the largest ferrule')).toBeVisible();

  await page.goto(`${demo.url}/sums/discharge`);
  await alive(page);
  await page.getByLabel('Resistor, Ω').fill('4k7');
  await page.getByLabel('Capacitor, F').fill('100u');
  await expect(answer).toContainText('1.955 s');
  await expect(page.getByRole('img', { name: /voltage over time/ })).toBeVisible();
  await expect(page.getByText(/Resistor ± 5 % makes “Takes” −5\.0 % or \+5\.0 %/)).toBeVisible();
  for (const [typed, says] of [
    ['-3', 'must be over 0'],
    ['0', 'must be over 0'],
    ['NaN', 'is not a reading'],
    ['3 V', 'is in V, this is read in Ω'],
    ['1e400', 'too large'],
  ] as const) {
    await page.getByLabel('Resistor, Ω').fill(typed);
    await expect(page.getByText(says).first()).toBeVisible();
    await expect(answer).toContainText('No answer yet');
  }
  await page.getByLabel('Resistor, Ω').fill('1,5k');
  await expect(answer).toContainText('1.5');
  await expect(page.locator('body')).not.toContainText(/NaN|Infinity/);

  await page.goto(`${demo.url}/sums/cell-density`);
  await alive(page);
  await page.getByLabel('Claimed, Ah').fill('1200');
  await expect(page.getByText('Is it in mAh, or in Wh?')).toBeVisible();
  await page.getByLabel('Claimed, Ah').fill('5 Wh');
  await expect(page.getByText('is in Wh, this is read in Ah')).toBeVisible();
  await page.getByLabel('Claimed, Ah').fill('1200m');
  await expect(answer).toContainText('not credible');
});

test('a sum opens where it is needed and is kept in the job', async ({ page, demo }) => {
  const job = await freshJob(page, demo.url, 'Hearing-loop amplifier, ticket hall');
  await page.getByRole('radio', { name: /left side/ }).check();
  await page.getByLabel('What happens instead').fill('silent');
  await page.getByRole('button', { name: /^Record/ }).click();
  await page.waitForURL('**/trace');
  await page.goto(`${job}/make-safe`);
  await alive(page);
  await page.getByRole('button', { name: 'Work the discharge out' }).click();
  const card = page.getByRole('dialog', { name: 'Discharge a capacitor' });
  await expect(card.getByLabel('Charged to, V')).toHaveValue('68');
  await expect(card.getByLabel('Resistor, Ω')).toHaveValue('470');
  await card.getByLabel('Capacitor, F').fill('2200u');
  await card.getByLabel('Note to it').fill('C11 and C12 together');
  await card.getByRole('button', { name: 'Keep in the job' }).click();
  await expect(card.getByText('kept in the job')).toBeVisible();
  await page.keyboard.press('Escape');
  await allSent(page);
  await page.goto(`${job}/hand-over`);
  await alive(page);
  await expect(page.getByRole('article')).toContainText('C11 and C12 together');

  // The cabinet comes late on a slow line.
  await page.route(/SumFinder[^/]*\.js/, (route) => setTimeout(() => route.continue(), 700));
  await page.keyboard.press('Control+k');
  // What is typed at once is for the finder, also while it is still being fetched.
  await page.keyboard.type('rs-232');
  await expect(page.getByLabel('Find a job, a unit or a sum')).toHaveValue('rs-232');
  await expect(page.getByRole('option')).toHaveCount(1);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog', { name: 'Which serial level is it' })).toContainText('RS-232');
  await expect(page).toHaveURL(/hand-over$/);
});
