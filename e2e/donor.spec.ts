import { allSent, expect, test } from './bench-test';
import {
  type Bench,
  type Described,
  described,
  HAND_OVER,
  handedOver,
  home,
  planned,
  toSwap,
} from './carried';
import { byKey } from './hands';

/** A unit that nobody has met before, twice. */
const MAST: Described = {
  name: 'Jetty wind mast',
  maker: 'Orrin & Vale',
  model: 'WM-3',
  does: 'shows the wind',
  covers: 'mast cap',
  rows: [
    { kind: 'board', what: 'vane board' },
    { kind: 'cable', what: 'mast lead' },
  ],
  hazards: [],
};

async function known({ page, hand }: Bench, mark: string): Promise<void> {
  await hand.type(/^Serial or asset mark$/, mark);
  await hand.type(/^Owner$/, 'Jetty warden');
  await hand.send();
  await expect(page.getByText('No earlier job on this unit.')).toBeVisible();
}

test('a unit kept for its parts gives one to the next of its model; its papers say so, and the next Take in knows the warranty', async ({
  page,
  demo,
}) => {
  test.setTimeout(120_000);
  const hand = byKey(page);
  const bench: Bench = { page, hand, url: demo.url };
  await page.request.put(`${demo.url}/api/workshop`, {
    data: { name: 'Pier', address: '', currency: 'EUR', ratePerHour: 6000, warrantyMonths: 6 },
  });

  // The first is beyond mending: it goes as it lies, and what is owed for it is typed and not yet written down.
  await described(bench, MAST);
  await known(bench, 'WM-0001');
  await planned(bench, 'struck by lightning', /vane board/, /Replace/);
  await hand.stop(HAND_OVER);
  await hand.choose(/^kept for parts/);
  await hand.type(/^To whom/, 'shelf D');
  await page.getByLabel('Still owed').fill('slip for the insurer');
  await hand.foot();
  await expect(page.getByRole('heading', { name: 'Handed over to shelf D' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Owed', exact: true })).toContainText('slip for the insurer');
  await page.getByRole('button', { name: 'Sign for it' }).click();
  const sheet = page.getByRole('dialog', { name: 'Signed for' });
  await sheet.getByLabel('Who signs').fill('Jetty warden');
  await hand.press(/^By name alone/);
  await expect(sheet).toHaveCount(0);
  await expect(page.getByText(/^Signed for by Jetty warden/).first()).toBeVisible();
  await allSent(page);

  // The second takes its lead.
  await described(bench, { ...MAST, name: 'Pier head wind mast' });
  await known(bench, 'WM-0002');
  await planned(bench, 'needle still', /mast lead/, /Replace/);
  await toSwap(bench, 'mast cap');
  await hand.foot();
  const from = page.getByLabel('It comes from');
  await expect(from.getByRole('option', { name: /Jetty wind mast, kept for its parts$/ })).toBeAttached();
  await hand.pick(/^It comes from/, /Jetty wind mast/);
  await page.getByLabel('What goes in').fill('mast lead, used');
  await hand.foot();
  await hand.stop(7);
  await home(bench);
  await handedOver(bench, 'warden');
  await page.getByText('The owner’s page', { exact: true }).click();
  await expect(page.getByRole('region', { name: 'What was fitted' })).toContainText(
    'used, from another unit',
  );
  await expect(page.getByRole('region', { name: 'Warranty' })).toContainText('Of this workshop, until');

  // Back again within its warranty: that stands at Take in at once.
  await described(bench, { ...MAST, name: 'Pier head wind mast again' });
  await hand.type(/^Serial or asset mark$/, 'wm 0002');
  await hand.send();
  await expect(page.getByRole('list', { name: 'Earlier jobs on this unit' })).toContainText(
    'Our warranty runs until',
  );
});
