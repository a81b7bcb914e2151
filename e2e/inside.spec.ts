import type { Page } from '@playwright/test';
import sharp from 'sharp';
import { alive, allSent, cameOff, clearGates, expect, freshJob, test, testAlone } from './bench-test';

const stop = async (page: Page, name: RegExp) => {
  await page.getByRole('link', { name }).click();
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
};
const takenIn = async (page: Page, url: string, unit: string, pattern = 'always') => {
  const job = await freshJob(page, url, unit);
  const fails = page.getByRole('group', { name: 'It should do this, and does not' }).getByRole('radio');
  if (await fails.count()) await fails.first().check();
  await page.getByLabel('What happens instead').fill('Not as it should be');
  await page.getByLabel(pattern, { exact: true }).check();
  await page.getByRole('button', { name: /^Record/ }).click();
  await page.waitForURL('**/trace');
  return job;
};
const picture = () =>
  sharp({ create: { width: 640, height: 480, channels: 3, background: '#7d9163' } })
    .jpeg()
    .toBuffer();

test('faces: what is off shows as off, a side is added, pins in two taps or typed, all undone and kept', async ({
  page,
  demo,
}) => {
  const job = await freshJob(page, demo.url, 'Photo-booth printer, north arcade');
  await stop(page, /^Open up/);
  const sits = page.getByRole('region', { name: 'Where it sits' });
  await sits.getByRole('button', { name: 'rear', exact: true }).click();
  await expect(sits.getByRole('img', { name: /^rear, 300 by 220 mm: 1 Mains/ })).toBeVisible();
  await expect(sits.getByText('live, or not known')).toBeVisible();
  await sits.getByRole('button', { name: /A2 board/ }).click();
  await expect(sits.getByText('Seen once the shield plate is off.')).toBeVisible();

  await sits.getByRole('button', { name: 'Add a side' }).click();
  await sits.getByRole('button', { name: 'A plain rectangle' }).click();
  await expect(sits.getByText('give the side a name, such as rear')).toBeVisible();
  await sits.getByLabel('Side', { exact: true }).fill('under');
  await sits.getByRole('button', { name: 'A plain rectangle' }).click();
  await expect(sits.getByRole('img', { name: 'under, 200 by 150 mm: no pins' })).toBeVisible();
  await sits.getByLabel('Pin on').fill('M1');
  await sits.getByRole('button', { name: 'Tap where it sits' }).click();
  await sits.getByRole('img', { name: /^under/ }).click({ position: { x: 60, y: 40 } });
  await expect(sits.getByRole('img', { name: /1 M1 feed motor/ })).toBeVisible();
  await sits.getByLabel('Pin on').fill('foot screw');
  await sits.getByRole('button', { name: 'Tap where it sits' }).click();
  await sits.getByLabel(/x and y/).fill('300 10');
  await sits.getByRole('button', { name: 'Place it' }).click();
  await expect(sits.getByText(/lies off the face, which is 200 × 150 mm/)).toBeVisible();
  await sits.getByLabel(/x and y/).fill('190 10');
  await sits.getByRole('button', { name: 'Place it' }).click();
  await expect(sits.getByRole('img', { name: /2 foot screw/ })).toBeVisible();
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await page.keyboard.press('u');
  await expect(sits.getByRole('img', { name: /2 foot screw/ })).toHaveCount(0);
  await allSent(page);
  await page.goto(`${job}/open-up`);
  await alive(page);
  await sits.getByRole('button', { name: 'under', exact: true }).click();
  await expect(sits.getByRole('img', { name: /1 M1 feed motor/ })).toBeVisible();
});

