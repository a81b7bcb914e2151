import { readFileSync } from 'node:fs';
import { alive, allSent, expect, foot, test } from './bench-test';
import { type Described, described, exactly, toSwap } from './carried';
import { axe } from './faults';
import { byKey } from './hands';

const WINCH: Described = {
  name: 'Slipway winch remote',
  does: 'the winch turns when the button is held',
  covers: 'back shell',
  rows: [
    { kind: 'board', what: 'receiver board' },
    { kind: 'cable', what: 'button lead' },
  ],
  hazards: [],
};

test('the store by key: a thing is taken in, moved, counted, and what is wrong is said at its field', async ({
  page,
  demo,
}) => {
  await page.goto(demo.url);
  await alive(page);
  await page.keyboard.press('s');
  await page.waitForURL('**/stores');
  await alive(page);
  await expect(page.getByText('Nothing is kept in the store yet.')).toBeVisible();
  const hand = byKey(page);
  const form = page.getByRole('region', { name: 'A thing for the store' });
  await hand.type(/^What it is$/, 'button lead 3-way');
  await hand.type(/^Price of one$/, '4,5O');
  await hand.type(/^How many$/, '2');
  await hand.press(/^Into the store/);
  await expect(form.getByText('is no amount of money')).toBeVisible();
  await hand.type(/^Price of one$/, '4,50');
  await hand.type(/^Where there$/, 'B2');
  await hand.type(/^Minimum$/, '2');
  await hand.press(/^Into the store/);
  const panel = page.getByRole('region', { name: 'button lead 3-way' });
  await expect(panel.getByText('4.50 EUR')).toBeVisible();
  await expect(panel.getByText('received 2')).toBeVisible();
  await hand.type(/^How many$/, '5');
  await hand.press(/^Used$/);
  await expect(panel.getByText('2 on hand: count the store')).toBeVisible();
  await hand.type(/^Counted just now$/, '3');
  await hand.press(/^Write the count/);
  await expect(panel.getByText('counted 3, the ledger said 2')).toBeVisible();
  await hand.type(/^How many$/, '2');
  await hand.type(/^Why$/, 'cracked');
  await hand.press(/^Written off$/);
  await expect(panel.getByText(/cracked/)).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('o');
  const things = page.getByRole('region', { name: 'Things of the store' });
  await expect(things.getByText('1 free, 2 wanted')).toBeVisible();
  const coming = page.waitForEvent('download');
  await foot(page).getByRole('link', { name: 'Order list (CSV)' }).click();
  expect(readFileSync((await (await coming).path()) ?? '', 'utf8')).toContain('button lead 3-way');
  await page.reload();
  await alive(page);
  await expect(page.getByRole('region', { name: 'Things of the store' })).toContainText('button lead 3-way');
  const violations = await axe(page);
  expect(violations.map((v) => v.id)).toEqual([]);
  await page.setViewportSize({ width: 390, height: 844 });
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});

test('on a unit that was described from nothing: a part is set aside in Plan, goes in from the store, and comes back with an undo', async ({
  page,
  demo,
}) => {
  const hand = byKey(page);
  await described({ page, hand, url: demo.url }, WINCH);
  await hand.type(/^What happens instead/, 'dead');
  await hand.press(/^Plan at once/);
  await page.waitForURL('**/plan');
  await hand.pick(/^Element to mend/, /button lead/);
  await hand.choose(/Replace/);
  const part = 'button lead';
  const stock = (await (await page.request.get(`${demo.url}/api/stock`)).json()) as {
    items: { item: { id: string; what: string } }[];
  };
  // What the map calls the part is what the store is asked for.
  const wanted = await page
    .getByText(/^Parts: /)
    .last()
    .textContent();
  const name = (wanted ?? '').replace(/^Parts: /, '') || part;
  const item = {
    id: '01M8EDS5A77D8FA6SEF1J88M0Z',
    what: name,
    unit: 'pieces',
    place: { kind: 'van', label: 'box 1' },
    models: [],
    elements: [],
    minimum: 0,
  };
  expect(stock.items.some((s) => s.item.id === item.id)).toBe(false);
  expect((await page.request.put(`${demo.url}/api/stock`, { data: { item, version: 0 } })).ok()).toBe(true);
  const line = { id: '01M8EDS5A77D8FA6SEF1J88M1Z', at: new Date().toISOString(), by: 'Ines' };
  await page.request.post(`${demo.url}/api/stock/movements`, {
    data: { ...line, item: item.id, kind: 'received', count: 1 },
  });
  await page.reload();
  await alive(page);
  await hand.pick(/^Element to mend/, /button lead/);
  await hand.choose(/Replace/);
  const here = page.getByRole('region', { name: 'In the store' });
  await expect(here.getByText('1 free')).toBeVisible();
  await here.getByRole('button', { name: 'Set aside' }).click();
  await expect(here.getByText('1 set aside for this job')).toBeVisible();
  await hand.foot();
  await page.waitForURL('**/make-safe');
  await toSwap({ page, hand, url: demo.url }, 'back shell');
  await hand.foot();
  // What was set aside is what goes in.
  await expect(page.getByLabel('It comes from')).toHaveValue(`stock ${item.id}`);
  await page.getByLabel('What goes in').fill('new button lead');
  await hand.foot();
  await allSent(page);
  const held = async () =>
    (
      (await (await page.request.get(`${demo.url}/api/stock`)).json()) as {
        items: { item: { id: string }; holding: { onHand: number; reserved: unknown[] } }[];
      }
    ).items.find((s) => s.item.id === item.id)?.holding;
  await expect.poll(held).toMatchObject({ onHand: 0, reserved: [] });
  await page.keyboard.press('Escape');
  await page.keyboard.press('u');
  await allSent(page);
  await expect.poll(held).toMatchObject({ onHand: 1 });
  // The store is found like everything else.
  await page.keyboard.press('Control+k');
  await page.keyboard.type(exactly(name).source.slice(1, 12).replaceAll('\\', ''));
  await expect(
    page.getByRole('dialog', { name: 'Find' }).getByRole('option', { name: /van box 1/ }),
  ).toBeVisible();
});

