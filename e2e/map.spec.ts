import { unzipSync } from 'fflate';
import { alive, expect, test } from './bench-test';
import { seriousFaults } from './faults';

async function openMap(page: import('@playwright/test').Page, url: string, unit: string) {
  await page.goto(`${url}/units`);
  await alive(page);
  await page.getByRole('link', { name: `Map of ${unit}`, exact: true }).click();
  await page.waitForURL(/\/units\/[0-9A-Z]{26}$/);
  await alive(page);
}

test('a map is worked on as a drawing and as tables, and kept', async ({ page, demo }) => {
  await openMap(page, demo.url, 'Ferry departure board');
  await page.getByRole('button', { name: 'A similar unit from this' }).click();
  await expect(page.getByRole('heading', { name: 'Ferry departure board, copy' })).toBeVisible();
  await alive(page);

  // Drawn: a new lamp after A4, by pressing; then a feed pulled from one element to another.
  await page.getByRole('button', { name: '+ lamp' }).click();
  await expect(page.getByLabel('Mark of E1')).toBeVisible();
  const from = page.locator('.react-flow__node[data-id="A4"] .react-flow__handle-right');
  const to = page.locator('.react-flow__node[data-id="E1"] .react-flow__handle-left');
  await from.scrollIntoViewIfNeeded();
  await expect(from).toBeInViewport();
  await from.dragTo(to);
  await page.getByRole('tab', { name: /Feeds/ }).click();
  await expect(page.getByLabel('From of A4 to E1')).toHaveValue('A4');

  // In tables: a tap with a tolerance of 0 is pointed at, and nothing of it is lost.
  await page.getByRole('tab', { name: /Taps/ }).click();
  await page.getByRole('button', { name: 'Add a row' }).click();
  const mark = page.getByLabel(/^Mark of TP/).last();
  await mark.fill('TP9');
  await page.getByLabel('After of TP9').selectOption('E1');
  await page.getByLabel('± of TP9').fill('0');
  await expect(page.getByText('tolerance at TP9 must be over 0').first()).toBeVisible();
  await page.getByLabel('± of TP9').fill('100m');
  await page.getByLabel('Should read of TP9').fill('much');
  await expect(page.getByText('“much” is not a reading')).toBeVisible();
  await expect(page.getByLabel('Should read of TP9')).toHaveValue('much');
  await page.getByLabel('Should read of TP9').fill('4k7');
  await expect(page.getByText('is not a reading')).toHaveCount(0);

  // A circle is refused where it is drawn; undo takes back; a reload loses nothing.
  await page.getByRole('tab', { name: /Feeds/ }).click();
  await page.getByRole('button', { name: 'Add a row' }).click();
  await page
    .getByLabel(/^From of/)
    .last()
    .selectOption('E1');
  await page
    .getByLabel(/^To of/)
    .last()
    .selectOption('A4');
  await expect(page.getByText(/runs in a circle/).first()).toBeVisible();
  await page.getByRole('button', { name: /Undo/ }).click();
  await page.getByRole('button', { name: /Undo/ }).click();
  await page.getByRole('button', { name: /Undo/ }).click();
  await page.reload();
  await alive(page);
  await page.getByRole('tab', { name: /Taps/ }).click();
  await expect(page.getByLabel('Should read of TP9')).toHaveValue('4700');
  await page.getByRole('button', { name: 'Keep this map' }).click();
  await expect(page.getByText('kept as version 2')).toBeVisible();

  const id = page.url().split('/').at(-1);
  const zip = await page.request.get(`${demo.url}/api/units/${id}/map?as=zip`);
  const files = unzipSync(await zip.body());
  expect(new TextDecoder().decode(files['taps.csv'])).toContain('TP9');
});

test('two who work on one map: the second is told, and chooses', async ({ page, browser, demo }) => {
  await openMap(page, demo.url, 'Ticket kiosk');
  await page.getByRole('button', { name: 'A similar unit from this' }).click();
  await expect(page.getByRole('heading', { name: 'Ticket kiosk, copy' })).toBeVisible();
  await alive(page);
  const other = await (await browser.newContext()).newPage();
  await other.goto(page.url());
  await alive(other);
  await page.getByLabel('What it is', { exact: true }).fill('Ticket kiosk, mine');
  await other.getByLabel('What it is', { exact: true }).fill('Ticket kiosk, theirs');
  await other.getByRole('button', { name: 'Keep this map' }).click();
  await expect(other.getByText('kept as version 2')).toBeVisible();
  await page.getByRole('button', { name: 'Keep this map' }).click();
  await expect(page.getByText(/somebody saved this unit as version 2/)).toBeVisible();
  await expect(page.getByText(/differ in names only/)).toBeVisible();
  await page.getByRole('button', { name: 'Keep mine over theirs' }).click();
  await expect(page.getByText('kept as version 3')).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Ticket kiosk, mine' })).toBeVisible();

  // What is left unsaved remembers the version it was begun from, even after a reload.
  await page.getByLabel('Model').fill('TK-9');
  await other.reload();
  await alive(other);
  await other.getByLabel('Maker').fill('Hapstock');
  await other.getByRole('button', { name: 'Keep this map' }).click();
  await expect(other.getByText('kept as version 4')).toBeVisible();
  await page.reload();
  await alive(page);
  await expect(page.getByLabel('Model')).toHaveValue('TK-9');
  await page.getByRole('button', { name: 'Keep this map' }).click();
  await expect(page.getByText(/somebody saved this unit as version 4/)).toBeVisible();
  await other.context().close();
});

test('a map comes in from a file, and a wrong one says which row', async ({ page, demo }) => {
  await page.goto(`${demo.url}/units`);
  await alive(page);
  const file = page.getByLabel('Map file');
  await file.setInputFiles({
    name: 'bell.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"name":'),
  });
  await expect(page.getByText(/Nothing was taken in\. the map is not JSON/)).toBeVisible();
  const map = {
    name: 'Tide bell',
    maker: 'Hapstock',
    model: 'TB-1',
    elements: [
      {
        id: 'A1',
        name: 'board',
        kind: 'board',
        weight: 1,
        remedies: [{ id: 'replace', kind: 'replace', name: 'Replace A1', minutes: 9, fixes: 0.9 }],
      },
    ],
    feeds: [],
    taps: [],
    access: [],
    functions: [{ id: 'rings', name: 'Rings', output: 'A1' }],
    hazards: [],
    colour: 'green',
  };
  await file.setInputFiles({
    name: 'bell.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(map)),
  });
  await page.waitForURL(/\/units\/[0-9A-Z]{26}$/);
  await alive(page);
  await expect(page.getByText('There is no point to look or measure at').first()).toBeVisible();
  const id = page.url().split('/').at(-1);
  const back = await (await page.request.get(`${demo.url}/api/units/${id}/map`)).json();
  expect(back.map.extra).toEqual({ colour: 'green' });
});

test('the map editor has no serious fault for those who hear or press keys, by day and by night', async ({
  page,
  demo,
}) => {
  await openMap(page, demo.url, 'Hearing-loop amplifier');
  await expect(page.locator('.react-flow__node').first()).toBeVisible();
  for (const tab of ['Elements', 'Taps', 'Hazards', 'Own checks']) {
    await page.getByRole('tab', { name: new RegExp(tab) }).click();
    expect(await seriousFaults(page, tab)).toEqual([]);
  }
});