test('pictures carry pins bound to things of the tray, and stand beside the one after', async ({
  page,
  demo,
}) => {
  const job = await freshJob(page, demo.url, 'Photo-booth printer, north arcade');
  await stop(page, /^Open up/);
  await cameOff(page, '2 x M4x6 PH2 door hinge > cup 1');
  await page.getByRole('tab', { name: /Pictures/ }).click();
  const file = { name: 'a.jpg', mimeType: 'image/jpeg', buffer: await picture() };
  await page.getByLabel('What the next one shows').fill('hinge');
  await page.getByLabel('Picture file').setInputFiles(file);
  await page.getByRole('region', { name: 'Pictures' }).getByRole('button', { name: /hinge/ }).click();
  const big = page.getByRole('dialog');
  await big.getByLabel('Pin on').fill('M4×6 PH2');
  await big.getByRole('button', { name: 'Tap where it sits' }).click();
  await big.getByLabel(/x and y/).fill('25 50');
  await big.getByRole('button', { name: 'Place it' }).click();
  await expect(big.getByRole('img', { name: 'hinge: 1 M4×6 PH2' })).toBeVisible();
  await big.getByLabel('Picture after').setInputFiles(file);
  await expect(big.getByText(/^before,/)).toBeVisible();
  await expect(big.getByText(/^after,/)).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /cup 1: 2 off/ }).click();
  await expect(big.getByText('hinge, pin 1')).toBeVisible();
  await big.getByLabel(/Cut, trimmed, shortened/).fill('one shortened by 2 mm');
  await big.getByRole('button', { name: 'Altered' }).click();
  await allSent(page);
  await page.goto(`${job}/hand-over`);
  await expect(page.getByRole('article')).toContainText('altered: one shortened by 2 mm');
});

test('powered down its own way, the charge read, a lever held until the pack is low', async ({
  page,
  demo,
}) => {
  await takenIn(page, demo.url, 'Photo-booth printer, north arcade');
  await stop(page, /^Make safe/);
  const mains = page.getByRole('region', { name: 'Gate: Mains' });
  await mains.getByRole('checkbox').check();
  await mains.getByLabel(/Reading at/).fill('0');
  await mains.getByRole('button', { name: 'Gate up' }).click();
  await expect(mains.getByText(/First power it down the way it wants: Let the strip/)).toBeVisible();
  const down = page.getByRole('region', { name: 'Gate: power down' });
  for (let i = 0; i < 3; i++) await down.getByRole('button', { name: 'Done', exact: true }).click();
  await expect(down.getByRole('heading', { name: 'Powered down' })).toBeVisible();
  await mains.getByRole('button', { name: 'Gate up' }).click();
  await expect(mains.getByText(/Gate up since/)).toBeVisible();

  await stop(page, /^Open up/);
  await page.getByLabel('Came off:').fill('pry front glass');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/No lever yet: B1 pack, how full it is has not been read/)).toBeVisible();
  await stop(page, /^Make safe/);
  const charge = page.getByRole('region', { name: 'Gate: charge of B1 pack' });
  await charge.getByLabel(/Volts at rest/).fill('8,3');
  await charge.getByRole('button', { name: 'Read', exact: true }).click();
  await expect(charge.getByText(/Discharge it first, then read again/)).toBeVisible();
  await charge.getByRole('button', { name: 'How long to discharge' }).click();
  await expect(page.getByRole('dialog').getByLabel(/^From/)).not.toHaveValue('');
  await page.keyboard.press('Escape');
  await charge.getByLabel(/Volts at rest/).fill('7');
  await charge.getByRole('button', { name: 'Read again' }).click();
  await expect(charge).toHaveAttribute('data-up', 'true');
  await stop(page, /^Open up/);
  await cameOff(page, 'pry front glass');
  await allSent(page);
});

