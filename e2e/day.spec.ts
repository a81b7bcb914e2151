import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { alive, allSent, expect, foot, test } from './bench-test';
import { type Described, described } from './carried';
import { axe } from './faults';
import { byKey } from './hands';
import { startMulch } from './mulch';

const CRANE: Described = {
  name: 'Boat crane lamp',
  does: 'the lamp lights when the hook is low',
  covers: 'lamp bowl',
  rows: [
    { kind: 'board', what: 'lamp driver' },
    { kind: 'cable', what: 'hook lead' },
  ],
  hazards: [],
};
const FREEZER: Described = {
  name: 'Bait freezer alarm',
  does: 'it sounds when the bait is warm',
  covers: 'front plate',
  rows: [{ kind: 'board', what: 'alarm board' }],
  hazards: [],
};
const DAY = '2026-12-03';

const tagOf = async (page: Page, url: string, unit: string): Promise<string> => {
  const jobs = (await (await page.request.get(`${url}/api/jobs`)).json()) as { tag: string; unit: string }[];
  return jobs.find((j) => j.unit === unit)?.tag ?? '';
};
const way = async (page: Page, from: string, to: string, minutes: string) => {
  const ways = page.getByRole('region', { name: 'Ways' });
  await ways.getByLabel('Way from').fill(from);
  await ways.getByLabel('Way to').fill(to);
  await ways.getByLabel('Takes').fill(minutes);
  await ways.getByRole('button', { name: 'Keep the way' }).click();
  await expect(ways.getByText(`${from} to ${to}`)).toBeVisible();
};
/** Everything was sent and worked out. */
const settled = async (page: Page) => {
  await expect(foot(page).getByText(/^kept/)).toBeVisible();
  await expect(page.locator('main[aria-busy=true]')).toHaveCount(0);
};

