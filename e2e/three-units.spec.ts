import type { Page } from '@playwright/test';
import { alive, allSent, cameOff, expect, letGo, test, toStop } from './bench-test';

/** Three units that the demo does not have, each described from nothing, named as people name things, and carried to Hand over. */

interface Described {
  name: string;
  does: string;
  covers: string;
  rows: { kind: string; what: string }[];
  pack?: { mark: string; leads: string; cells: string };
  hazards: string[];
}

async function described(page: Page, url: string, d: Described): Promise<void> {
  await page.goto(`${url}/units/new`);
  await alive(page);
  await page.getByLabel('What it is', { exact: true }).fill(d.name);
  await page.getByLabel('What it should do').fill(d.does);
  await page.getByLabel('What has to come off').fill(d.covers);
  // The three rows that stand there already are taken away.
  for (let i = 3; i > 0; i--) await page.getByRole('button', { name: 'Take row 1 away' }).click();
  for (const [i, row] of d.rows.entries()) {
    await page.getByRole('button', { name: `+ ${row.kind}` }).click();
    await page.getByLabel(`What row ${i + 1} is`, { exact: true }).fill(row.what);
  }
  if (d.pack) {
    await page.getByLabel(`Leads of ${d.pack.mark}, the power lead first`).fill(d.pack.leads);
    await page.getByLabel('In series').fill(d.pack.cells);
  }
  for (const h of d.hazards) await page.getByRole('checkbox', { name: h }).check();
  await page.getByRole('button', { name: 'Keep it and take it in' }).click();
  await page.waitForURL('**/take-in');
  await alive(page);
}

async function planned(page: Page, symptom: string, element: string, remedy: RegExp): Promise<void> {
  await page.getByLabel('What happens instead').fill(symptom);
  await page.getByRole('button', { name: /^Plan at once/ }).click();
  await page.waitForURL('**/plan');
  const mend = page.getByLabel('Element to mend');
  const label = await mend.locator('option', { hasText: element }).first().textContent();
  await mend.selectOption({ label: label ?? '' });
  await page.getByRole('radio', { name: remedy }).check({ force: true });
  await page
    .getByRole('button', { name: new RegExp(`^${remedy.source}.*`) })
    .last()
    .click();
  await page.waitForURL('**/make-safe');
}

async function gate(page: Page, name: string, reading?: string): Promise<void> {
  const region = page.getByRole('region', { name: `Gate: ${name}`, exact: true });
  for (const box of await region.getByRole('checkbox').all()) if (await box.isVisible()) await box.check();
  if (reading !== undefined) await region.getByLabel(/Reading at/).fill(reading);
  await region.getByRole('button', { name: 'Gate up' }).click();
  await expect(region.getByText(/Gate up since/)).toBeVisible();
}
/** Does whatever the way back asks for, until all is back and closed. */
async function home(page: Page): Promise<string[]> {
  const did: string[] = [];
  const done = page.getByRole('heading', { name: 'Everything is back and closed' });
  const step = page.getByRole('region', { name: 'Way back' });
  for (let i = 0; i < 40; i++) {
    if (await done.isVisible()) return did;
    const head = await step.getByRole('heading', { level: 2 }).first().textContent();
    did.push(head ?? '');
    const act = step
      .getByRole('button', {
        name: /^(It is (plugged|on|tight|turned|soldered|screwed on|clamped|seated|pressed on)|All \d+ are tight|The .* is closed|held a tug|held a light pull|sits home|as it was|looked at|pins counted)/,
      })
      .last();
    await act.click();
    await page.waitForTimeout(120);
  }
  throw new Error(`the way back does not end: ${did.join('; ')}`);
}
async function handedOver(page: Page, to: string): Promise<void> {
  await toStop(page, /^Prove/);
  await page.getByRole('button', { name: 'works', exact: true }).first().click();
  await toStop(page, /^Hand over/);
  await letGo(page);
  await page.getByLabel('To whom').fill(to);
  await page.getByRole('button', { name: /^Hand over/ }).click();
  await expect(page.getByRole('heading', { name: `Handed over to ${to}` })).toBeVisible();
  await allSent(page);
}