test('the swap waits for what matters; plugs go one across at a time', async ({ page, demo }) => {
  await takenIn(page, demo.url, 'Photo-booth printer, north arcade');
  await stop(page, /^Make safe/);
  await clearGates(page, [
    ['Mains', '0'],
    ['C14', '3'],
  ]);
  await stop(page, /^Plan/);
  await page.getByLabel('Element to mend').selectOption({ value: 'A2' });
  await page.getByRole('radio', { name: /Replace A2/ }).check({ force: true });
  await page.getByRole('button', { name: /^Replace A2/ }).click();
  await stop(page, /^Open up/);
  await cameOff(page, 'lift rear cover > shelf');
  await cameOff(page, 'slide shield plate > shelf');
  // The pack lies under the shield: its gate waits until that is off.
  await stop(page, /^Make safe/);
  await clearGates(page, [['B1 pack', '0']]);
  await stop(page, /^Swap/);
  await page.getByRole('radio', { name: 'one across at a time' }).check();
  await page.getByRole('button', { name: 'It is out' }).click();
  await expect(page.getByText('First: Contact 1 marked on plug and header')).toBeVisible();
  await page.getByRole('button', { name: /Done: Contact 1 marked/ }).click();
  await page.getByRole('button', { name: 'It is out' }).click();
  await expect(page.getByText(/one at a time: W1, W5, W2, W3/)).toBeVisible();
  for (const plug of ['W1', 'W5', 'W2', 'W3']) {
    await expect(page.getByLabel('Next across')).toHaveValue(plug);
    await page.getByRole('button', { name: 'latch clicked' }).click();
  }
  await expect(page.getByLabel('A further plug')).toBeVisible();
  await page.getByLabel('Its date code').fill('2319');
  await expect(page.getByText(/week 19 of 2023, \d years old/)).toBeVisible();
  await page.getByRole('button', { name: 'It is out' }).click();
  await page.getByLabel('Date code', { exact: true }).fill('2699');
  await page.getByRole('button', { name: 'It is in' }).click();
  await expect(page.getByText('2026 has no week 99')).toBeVisible();
  await page.getByLabel('Date code', { exact: true }).fill('2641');
  await page.getByRole('button', { name: 'It is in' }).click();
  await expect(page.getByText('Across one at a time: W1, W5, W2, W3')).toBeVisible();
  await allSent(page);
});

