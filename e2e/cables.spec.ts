import { standInConsole } from '../src/standins/console/console';
import { alive, expect, test } from './bench-test';
import { startMulch } from './mulch';

test('flat cables, continuity, boards that plug in and jumpers, kept over a reload', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/cables`);
  await alive(page);
  const flat = page.getByRole('region', { name: 'Flat cable' });
  await expect(flat.getByRole('heading', { name: 'It suits both ends' })).toBeVisible();
  await flat.getByRole('radio', { name: 'on opposite faces' }).check({ force: true });
  await expect(flat.getByRole('heading', { name: 'It does not suit both ends' })).toBeVisible();
  await expect(flat.getByRole('img', { name: /they do not meet/ })).toBeVisible();
  await flat.getByLabel('Folds that turn it over').fill('1');
  await expect(flat.getByRole('img', { name: /they meet/ })).toBeVisible();
  await flat.getByLabel('Latch').first().selectOption('slide');
  await expect(flat.getByText('Push the frame out by its two ears')).toBeVisible();
  const spare = page.getByRole('region', { name: 'Which spare' });
  await spare.getByLabel(/Spares, one a line/).fill('10 1 150 opposite\nten');
  await expect(spare.getByText('line 2: type contacts, pitch and length in mm: 10 1 150')).toBeVisible();
  await spare.getByLabel(/Spares, one a line/).fill('10 1 150 opposite');
  await expect(spare.getByText('10 contacts, 1 mm, 150 mm')).toBeVisible();

  await page.getByRole('tab', { name: 'Continuity' }).click();
  const says = page.getByRole('region', { name: 'What it says' });
  await page.getByRole('button', { name: 'All straight' }).click();
  await expect(says.getByRole('heading', { name: 'As it should be' })).toBeVisible();
  for (const cell of ['A1 to B1', 'A2 to B2', 'A1 to B2', 'A2 to B1'])
    await page.getByRole('button', { name: cell, exact: true }).click();
  await expect(says.getByText('crossed: A1 with A2')).toBeVisible();
  await page.getByLabel('Wired as, where not straight through').fill('1-2 2-1 3-3 4-4 5-5 6-6 7-7 8-8');
  await expect(says.getByRole('heading', { name: 'As it should be' })).toBeVisible();
  await page.getByLabel('Wired as, where not straight through').fill('1=2');
  await expect(page.getByText('“1=2”: type A to B as 1-2 2-1 3-3')).toBeVisible();
  await page.getByLabel('Wired as, where not straight through').fill('');

  await page.getByRole('tab', { name: 'Plug-in board' }).click();
  const ways = page.getByRole('region', { name: 'Ways to sit' });
  await expect(ways.getByText('One row over (below)')).toBeVisible();
  await page.getByRole('checkbox', { name: /shroud/ }).check({ force: true });
  await expect(ways.getByText('One off along (right), ruled out')).toBeVisible();
  await page.getByLabel('Pins along, on the board').fill('12');
  await expect(page.getByText('12 do not go into 10')).toBeVisible();

  await page.getByRole('tab', { name: 'Jumpers' }).click();
  await expect(page.getByRole('heading', { name: '2 to set' })).toBeVisible();
  await page.getByLabel('What is set').fill('JP1 open, JP2 closed, JP4 closed');
  await expect(page.getByRole('heading', { name: 'Set as this unit wants them' })).toBeVisible();
  await page.getByLabel('Rules, one a line').fill('volts=230: JP1 open\nvolts=230: JP1 closed');
  await expect(page.getByText('rule 2 wants JP1 closed, rule 1 wants it open')).toBeVisible();

  await page.getByRole('tab', { name: 'Stepper' }).click();
  const three = page.getByRole('region', { name: 'All three' });
  await expect(three.getByText(/^707\smA$/)).toBeVisible();
  await page.getByLabel('Given as').selectOption('commandMa');
  await page.getByLabel('Command, mA r.m.s.').last().fill('500');
  await expect(three.getByText(/^0\.5657\sV$/)).toBeVisible();
  await page.getByLabel('Sense resistor, Ω').fill('0');
  await expect(page.getByText('the sense resistor is over 0 Ω')).toBeVisible();

  await page.reload();
  await alive(page);
  await page.getByRole('tab', { name: 'Continuity' }).click();
  await expect(says.getByText('crossed: A1 with A2')).toBeVisible();
});

test('settings are read from the console, compared, written back with a question, and read back', async ({
  page,
}) => {
  const console_ = await standInConsole();
  process.env.MULCH_CONSOLE = console_.address;
  const mulch = await startMulch({ demo: true });
  try {
    await page.goto(`${mulch.url}/cables`);
    await alive(page);
    await page.getByRole('tab', { name: 'Settings' }).click();
    await page.getByRole('button', { name: 'Read as before' }).click();
    const before = page.getByRole('textbox', { name: 'Before' });
    await expect(before).toHaveValue(/lamp_level = 84/);
    const dump = await before.inputValue();
    await page
      .getByRole('textbox', { name: 'After' })
      .fill(
        dump.replace('feed_steps = 806', 'feed_steps = 800').replace('serial = PB3-00417', 'serial = NEW'),
      );
    await page.getByLabel('Keys that must differ').fill('serial');
    const table = page.getByRole('region', { name: 'Differences' });
    await expect(table.getByRole('heading', { name: /2 of 10 keys apart/ })).toBeVisible();
    await expect(table.getByText('differs as it must')).toBeVisible();
    await page.getByLabel('Tolerance').fill('10');
    await expect(table.getByText('within tolerance')).toBeVisible();
    await table.getByLabel('Write feed_steps back').check();
    await table.getByRole('button', { name: 'Write 1 back as before' }).click();
    await table.getByRole('button', { name: 'Write them' }).click();
    await expect(table.getByText(/feed_steps reads 806/)).toBeVisible();
    await page.getByLabel('Unit on it').fill('ZZ');
    await page.getByRole('button', { name: 'Read as after' }).click();
    await expect(page.getByText(/the console knows no unit ZZ/)).toBeVisible();
    await expect(before).toHaveValue(/lamp_level = 84/);
  } finally {
    process.env.MULCH_CONSOLE = '';
    await mulch.stop();
    await console_.close();
  }
});

test('headers and plugs come in as CSV, with a wrong row named and undo to take it back', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/units`);
  await alive(page);
  await page
    .getByRole('link', { name: /Ferry departure board/ })
    .first()
    .click();
  await alive(page);
  await page.getByRole('button', { name: 'A similar unit from this' }).click();
  await expect(page.getByRole('heading', { name: 'Ferry departure board, copy' })).toBeVisible();
  await alive(page);
  await page.getByRole('tab', { name: /Headers/ }).click();
  const file = page.getByLabel('CSV of headers or plugs').first();
  const csv = (text: string) => ({ name: 'h.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  await file.setInputFiles(csv('id;lines;positions\nJ1;+5V|GND;3\n'));
  await expect(
    page.getByText('h.csv: headers, row 2: 3 positions and 2 lines. Nothing has changed'),
  ).toBeVisible();
  await file.setInputFiles(csv('\uFEFFid;lines;landmark\nJ1;+5V|GND;by the fuse\nJ2;TX|RX|nc;\n'));
  await expect(page.getByText(/read: 2 headers, 0 plugs now/)).toBeVisible();
  await expect(page.getByLabel('Landmark of J1')).toHaveValue('by the fuse');
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.getByText(/No header is on the map|no header/i).first()).toBeVisible();
});