test('a vehicle pack with balance and main lead under a sealed lid', async ({ page, demo }) => {
  test.setTimeout(120_000);
  await described(page, demo.url, {
    name: 'Quay scooter',
    does: 'Drives off when the lever is pressed',
    covers: 'sealed lid',
    rows: [
      { kind: 'board', what: 'controller' },
      { kind: 'motor', what: 'hub motor' },
      { kind: 'battery', what: 'drive pack' },
    ],
    pack: { mark: 'B1', leads: 'main lead, balance lead', cells: '10' },
    hazards: ['Lithium pack'],
  });
  await planned(page, 'Cuts out uphill', 'B1', /Replace B1/);

  // The gate lies under the lid: it cannot be ticked before, and does not hold the lid.
  await expect(page.getByRole('heading', { name: 'No gate holds the way in' })).toBeVisible();
  const pack = page.getByRole('region', { name: 'Gate: Lithium pack', exact: true });
  for (const box of await pack.getByRole('checkbox').all()) if (await box.isVisible()) await box.check();
  await pack.getByLabel(/Reading at/).fill('0');
  await pack.getByRole('button', { name: 'Gate up' }).click();
  await expect(pack.getByText(/lies under the sealed lid: take that off first/)).toBeVisible();
  await toStop(page, /^Open up/);
  await cameOff(page, '8 x M4x12 HEX3 lid edge > cup 1', 'lift sealed lid > shelf');

  // Two ticks in their order, then the pack is out by being lifted.
  await toStop(page, /^Make safe/);
  await expect(page.getByRole('heading', { name: '1 gate holds the way in' })).toBeVisible();
  await gate(page, 'Lithium pack', '0');
  await toStop(page, /^Open up/);
  await cameOff(page, 'lift drive pack > shelf');
  await expect(page.getByText('Nothing live is known')).toBeVisible();
  await toStop(page, /^Swap/);
  await expect(page.getByText(/drive pack is out, kept on the shelf/)).toBeVisible();
  await page.getByLabel('What it read, red to black').fill('-37 V');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/red and black are swapped. Do not plug it in/)).toBeVisible();
  await page.getByLabel('What it read, red to black').fill('+37 V');
  await page.keyboard.press('Enter');
  await page.getByLabel('What goes in').fill('new drive pack');
  await page.getByRole('button', { name: 'It is in' }).click();
  await expect(page.getByRole('region', { name: 'Live' })).toContainText('Lithium pack');

  // Home: main before balance, no gate asked, the screws by their own words.
  await toStop(page, /^Close up/);
  const did = await home(page);
  expect(did.filter((d) => /^Plug in/.test(d))).toEqual(['Plug in main lead', 'Plug in balance lead']);
  expect(did.some((d) => /^(Fit|Screw in) .*drive pack/.test(d) && !/new/.test(d))).toBe(false);
  expect(did.indexOf('Prove new drive pack')).toBeGreaterThan(did.indexOf('Plug in balance lead'));
  await handedOver(page, 'harbour office');
  await expect(page.getByRole('article')).toContainText('new drive pack');
});

test('a headset with a soldered cell', async ({ page, demo }) => {
  test.setTimeout(120_000);
  await described(page, demo.url, {
    name: 'Guide headset',
    does: 'Speaks in both ears',
    covers: 'ear shell',
    rows: [
      { kind: 'board', what: 'radio board' },
      { kind: 'lamp', what: 'speaker' },
      { kind: 'battery', what: 'soldered cell' },
    ],
    pack: { mark: 'B1', leads: '', cells: '1' },
    hazards: ['Lithium pack'],
  });
  await planned(page, 'Dead after an hour', 'B1', /Replace B1/);
  await toStop(page, /^Open up/);

  // A lever waits until the cell is read and low; metal never goes near it.
  await page.getByLabel('Came off:').fill('pry ear shell > shelf');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/No lever yet: Lithium pack, how full it is has not been read/)).toBeVisible();
  await toStop(page, /^Make safe/);
  const charge = page.getByRole('region', { name: 'Gate: charge of Lithium pack' });
  await charge.getByLabel(/Volts at rest/).fill('3.9');
  await charge.getByRole('button', { name: 'Read' }).click();
  await expect(charge.getByText(/Discharge it first/)).toBeVisible();
  await charge.getByLabel(/Volts at rest/).fill('3.5');
  await charge.getByRole('button', { name: 'Read again' }).click();
  await toStop(page, /^Open up/);
  await page.getByLabel('Came off:').fill('pry ear shell with steel blade > shelf');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/No metal near Lithium pack/)).toBeVisible();
  await cameOff(page, 'pry ear shell > shelf');

  // Nobody named a lead: the gate asks which, and what goes back under such a name is live again.
  await toStop(page, /^Make safe/);
  await expect(page.getByText(/Which plugs are leads of Lithium pack is not known/)).toBeVisible();
  await page.getByLabel('Which lead is parted').fill('red cell wire');
  await gate(page, 'Lithium pack', '0');
  await toStop(page, /^Open up/);
  await cameOff(page, 'lift soldered cell > shelf');
  await toStop(page, /^Swap/);
  await page.getByLabel('What it read, red to black').fill('+3.8 V');
  await page.keyboard.press('Enter');
  await page.getByLabel('What goes in').fill('new cell');
  await page.getByRole('button', { name: 'It is in' }).click();
  await toStop(page, /^Close up/);
  await expect(page.getByRole('heading', { name: 'Plug in red cell wire' })).toBeVisible();
  await home(page);
  await expect(page.getByRole('region', { name: 'Live' })).toContainText('Lithium pack');
  await handedOver(page, 'guide');
});