test('on the way back lengths are measured, a cure starts its timer, and a quicker order is offered', async ({
  page,
  demo,
}) => {
  const job = await freshJob(page, demo.url, 'Ferry departure board, landing stage');
  await stop(page, /^Open up/);
  for (const text of [
    'flip face',
    '4 x M3x8 PH1 bezel plate > cup 1',
    'lift bezel plate > shelf',
    'flip rear',
    '2 x M3x12 PH1 cable plate > cup 2',
    'lift cable plate > shelf',
    'flip face',
    '2 x M4x6 T20 lamp cover > cup 3',
    'lift lamp cover > shelf',
  ])
    await cameOff(page, text);
  await page.getByRole('button', { name: /cup 3: 2 off/ }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Different going back').fill('bead of sealant');
  await dialog.getByLabel('Cures, min').fill('30');
  await dialog.getByRole('button', { name: 'Note it' }).click();
  await stop(page, /^Close up/);
  await page.keyboard.press('Space');
  await expect(page.getByRole('heading', { name: /Screw in 2 × M4×6/ })).toBeVisible();
  await expect(page.getByText('bead of sealant, cures 30').first()).toBeVisible();
  await expect(page.getByText(/then waits 30/)).toBeVisible();
  await page.getByRole('button', { name: 'All 2 are tight' }).click();
  await expect(page.getByRole('list', { name: 'Timers' })).toContainText('M4×6 T20 cures');
  await page.getByRole('button', { name: 'The lamp cover is closed' }).click();
  // It came off with the rear up: so it goes on.
  await expect(page.getByRole('heading', { name: 'Turn it: rear up' })).toBeVisible();
  await page.getByRole('button', { name: 'It is turned' }).click();
  await page.keyboard.press('Space');
  await expect(page.getByRole('heading', { name: /Screw in 2 × M3×12/ })).toBeVisible();
  const length = page.getByRole('region', { name: 'Length' });
  await expect(length).toHaveCount(1);
  await page.getByRole('button', { name: 'One more is tight' }).click();
  await expect(page.getByText(/Lay one on the rule first/)).toBeVisible();
  await length.getByRole('button', { name: /It is 8/ }).click();
  await expect(length.getByText(/It is M3×8 PH1, kept in cup 1, bezel plate/)).toBeVisible();
  await length.getByRole('button', { name: /It is 12/ }).click();
  await expect(page.getByText(/one laid on the rule: 12/)).toBeVisible();
  await page.getByRole('button', { name: 'All 2 are tight' }).click();
  await page.getByRole('button', { name: 'Used up' }).click();
  await dialog.getByRole('button', { name: 'sealant' }).click();
  await dialog.getByRole('button', { name: 'Used', exact: false }).last().click();
  await expect(page.getByRole('list', { name: 'Timers' })).toContainText('sealant sets');
  await allSent(page);
  await page.goto(`${job}/hand-over`);
  await expect(page.getByRole('article')).toContainText('one measured, 12');
});

test('a unit inside the unit is entered, left open, and the job is taken up by somebody else', async ({
  page,
  demo,
}) => {
  const job = await takenIn(page, demo.url, 'Ferry departure board, landing stage');
  await stop(page, /^Open up/);
  await page.getByRole('button', { name: 'A unit inside it' }).click();
  await page.getByLabel('Which').fill('clock module');
  await page.getByLabel('What for').fill('change its cell');
  await page.keyboard.press('Enter');
  const bar = page.getByRole('region', { name: 'Unit inside the unit' });
  await cameOff(page, '2 x M2x4 PH0 cell clip > cup 1');
  await expect(bar).toContainText('Hands in the clock module, to change its cell. 2 of it off');
  await bar.getByRole('button', { name: 'It is whole again' }).click();
  await expect(bar.getByText(/the clock module is not whole: 2 × M2×4 PH0 still in cup 1/)).toBeVisible();
  await bar.getByRole('button', { name: 'Leave it open' }).click();
  await expect(bar).toHaveCount(0);
  await page.keyboard.press('p');
  await page.getByLabel('What it waits for').fill('a cell');
  await page.keyboard.press('Enter');
  await allSent(page);
  await page.goto(`${job}/open-up`);
  await alive(page);
  const parked = page.getByRole('region', { name: 'Parked' });
  await expect(parked).toContainText('2 × M2×4 PH0, in cup 1');
  await expect(parked).toContainText('Live or not known: Mains');
  await parked.getByLabel('Who takes it up').fill('Tom Ockley');
  await page.getByRole('button', { name: 'Take it up' }).click();
  await expect(parked).toHaveCount(0);
  await page.getByRole('button', { name: 'More' }).click();
  await page.getByRole('menuitem', { name: /History/ }).click();
  await expect(page.getByRole('dialog')).toContainText('Tom Ockley');
});

testAlone(
  'who has to allow it is asked first; messages, charge and a soak are shown beside the check',
  async ({ page, demo }) => {
    await page.clock.install();
    await takenIn(page, demo.url, 'Ticket kiosk, turnstile 2', 'now and then');
    await stop(page, /^Plan/);
    await page.getByLabel('Element to mend').selectOption({ value: 'S1' });
    await page.getByRole('button', { name: /^Set S1/ }).click();
    await stop(page, /^Swap/);
    await page.getByRole('button', { name: 'Done', exact: false }).first().click();
    await stop(page, /^Prove/);
    await page.getByRole('button', { name: 'works', exact: true }).click();
    await expect(page.getByText('cash owner has to allow the test first')).toBeVisible();
    await page.getByLabel('Who gave leave, and how').fill('M. Ockley, at the door');
    await page.getByRole('button', { name: 'Allowed' }).click();
    await expect(page.getByText('cash owner allows it')).toBeVisible();
    // What was refused for want of it is not said any more.
    await expect(page.getByText('cash owner has to allow the test first')).toHaveCount(0);
    await page.getByRole('button', { name: 'works', exact: true }).click();
    await expect(page.getByText('alarm receiver has to be told before the test')).toBeVisible();
    await page.getByLabel('Whom, and how').fill('the desk, by telephone');
    await page.getByRole('button', { name: 'Told' }).click();
    await expect(page.getByText('alarm receiver has to be told before the test')).toHaveCount(0);
    await page.getByRole('button', { name: 'works', exact: true }).click();
    await expect(page.getByRole('heading', { name: 'It works again' })).toBeVisible();
    await expect(page.getByText('of 5 good repeats in a row')).toBeVisible();
    await page.getByLabel('Look every, min').fill('90');
    await page.getByRole('button', { name: 'Begin' }).click();
    await expect(page.getByText('it is looked at once within the time at least')).toBeVisible();
    await page.getByLabel('Look every, min').fill('20');
    await page.getByRole('button', { name: 'Begin' }).click();
    await expect(page.getByText(/The next look in 20/)).toBeVisible();
    await page.clock.fastForward('21:00');
    await expect(page.getByText('A look is due now')).toBeVisible();
    await page.getByRole('button', { name: 'Look now' }).click();
    await page.getByRole('button', { name: 'works', exact: true }).click();
    await expect(page.getByText(/The next look in 1\d/)).toBeVisible();
    await allSent(page);
  },
);
