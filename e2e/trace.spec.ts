import sharp from 'sharp';
import { ulid } from 'ulid';
import { hearingLoop } from '../src/demo/units/hearing-loop';
import { standInMeter } from '../src/standins/meter/meter';
import { alive, allSent, expect, foot, freshJob, test } from './bench-test';

const MODEL = 'Quayle & Finch HL-40';

async function takenIn(page: import('@playwright/test').Page, url: string, variant: RegExp) {
  const job = await freshJob(page, url, 'Hearing-loop amplifier, ticket hall');
  await page.getByRole('radio', { name: /left side/ }).check();
  await page.getByLabel('What happens instead').fill('silent on the left');
  await page.getByRole('radio', { name: variant }).check();
  await page.getByRole('button', { name: /^Record/ }).click();
  await page.waitForURL('**/trace');
  return job;
}
const pick = (page: import('@playwright/test').Page, label: string) =>
  page.getByLabel('Another check').selectOption({ label });

test('readings come from the meter: several, in their unit, and its troubles are said', async ({
  page,
  demo,
}) => {
  const meter = await standInMeter({ units: [hearingLoop], hidden: [{ model: MODEL, element: 'W7', q: 1 }] });
  try {
    await takenIn(page, demo.url, /^two loops you see/);
    await pick(page, 'Measure at TP5');
    await page.getByRole('button', { name: 'The service hatch is off now' }).click();
    await page.getByRole('button', { name: 'Set up a meter' }).click();
    await page.getByLabel('Its address').fill('nowhere');
    await page.getByRole('button', { name: /^Set/ }).last().click();
    await expect(page.getByText('“nowhere” is no address')).toBeVisible();
    await page.getByLabel('Its address').fill(meter.address);
    await page.getByRole('button', { name: /^Set/ }).last().click();
    await page.getByRole('button', { name: 'From the meter' }).click();
    await expect(page.getByText('Too low')).toBeVisible();
    await page.getByRole('button', { name: 'Take again' }).click();
    await page.getByRole('button', { name: 'From the meter' }).click();
    await expect(page.getByText(/Mean of 2/)).toBeVisible();
    await page.getByRole('button', { name: 'Record the mean' }).click();
    await expect(page.getByLabel('Recorded').getByText(/mean of 2, spread/)).toBeVisible();
    await expect(page.getByRole('heading', { name: /W7/ }).first()).toBeVisible();

    await pick(page, 'Measure at TP2');
    await page.getByLabel('Reading in V').fill('-2 dBu');
    await expect(page.getByText(/-2 dBu is/)).toBeVisible();
    await page.getByLabel('Reading in V').fill('3 A');
    await page.getByRole('button', { name: /^Record/ }).click();
    await expect(page.getByText('is in A, this is read in V')).toBeVisible();
    await expect(page.getByLabel('Reading in V')).toHaveValue('3 A');
    await page.getByLabel('Reading in V').fill('9');
    await expect(page.getByText(/at most: look at the range/)).toBeVisible();
    await meter.close();
    await page.getByRole('button', { name: 'From the meter' }).click();
    await expect(page.getByText(/nothing listens at/)).toBeVisible();
    await expect(page.getByLabel('Reading in V')).toHaveValue('9');
  } finally {
    await meter.close();
    await page.request.post(`${demo.url}/api/meter`, { data: { address: null } });
  }
});