test('a kiosk with two boards on a pin strip', async ({ page, demo }) => {
  test.setTimeout(120_000);
  await described(page, demo.url, {
    name: 'Pier kiosk',
    does: 'Prints a ticket for a coin',
    covers: 'front door, inner panel',
    rows: [
      { kind: 'sensor', what: 'coin slot' },
      { kind: 'board', what: 'main board' },
      { kind: 'board', what: 'plug-in board' },
      { kind: 'motor', what: 'ticket motor' },
      { kind: 'supply', what: 'supply' },
    ],
    hazards: ['Mains', 'Capacitors'],
  });
  await planned(page, 'Takes coins, prints nothing', 'A2', /Replace A2/);
  // Both boards in one opening, which is paid once.
  await toStop(page, /^Plan/);
  const mend = page.getByLabel('Element to mend');
  const main = await mend.locator('option', { hasText: 'A1' }).first().textContent();
  await mend.selectOption({ label: main ?? '' });
  await page.getByRole('radio', { name: /Replace A1/ }).check({ force: true });
  await page.getByRole('button', { name: /And Replace A1.* in the same opening/ }).click();
  const opening = page.getByRole('region', { name: 'In this opening' });
  await expect(opening.getByRole('listitem')).toHaveCount(2);
  await toStop(page, /^Make safe/);

  // Held by both gates before the door, and counted as they are drawn.
  await expect(page.getByRole('heading', { name: '2 gates hold the way in' })).toBeVisible();
  await toStop(page, /^Open up/);
  await page.getByLabel('Came off:').fill('lift front door');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/Held by Mains/).first()).toBeVisible();
  await toStop(page, /^Make safe/);
  await gate(page, 'Mains', '0');
  await gate(page, 'Capacitors', '2');
  await toStop(page, /^Open up/);
  await cameOff(
    page,
    '4 x M4x10 T20 front door low > cup 1',
    'lift front door > shelf',
    '6 x M3x8 PH1 panel > cup 2',
    'lift inner panel > shelf',
    '4 x M2.5x6 PH1 plug-in board > cup 3',
    'unplug motor lead',
    'unplug coin lead',
    'lift plug-in board > shelf',
    'unplug door lead',
    'lift main board > shelf',
  );
  await toStop(page, /^Swap/);
  await page.getByLabel('What goes in').fill('new plug-in board');
  await page.getByRole('button', { name: 'It is in' }).click();
  // Then the other one, whose old board is out already.
  await expect(page.getByRole('heading', { name: /Replace A1/ })).toBeVisible();
  await expect(page.getByText('main board is out', { exact: false })).toBeVisible();
  await page.getByLabel('What goes in').fill('new main board');
  await page.getByRole('button', { name: 'It is in' }).click();
  await expect(page.getByText('Done: new main board')).toBeVisible();
  // A board on a pin strip is looked at before the power comes on.
  await toStop(page, /^Prove/);
  await page.getByRole('button', { name: 'works', exact: true }).first().click();
  await expect(page.getByText(/Before power: new plug-in board on its pin strip/)).toBeVisible();
  await toStop(page, /^Close up/);

  // A later step can be taken before the first one.
  await page.getByRole('button', { name: 'Now: Plug in motor lead' }).click();
  await page.getByRole('button', { name: 'It is plugged' }).click();
  await page.getByRole('button', { name: 'held a tug' }).click();
  await page.getByRole('button', { name: 'Now: Prove new plug-in board' }).click();
  await page.getByRole('button', { name: 'pins counted at both ends, none bare' }).click();
  // A test with a plug still out proves nothing.
  await toStop(page, /^Prove/);
  await page.getByRole('button', { name: 'works', exact: true }).first().click();
  await expect(page.getByText(/coin lead is still out: what is seen now proves nothing/)).toBeVisible();
  await toStop(page, /^Close up/);
  const did = await home(page);
  expect(did.at(-1)).toMatch(/front door/);
  await handedOver(page, 'pier office');
  const report = page.getByRole('article');
  await expect(report).toContainText('4 × M4×10 T20, front door low');
  await expect(report).toContainText('new plug-in board');
  await expect(report).toContainText('new main board');
});