test('a quote on a unit that was described from nothing: work waits until it is accepted, and what was quoted stands beside what was done', async ({
  page,
  demo,
}) => {
  const hand = byKey(page);
  await described({ page, hand, url: demo.url }, { ...WINCH, name: 'Slipway bell' });
  await hand.type(/^What happens instead/, 'dead');
  await hand.press(/^Plan at once/);
  await page.waitForURL('**/plan');
  await hand.pick(/^Element to mend/, /button lead/);
  await hand.choose(/Replace/);
  await expect(page.getByText(/^about \d+\.\d\d.EUR/).first()).toBeVisible();
  await hand.press(/^Make a quote/);
  const sheet = page.getByRole('dialog', { name: 'Quote' });
  await sheet.getByLabel('Parts').fill('12,5O');
  await sheet.getByRole('button', { name: 'Make the quote' }).click();
  await expect(sheet.getByText('is no amount of money')).toBeVisible();
  await sheet.getByLabel('Parts').fill('12,50');
  await sheet.getByRole('button', { name: 'Another way' }).click();
  await sheet.getByLabel('What is done, way 2').fill('Sealed lead, moulded ends');
  await sheet.getByLabel('Minutes').nth(1).fill('25');
  await sheet.getByLabel('Parts').nth(1).fill('31');
  // 25 minutes at 60.00 an hour are 25.00.
  await expect(sheet.getByText('Way 2: 56.00\u00a0EUR')).toBeVisible();
  await sheet.getByLabel('Holds until').fill('2020-01-01');
  await sheet.getByRole('button', { name: 'Make the quote' }).click();
  await expect(sheet.getByText('its last day lies behind')).toBeVisible();
  await sheet.getByLabel('Holds until').fill('2099-01-01');
  await sheet.getByRole('button', { name: 'Make the quote' }).click();
  const quote = page.getByRole('region', { name: 'Quote', exact: true });
  await expect(quote.getByText('Nothing is mended: the quote is not accepted yet')).toBeVisible();
  await hand.foot();
  await page.waitForURL('**/make-safe');
  await toSwap({ page, hand, url: demo.url }, 'back shell');
  await hand.foot();
  await expect(page.getByText('Held: the quote is not accepted yet').first()).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('3');
  await page.waitForURL('**/plan');
  await quote.getByRole('button', { name: 'Accepted' }).click();
  await expect(quote.getByText('say who answered')).toBeVisible();
  await quote.getByLabel('Whom').fill('M. Wren');
  await quote.getByLabel('Which way').selectOption({ index: 1 });
  await quote.getByRole('button', { name: 'Accepted' }).click();
  await expect(quote.getByText('Accepted by M. Wren.')).toBeVisible();
  await allSent(page);
  const id = /jobs\/([^/]+)/.exec(page.url())?.[1] ?? '';
  const pdf = await page.request.get(`${demo.url}/api/jobs/${id}/quote`);
  expect(pdf.headers()['content-type']).toBe('application/pdf');
  await page.keyboard.press('Escape');
  await page.keyboard.press('6');
  await page.waitForURL('**/swap');
  await hand.foot();
  await expect(page.getByText(/is out, kept/).first()).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('9');
  await page.waitForURL('**/hand-over');
  const both = page.getByRole('region', { name: 'Quoted and done' });
  await expect(both).toContainText('Sealed lead, moulded ends');
  await expect(both).toContainText('56.00 EUR');
});