test('a day by key, of units that were described from nothing: places, times, order, running late, a calendar, the van', async ({
  page,
  demo,
}) => {
  const hand = byKey(page);
  await described({ page, hand, url: demo.url }, CRANE);
  await page.getByLabel('Owner', { exact: true }).fill('Slipway Club');
  await page.getByLabel('Reached at').fill('extension 31');
  await page.getByRole('button', { name: 'Keep which unit it is' }).click();
  await expect(page.getByRole('button', { name: 'Keep which unit it is' })).toHaveCount(0);
  await allSent(page);
  await described({ page, hand, url: demo.url }, FREEZER);
  const freezerAt = page.url();
  const crane = await tagOf(page, demo.url, CRANE.name);
  const freezer = await tagOf(page, demo.url, FREEZER.name);

  await page.goto(demo.url);
  await alive(page);
  await page.keyboard.press('t');
  await page.waitForURL('**/day?**');
  await page.goto(`${demo.url}/day?day=${DAY}&person=Bram%20Teal`);
  await alive(page);
  await expect(page.getByRole('heading', { name: 'No job is in this day yet' })).toBeVisible();
  await hand.press(new RegExp(`^Take ${crane} into the day`));
  await hand.press(new RegExp(`^Take ${freezer} into the day`));
  // Where the day begins, and where each is, is asked at its place.
  await expect(page.getByText('say where the day begins').first()).toBeVisible();
  await hand.type(/^From$/, 'workshop');
  const rows = page.getByRole('list', { name: 'Jobs of the day' }).getByRole('listitem');
  for (const [tag, place] of [
    [crane, 'boat yard'],
    [freezer, 'bait shop'],
  ] as const) {
    await rows.filter({ hasText: tag }).getByRole('button', { name: tag }).click();
    await page
      .getByRole('region', { name: `Times of ${tag}` })
      .getByLabel('Where')
      .fill(place);
  }
  // A way that nobody knows leaves what is there, and says so.
  await expect(page.getByText(/How far is it to .*bait shop/)).toBeVisible();
  await way(page, 'workshop', 'boat yard', '20');
  await way(page, 'boat yard', 'bait shop', '5');
  await settled(page);
  const strip = page.getByRole('region', { name: 'The strip' });
  await expect(strip.getByText(/25\smin on the way/)).toBeVisible();
  await expect(page.getByText('All of it fits.')).toBeVisible();

  // Times that cannot be are said where they were typed, and nothing is lost.
  const times = page.getByRole('region', { name: `Times of ${freezer}` });
  await times.getByLabel('Not before').fill('11:00');
  await times.getByLabel('Over by').fill('10:30');
  await expect(times.getByText('over by 10:30, and not before 11:00')).toBeVisible();
  await times.getByLabel('Over by').fill('13:30');
  await expect(times.getByText('over by 10:30')).toHaveCount(0);
  await settled(page);
  await expect(strip.getByRole('img', { name: new RegExp(`^${freezer}:.* 11:00 to `) })).toBeVisible();
  await times.getByRole('checkbox', { name: 'It must be today' }).check();

  // Another order, by key; the best one again; and back by undo.
  const first = rows.first().locator('[data-row]');
  await expect(first).toContainText(crane);
  await first.focus();
  await page.keyboard.press('Alt+ArrowDown');
  await expect(rows.first()).toContainText(freezer);
  await expect(strip.getByText('in your order')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(strip.getByText('in the best order')).toBeVisible();
  // The same by dragging it.
  await rows.nth(1).locator('[data-grip]').hover();
  await page.mouse.down();
  const above = await rows.first().boundingBox();
  await page.mouse.move((above?.x ?? 0) + 20, (above?.y ?? 0) + 10, { steps: 12 });
  await page.mouse.up();
  await expect(rows.first()).toContainText(freezer);
  await settled(page);
  await page.getByRole('button', { name: 'Best order again' }).click();
  await expect(rows.first()).toContainText(crane);
  await settled(page);
  await page.reload();
  await alive(page);
  await expect(rows).toHaveCount(2);
  await expect(rows.first()).toContainText(crane);

  // The day grows short: who is left, and whom to tell.
  await rows.filter({ hasText: freezer }).getByRole('button', { name: freezer }).click();
  await times.getByLabel('Not before').fill('');
  await times.getByLabel('Over by').fill('');
  // While a pointer is down nothing that is worked out moves the page under it.
  await expect(page.getByText('All of it fits.')).toBeVisible();
  await page.getByRole('heading', { name: 'Ways' }).hover();
  await page.mouse.down();
  await page.getByLabel('Until', { exact: true }).fill('10:30');
  await page.waitForTimeout(1500);
  await expect(page.getByText('All of it fits.')).toBeVisible();
  await page.mouse.up();
  await expect(rows.filter({ hasText: crane })).toContainText(
    'left for another day: no room beside the others',
  );
  await expect(page.getByRole('list', { name: 'Whom to tell' })).toContainText(
    'Tell Slipway Club, extension 31',
  );
  await page.getByLabel('Until', { exact: true }).fill('17:00');
  await expect(page.getByText('All of it fits.')).toBeVisible();

  // A calendar that is wrong is named by its line; one that is right keeps its times free.
  const busy = page.getByRole('region', { name: 'Busy elsewhere' });
  const calendar = (...lines: string[]) => ({
    name: 'mine.ics',
    mimeType: 'text/calendar',
    buffer: Buffer.from(['BEGIN:VCALENDAR', 'VERSION:2.0', ...lines, 'END:VCALENDAR', ''].join('\r\n')),
  });
  await busy.getByLabel('A calendar file').setInputFiles(calendar('BEGIN:VEVENT', 'what'));
  await expect(busy.getByText(/^mine\.ics, line 4: /)).toBeVisible();
  await busy
    .getByLabel('A calendar file')
    .setInputFiles(
      calendar(
        'BEGIN:VEVENT',
        'UID:1',
        'SUMMARY:harbour meeting',
        `DTSTART:${DAY.replaceAll('-', '')}T080000`,
        `DTEND:${DAY.replaceAll('-', '')}T090000`,
        'END:VEVENT',
      ),
    );
  await expect(busy.getByText('1 taken in.')).toBeVisible();
  await settled(page);
  await expect(strip.getByRole('img', { name: new RegExp(`^${crane}:.* 09:20 to `) })).toBeVisible();
  const coming = page.waitForEvent('download');
  await busy.getByRole('link', { name: 'The day as a calendar' }).click();
  const ics = readFileSync((await (await coming).path()) ?? '', 'utf8');
  expect(ics).toContain(`SUMMARY:${crane} Boat crane lamp`);
  expect(ics).toContain('LOCATION:boat yard');

  const violations = await axe(page);
  expect(violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.any[0]?.message)}`)).toEqual([]);
  await page.setViewportSize({ width: 390, height: 844 });
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await page.setViewportSize({ width: 1280, height: 800 });

  // The van: nothing is known of a job until somebody says what fails; then every suspect is packed for.
  await page.keyboard.press('Escape');
  await page.keyboard.press('v');
  const van = page.getByRole('region', { name: 'The van' });
  await expect(van.getByText(new RegExp(`what .*${freezer}`))).toBeVisible();
  await page.goto(freezerAt);
  await alive(page);
  await page.getByLabel('What happens instead').fill('silent in the sun');
  await foot(page).getByRole('button', { name: 'Record' }).click();
  await page.waitForURL('**/trace');
  await allSent(page);
  await page.goto(`${demo.url}/day?day=${DAY}&person=Bram%20Teal&shows=van`);
  await alive(page);
  await expect(page.getByRole('region', { name: 'Not in the store' })).toContainText(
    /alarm board.*wanted \d+/,
  );
});

test('another technician’s day stands beside; a stale one is told; what came back in the van is booked', async ({
  page,
  browser,
}) => {
  // Its own Mulch: what it puts into the store is nobody else’s.
  const demo = await startMulch({ demo: true });
  const put = (path: string, data: object) => page.request.put(`${demo.url}${path}`, { data });
  const jobs = (await (await page.request.get(`${demo.url}/api/jobs?handedOver=no`)).json()) as {
    id: string;
    tag: string;
  }[];
  // A printer of the demo with its pack planned; the part is taken into the store first.
  const printer = jobs.find((j) => j.tag === 'SP-109');
  const item = '01M2JS9ZC08V33PPE0SBJHWRD1';
  await put('/api/stock', {
    version: 0,
    item: {
      id: item,
      what: 'pack 7.2 V 2-way plug',
      unit: 'pieces',
      place: { kind: 'shelf', label: 'C1' },
      models: [],
      elements: [],
      minimum: 0,
      litres: 1,
    },
  });
  await page.request.post(`${demo.url}/api/stock/movements`, {
    data: {
      id: '01M2JS9ZC08V33PPE0SBJHWRD2',
      item,
      at: `${DAY}T07:00:00Z`,
      by: 'Ines',
      kind: 'received',
      count: 3,
    },
  });
  const plan = (person: string) => ({
    day: '2026-12-04',
    person,
    zone: 'UTC',
    start: { place: 'workshop', at: '08:00' },
    end: { at: '17:00' },
    jobs: [{ job: printer?.id, place: 'workshop' }],
    order: [],
    busy: [],
    van: { ticked: [], back: [] },
  });
  for (const person of ['Ines Marlow', 'Bram Teal'])
    expect((await put('/api/days', { version: 0, plan: plan(person) })).status()).toBe(200);
  await page.goto(`${demo.url}/day?day=2026-12-04&person=Ines%20Marlow&shows=van`);
  await alive(page);
  const parts = page.getByRole('region', { name: 'Parts that are planned' });
  await parts.getByRole('checkbox', { name: /pack 7\.2 V/ }).check();
  const back = page.getByRole('form', { name: 'pack 7.2 V 2-way plug came back' });
  await back.getByLabel('Along').fill('2');
  await back.getByLabel('Back').fill('3');
  await back.getByRole('button', { name: 'Book it' }).click();
  await expect(back.getByText('2 went along: no more can come back')).toBeVisible();
  await back.getByLabel('Back').fill('1');
  await back.getByRole('button', { name: 'Book it' }).click();
  await expect(page.getByText('2 along, 1 back')).toBeVisible();
  await expect(page.getByText('1 missing: written off')).toBeVisible();
  const store = (await (await page.request.get(`${demo.url}/api/stock`)).json()) as {
    items: { item: { id: string }; holding: { onHand: number } }[];
  };
  expect(store.items.find((s) => s.item.id === item)?.holding.onHand).toBe(2);
  await settled(page);
  // Taken back and counted once more, it is not written off twice.
  await page.keyboard.press('Escape');
  await page.keyboard.press('Control+z');
  await back.getByLabel('Along').fill('2');
  await back.getByLabel('Back').fill('1');
  await back.getByRole('button', { name: 'Book it' }).click();
  await expect(page.getByText('it adds up')).toBeVisible();
  await settled(page);

  await page.getByRole('radio', { name: 'The day' }).check();
  await expect(page.getByRole('link', { name: /hands on/ })).toHaveAttribute('href', /Bram/);
  // The same day in a second window, changed there first.
  const other = await browser.newPage();
  await other.goto(`${demo.url}/day?day=2026-12-04&person=Ines%20Marlow`);
  await alive(other);
  await other.getByLabel('Until', { exact: true }).fill('16:00');
  await settled(other);
  await other.close();
  await page.getByLabel('Until', { exact: true }).fill('15:00');
  await expect(page.getByText('This day was changed elsewhere.')).toBeVisible();
  await page.getByRole('button', { name: 'Keep mine' }).click();
  await expect(page.getByText('This day was changed elsewhere.')).toHaveCount(0);
  await settled(page);
  await page.reload();
  await alive(page);
  await expect(page.getByLabel('Until', { exact: true })).toHaveValue('15:00');

  // On a slow line what is changed while the last change is on its way goes with the next.
  await page.route('**/api/days', async (route) => {
    await new Promise((r) => setTimeout(r, 1500));
    await route.continue();
  });
  const taken = page.waitForRequest('**/api/days');
  await page.getByLabel('Until', { exact: true }).fill('15:30');
  await taken;
  await page.getByLabel('Until', { exact: true }).fill('15:45');
  await settled(page);
  await page.reload();
  await alive(page);
  await expect(page.getByLabel('Until', { exact: true })).toHaveValue('15:45');
  // A page fetches its last pieces when it is idle: nobody is left on it when its server ends.
  await page.goto('about:blank');
  await demo.stop();
});