test('a reading is picked from the plot of a log, and a wrong log says which row', async ({ page, demo }) => {
  await takenIn(page, demo.url, /^two loops you see/);
  await pick(page, 'Measure at TP2');
  await page.getByRole('button', { name: 'The service hatch is off now' }).click();
  const log = page.getByLabel('Log of a meter, as CSV');
  const csv = (text: string) => ({ name: 'log.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  await log.setInputFiles(csv('s;V\n0;0,77\nx;0,78\n'));
  await expect(page.getByText('log.csv: row 3: “x” is no time')).toBeVisible();
  const rows = Array.from({ length: 40 }, (_, i) => `${i};${i < 20 ? '0,770' : '0,031'}`).join('\n');
  await log.setInputFiles(csv(`\uFEFFs;V\n${rows}\n`));
  await expect(page.getByRole('img', { name: /V over time/ })).toBeVisible();
  await page.getByLabel('To').focus();
  for (let i = 0; i < 20; i++) await page.keyboard.press('ArrowLeft');
  await page.getByRole('button', { name: 'Take this reading' }).click();
  await expect(page.getByLabel('Reading in V')).toHaveValue('0.77');
  await expect(page.getByText('In range', { exact: true })).toBeVisible();
});

test('a lead exchanged stays in the tray; a code and a check of one’s own count', async ({ page, demo }) => {
  const job = await takenIn(page, demo.url, /^two loops you see/);
  await allSent(page);
  const cleared = (hazard: string) => ({
    id: ulid(),
    at: new Date().toISOString(),
    by: 'Ines',
    type: 'gate.cleared',
    hazard,
    acted: true,
    reading: 0,
    unit: 'V',
    source: 'meter',
  });
  const kept = await page.request.post(`${job.replace('/jobs/', '/api/jobs/')}/events`, {
    data: { events: [cleared('mains'), cleared('C11')], after: 0 },
  });
  expect(kept.ok()).toBe(true);
  await page.goto(`${job}/trace`);
  await alive(page);
  await pick(page, 'Continuity of W7');
  await page.getByRole('button', { name: 'The service hatch is off now' }).click();
  await page.getByRole('button', { name: 'The lid is off now' }).click();
  await pick(page, 'Self-test, hold TEST for 3 s');
  await foot(page).getByRole('button', { name: 'left lamp dark' }).click();
  await expect(page.getByLabel('Recorded').getByText('left lamp dark')).toBeVisible();
  await pick(page, 'Feed L1 from A5');
  await expect(page.getByText(/It stays in the tray as/)).toBeVisible();
  await page.getByRole('button', { name: 'left loop works' }).click();
  await expect(page.getByText('3 places in use')).toBeVisible();
  await expect(page.getByText('L1 fed from A5').first()).toBeVisible();

  await page.getByRole('button', { name: 'A check of your own' }).click();
  await page.getByRole('button', { name: /Add it/ }).click();
  await expect(page.getByText('say what is done')).toBeVisible();
  await page.getByLabel('What is done').fill('Knock on the left output board');
  await page.getByRole('button', { name: /Add it/ }).click();
  await expect(page.getByText(/say what “Knock/)).toBeVisible();
  await page.getByRole('checkbox', { name: /A3/ }).check();
  await page.getByRole('button', { name: /Add it/ }).click();
  await expect(page.getByRole('heading', { name: 'Knock on the left output board' })).toBeVisible();
  await page.getByRole('button', { name: /^fails/ }).click();
  await expect(page.getByLabel('Recorded').getByText('Knock on the left output board')).toBeVisible();
  await allSent(page);
  await page.reload();
  await alive(page);
  await expect(page.getByLabel('Recorded').getByText('Knock on the left output board')).toBeVisible();
});

test('what each answer would clear is shown before it is given, and the chain is a list too', async ({
  page,
  demo,
}) => {
  await takenIn(page, demo.url, /^one loop/);
  await expect(page.getByText('L2')).toHaveCount(0);
  const second = page.getByRole('region', { name: 'Next checks' }).getByRole('button').nth(1);
  await second.focus();
  await expect(second.getByText(/; clears|%/).first()).toBeVisible();
  await page.getByRole('button', { name: 'As a list' }).click();
  await expect(page.getByRole('button', { name: 'As a drawing' })).toBeVisible();
  await expect(page.getByRole('listitem').filter({ hasText: 'left ribbon' }).first()).toContainText('%');
});

test('pictures, repair or refer with its reason, and the whole history', async ({ page, demo }) => {
  const job = await takenIn(page, demo.url, /cannot be told/);
  await page.goto(`${job}/take-in`);
  await alive(page);
  const file = page.getByLabel('Picture file');
  await file.setInputFiles({ name: 'notes.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('no picture') });
  await expect(page.getByText(/notes\.jpg: it cannot be read as a picture/)).toBeVisible();
  const png = await sharp({ create: { width: 640, height: 480, channels: 3, background: '#8a6c42' } })
    .png()
    .toBuffer();
  await page.getByLabel('What the next one shows').fill('type label');
  await file.setInputFiles({ name: 'label.png', mimeType: 'image/png', buffer: png });
  await expect(page.getByRole('img', { name: 'type label' })).toBeVisible();

  await page.getByRole('button', { name: 'Weigh it' }).click();
  await page.getByLabel('Maker’s fixed price').fill('5');
  await expect(page.getByText('The figures say refer.')).toBeVisible();
  await page.getByRole('button', { name: 'Repair here all the same' }).click();
  await expect(page.getByText(/the figures say refer\. Say why/)).toBeVisible();
  await page.getByLabel('If you choose the other way, why').fill('the ferry sails tonight');
  await page.getByRole('button', { name: 'Repair here all the same' }).click();
  await expect(page.getByText('repair, as weighed')).toBeVisible();
  await page.goto(`${job}/hand-over`);
  await alive(page);
  await expect(page.getByText(/Against the figures: the ferry sails tonight/)).toBeVisible();

  await page.getByRole('button', { name: 'More' }).click();
  await page.getByRole('menuitem', { name: /History/ }).click();
  const story = page.getByRole('dialog', { name: 'History' });
  await expect(story.getByText('Picture: type label')).toBeVisible();
  await story.getByRole('button', { name: 'Take back: Picture: type label' }).click();
  await expect(story.getByText('Undone: Picture: type label')).toBeVisible();
  await expect(story.getByText(/, taken back/)).toBeVisible();
  await story.getByRole('button', { name: /Take back: Taken in/ }).click();
  await expect(story.getByText(/cannot be undone: a later one needs it/)).toBeVisible();
  await page.keyboard.press('Escape');
  await allSent(page);
  const csv = await (await page.request.get(`${job.replace('/jobs/', '/api/jobs/')}/history`)).text();
  expect(csv).toContain('Picture: type label,no');
});
