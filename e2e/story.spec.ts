import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { alive, allSent, cameOff, expect, freshJob, letGo, test } from './bench-test';
import { startMulch } from './mulch';

const gate = async (page: Page, name: string, reading: string) => {
  const panel = page.getByRole('region', { name: `Gate: ${name}` });
  await panel.getByRole('checkbox').check();
  await panel.getByRole('textbox').first().fill(reading);
  await panel.getByRole('button', { name: 'Gate up' }).click();
  await expect(panel.getByText(/Gate up since/)).toBeVisible();
};
const tray = (page: Page) => page.getByRole('region', { name: 'The Tray' });

test('the hearing-loop amplifier, from Take in to Hand over, and onto another Mulch', async ({
  page,
  demo,
}) => {
  const job = await freshJob(page, demo.url, 'Hearing-loop amplifier, ticket hall');

  // Take in
  await page.getByRole('radio', { name: /left side of the hall/ }).check();
  await page.getByLabel('What happens instead').fill('Drops out on the left, crackles when knocked');
  await page.getByRole('radio', { name: 'now and then' }).check();
  await page.getByLabel('What must not be lost').fill('tone settings');
  await page.getByRole('button', { name: /^Record/ }).click();
  await page.waitForURL('**/trace');

  // Trace: listen, measure, flex
  await expect(page.getByRole('heading', { name: /Most suspect: left ribbon W7, \d\d %/ })).toBeVisible();
  // What comes first is done from outside.
  const first = page.getByRole('region', { name: 'Next checks' }).getByRole('button').first();
  await expect(first).toContainText('stays shut');
  await page.getByLabel('Another check').selectOption({ label: 'Listen at H1' });
  await page.getByRole('button', { name: 'as it should be', exact: true }).click();
  await expect(page.getByRole('heading', { name: /W7, \d\d %/ })).toBeVisible();
  await page.getByLabel('Another check').selectOption({ label: 'Measure at TP5' });
  await page.getByRole('button', { name: 'The service hatch is off now' }).click();
  await expect(tray(page).getByRole('button', { name: /service hatch/ })).toBeVisible();
  await page.getByLabel('Another check').selectOption({ label: 'Measure at TP5' });
  await page.getByLabel('Reading in V').fill('a lot');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/“a lot” is not a reading/)).toBeVisible();
  await page.getByLabel('Reading in V').fill('31m');
  await expect(page.getByText('0.644 V under')).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByText('TP5 0.031 V, wanted 0.775 ± 0.1 V')).toBeVisible();
  await page.getByLabel('Another check').selectOption({ label: 'Flex W7 while it runs' });
  await page.getByRole('button', { name: 'comes and goes', exact: true }).click();
  await expect(page.getByRole('heading', { name: /Enough known: left ribbon W7, 9\d %/ })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Live now' })).toContainText('Live now');

  // Nothing is lost on a reload, and undo and redo go over it
  await allSent(page);
  await page.reload();
  await alive(page);
  await expect(page.getByRole('heading', { name: /Enough known/ })).toBeVisible();
  await page.keyboard.press('u');
  await expect(page.getByRole('heading', { name: /Most suspect/ })).toBeVisible();
  await page.keyboard.press('Shift+U');
  await expect(page.getByRole('heading', { name: /Enough known/ })).toBeVisible();

  // Plan
  await page.getByRole('button', { name: /^Plan: / }).click();
  await page.getByRole('radio', { name: /Replace W7/ }).check();
  await page.getByRole('button', { name: /^Replace W7 left ribbon, 16/ }).click();
  await page.waitForURL('**/make-safe');

  // The lid is held until the gates are up, and a gate asks for its reading
  await page.keyboard.press('5');
  await cameOff(page, '2 x M3x6 PH1 service hatch > cup 1');
  await page.getByLabel('Came off:').fill('lift lid');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/Held by Mains, 230 V inside the lid/)).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: /^Make safe/ }).click();
  const mains = page.getByRole('region', { name: 'Gate: Mains' });
  await mains.getByRole('checkbox').check();
  await mains.getByRole('button', { name: 'Gate up' }).click();
  await expect(mains.getByText(/cleared by a reading at the inlet terminals/)).toBeVisible();
  await mains.getByRole('textbox').first().fill('230');
  await mains.getByRole('button', { name: 'Gate up' }).click();
  await expect(mains.getByText(/230 V at the inlet terminals is over 5 V/)).toBeVisible();
  await gate(page, 'Mains', '0');
  await gate(page, 'C11 C12', '3.2');
  await page.getByRole('button', { name: 'Open up' }).click();

  // Open up
  await cameOff(page, '6 x M4x12 T20 lid > cup 2');
  await cameOff(page, 'lift lid > shelf');
  await cameOff(page, 'unplug J7 10p latch');
  await expect(tray(page)).toContainText('5 places in use');
  await page.getByRole('button', { name: /^Replace W7 left ribbon/ }).click();

  // Parked and taken up again, tray and all
  await page.keyboard.press('p');
  await page.getByLabel('What it waits for').fill('ribbon 10-way');
  await page.getByLabel('Until').fill('Thursday ferry');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Parked: ribbon 10-way' })).toBeVisible();
  await expect(page.getByText('Thursday ferry').first()).toBeVisible();
  await allSent(page);
  await page.goto(demo.url);
  await expect(page.getByRole('link', { name: /ribbon 10-way/ })).toBeVisible();
  await page.goto(`${job}/swap`);
  await alive(page);
  await page.getByRole('button', { name: 'Take it up' }).click();
  await expect(tray(page)).toContainText('5 places in use');

  // Swap
  await page.getByRole('button', { name: 'It is out' }).click();
  await page.getByLabel('Serial', { exact: true }).fill('2646');
  await page.getByRole('button', { name: 'It is in' }).click();
  await page.getByRole('button', { name: 'Close up' }).click();

  // Close up: partial counts, a trial close, a refused final close
  await page.getByRole('button', { name: 'It is plugged' }).click();
  await page.getByRole('button', { name: 'latch clicked' }).click();
  await expect(page.getByRole('heading', { name: /Prove ribbon 10-way 200 mm/ })).toBeVisible();
  await page.getByRole('button', { name: /^flap down/ }).click();
  const lid = page
    .getByRole('region', { name: 'Covers' })
    .getByRole('listitem')
    .filter({ hasText: 'lid' })
    .first();
  await lid.getByRole('button', { name: 'Laid on for a trial' }).click();
  await expect(lid).toContainText('laid on for a trial, not closed');
  await lid.getByRole('button', { name: 'Closed for good' }).click();
  await expect(lid.getByRole('alert')).toContainText('lid stays open: 6 × M4×12 T20 still in cup 2');

  // Try it open: the failing check, the failing reading and the flex once more
  await page.getByRole('button', { name: 'Test it now' }).click();
  await page.getByLabel('Whom, and how').fill('at the counter');
  await page.getByRole('button', { name: 'Told' }).click();
  await page.getByRole('button', { name: 'works', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'It works again' })).toBeVisible();
  await page.getByRole('button', { name: 'Repeat Measure at TP5' }).click();
  await page.getByLabel('Reading in V').fill('0.776');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('cell', { name: /0.031/ })).toBeVisible();
  await expect(page.getByRole('cell', { name: /0.776/ })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Live now' })).toContainText('live again');

  // Hands go in again only through the gates
  await page.getByRole('link', { name: /^Make safe/ }).click();
  await gate(page, 'Mains', '0');
  await gate(page, 'C11 C12', '2');
  await page.getByRole('link', { name: /^Close up/ }).click();
  await page.getByRole('button', { name: 'It is on' }).click();
  await page.keyboard.press('Space');
  await page.keyboard.press('Space');
  await expect(tray(page).getByRole('button', { name: /2 of 6 back/ })).toBeVisible();
  await page.getByRole('button', { name: 'All 4 are tight' }).click();
  await page.getByRole('button', { name: 'The lid is closed' }).click();
  await page.getByRole('button', { name: 'It is on' }).click();
  await page.getByRole('button', { name: 'All 2 are tight' }).click();
  await page.getByRole('button', { name: 'The service hatch is closed' }).click();
  await expect(page.getByRole('heading', { name: 'Everything is back and closed' })).toBeVisible();

  // Prove closed, hand over
  await page.getByRole('button', { name: 'Prove' }).click();
  await page.getByRole('button', { name: /^Repeat Try: loop heard on the left/ }).click();
  await page.getByRole('button', { name: 'works', exact: true }).click();
  await page.getByRole('button', { name: 'Hand over' }).click();
  await letGo(page);
  await page.getByLabel('To whom').fill('ticket hall');
  await page.getByRole('button', { name: /^Hand over/ }).click();
  await expect(page.getByRole('heading', { name: /Handed over to ticket hall/ })).toBeVisible();
  const report = page.getByRole('article');
  await expect(report).toContainText('before 0.031 V; after 0.776 V, service hatch, lid off');
  await expect(report).toContainText('6 × M4×12 T20, lid');
  await expect(report).toContainText('ribbon 10-way 200 mm');
  await expect(report.getByRole('row', { name: /Mains: Switch off.*read 0 V by meter/ })).toHaveCount(2);

  // The whole job as a file, onto another Mulch, without loss
  await allSent(page);
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'The job as a file' }).click();
  const file = await (await download).path();
  const other = await startMulch();
  try {
    await page.goto(other.url);
    await alive(page);
    await page.getByLabel('Job file').setInputFiles(file);
    await page.waitForURL('**/hand-over');
    await alive(page);
    await expect(page.getByRole('article')).toContainText('before 0.031 V; after 0.776 V');
    const id = page.url().split('/').at(-2);
    const again = (await (await page.request.get(`${other.url}/api/jobs/${id}/file`)).json()) as {
      events: unknown[];
    };
    expect(again.events).toEqual((JSON.parse(readFileSync(file, 'utf8')) as { events: unknown[] }).events);
  } finally {
    await page.goto('about:blank');
    await other.stop();
  }
});
