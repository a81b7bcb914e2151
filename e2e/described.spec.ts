import { alive, allSent, expect, foot, test, toStop } from './bench-test';
import { CLOSE_UP, cameOff, described, handedOver, home, OPEN_UP, planned, SWAP } from './carried';
import { byKey } from './hands';

test('a unit just described, carried from Take in to Hand over with what it said itself', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/units/new`);
  await alive(page);
  await page.getByRole('button', { name: 'Keep it and take it in' }).click();
  await expect(page.getByText('give the unit a name')).toBeVisible();
  await page.getByLabel('What it is', { exact: true }).fill('Tide bell');
  await page.getByLabel('Where it stands').fill('pier head');
  await page.getByLabel('What it should do').fill('Rings at high water');
  await page.getByLabel('Point after row 2').fill('TP1');
  await page.getByLabel('What the point of row 2 should read').fill('five');
  await page.getByRole('button', { name: '+ supply' }).click();
  await page.getByRole('checkbox', { name: 'Mains' }).check();
  await page.getByRole('button', { name: 'Keep it and take it in' }).click();
  await expect(page.getByText(/Row 2: what TP1 should read: “five” is not a reading/)).toBeVisible();

  // Nothing typed is lost on a reload
  await page.reload();
  await alive(page);
  await expect(page.getByLabel('What it should do')).toHaveValue('Rings at high water');
  await page.getByLabel('What the point of row 2 should read').fill('5');
  // How far it may be off need not be typed.
  await expect(page.getByLabel('Tolerance at the point of row 2')).toHaveAttribute('placeholder', '0.5');
  await page.getByRole('button', { name: 'Keep it and take it in' }).click();
  await page.waitForURL('**/take-in');
  await alive(page);

  // Take in, and straight to Plan
  await page.getByLabel('What happens instead').fill('Silent since the storm');
  await page.getByLabel('What the unit itself says').fill('fault W1');
  await page.getByRole('button', { name: 'Plan at once: “fault W1”' }).click();
  await page.waitForURL('**/plan');
  await page
    .getByLabel('Element to mend')
    .selectOption({ label: /W1 cable/ as unknown as string })
    .catch(async () => {
      const label = await page
        .getByLabel('Element to mend')
        .locator('option', { hasText: 'W1 cable' })
        .textContent();
      await page.getByLabel('Element to mend').selectOption({ label: label ?? '' });
    });
  await page.getByRole('radio', { name: /Reseat W1/ }).check();
  await page.getByRole('button', { name: /^Reseat W1 cable/ }).click();
  await page.waitForURL('**/make-safe');

  const mains = page.getByRole('region', { name: 'Gate: Mains' });
  await mains.getByRole('checkbox').check();
  await mains.getByRole('textbox').first().fill('0');
  await mains.getByRole('button', { name: 'Gate up' }).click();
  await page.getByRole('button', { name: 'Open up' }).click();

  // By buttons, then by the line
  await page.getByRole('button', { name: 'One fewer' }).click();
  await page.getByRole('button', { name: 'Put it on the line' }).click();
  await expect(page.getByLabel('Came off:')).toHaveValue('3 x M3x8 PH1 cover > cup 1');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'It is off' }).click();
  await page.keyboard.press('Enter');
  await page.getByLabel('Came off:').fill('unplug W1');
  await page.keyboard.press('Enter');
  await page.getByRole('link', { name: /^Swap/ }).click();
  await page.getByLabel('What was seen').fill('contact 2 dull');
  await page.getByRole('button', { name: /^Done/ }).click();

  // Close up, prove, hand over
  await page.getByRole('button', { name: 'It is plugged' }).click();
  await page.getByRole('button', { name: 'held a tug' }).click();
  await page.getByRole('button', { name: 'It is on' }).click();
  await page.getByRole('button', { name: 'All 3 are tight' }).click();
  await page.getByRole('button', { name: 'The cover is closed' }).click();
  await page.getByRole('button', { name: 'Prove' }).click();
  await page.getByRole('button', { name: 'fails', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'It still fails' })).toBeVisible();
  await page.getByRole('button', { name: 'Back to Trace' }).click();
  await expect(page.getByText('W1, reseat tried')).toBeVisible();
  await page.keyboard.press('u');
  await page.keyboard.press('u');
  await allSent(page);
  await page.goto(page.url().replace(/trace$/, 'prove'));
  await alive(page);
  await page.getByRole('button', { name: 'works', exact: true }).click();
  await page.getByRole('button', { name: 'Hand over' }).click();
  await page.getByLabel('To whom').fill('harbour office');
  await page.getByRole('button', { name: /^Hand over/ }).click();
  await expect(page.getByRole('article')).toContainText('The unit itself said: fault W1');
  await expect(page.getByRole('article')).toContainText('contact 2 dull');
  await allSent(page);
});

test('a map changed beside the job is looked at and taken over; kit and notes are kept', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/units/new`);
  await alive(page);
  await page.getByLabel('What it is', { exact: true }).fill('Sluice gate control');
  await page.getByLabel('What it should do').fill('Lifts the gate');
  await page.getByLabel('What has to come off').fill('front shell');
  await page.getByRole('button', { name: 'Keep it and take it in' }).click();
  await page.waitForURL('**/take-in');
  await alive(page);
  await page.getByLabel('What happens instead').fill('Stops half way');
  await page.getByRole('button', { name: /^Plan at once/ }).click();
  await page.waitForURL('**/plan');
  const kit = page.getByRole('region', { name: 'Kit' });
  await kit.getByLabel('And take along').fill('torch');
  await page.keyboard.press('Enter');
  await expect(kit.getByRole('button', { name: 'Leave torch here' })).toBeVisible();
  await page.getByRole('button', { name: 'Note', exact: true }).click();
  await page.getByRole('dialog').getByLabel('Note').fill('smells of salt');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await allSent(page);

  // Somebody adds a cover and a party to the map meanwhile.
  await page.evaluate(async () => {
    const all = await (await fetch('/api/units')).json();
    const unit = all.find((u: { map: { name: string } }) => u.map.name === 'Sluice gate control');
    const { id, version, map } = unit;
    const [first] = map.access;
    await fetch('/api/units', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({
        id,
        version,
        map: {
          ...map,
          parties: [{ id: 'gate', who: 'gate keeper', must: 'told' }],
          access: [...map.access, { id: 'inner', name: 'inner plate', minutes: 2, needs: [first.id] }],
        },
      }),
    });
  });
  await page.reload();
  await alive(page);
  const changed = page.getByRole('region', { name: 'Changed map' });
  await expect(changed).toContainText('1 more: inner plate');
  await expect(changed).toContainText('1 more: gate keeper');
  await changed.getByRole('button', { name: 'Take it over' }).click();
  await expect(changed).toHaveCount(0);
  await expect(kit.getByRole('button', { name: 'Leave torch here' })).toBeVisible();
  await page.getByRole('link', { name: /^Open up/ }).click();
  await page.getByLabel('Came off:').fill('lift front shell');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/gate keeper has to be told before the opening/)).toBeVisible();
  await page.getByRole('link', { name: /^Hand over/ }).click();
  await expect(page.getByRole('article')).toContainText('smells of salt');
  await allSent(page);
});

test('a unit that comes to be put together: nothing came off, everything is fitted, proven and handed over', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/units/new`);
  await alive(page);
  await page.getByLabel('What it is', { exact: true }).fill('Mooring lamp kit');
  await page.getByLabel('What it should do').fill('Shines');
  await page.getByLabel('What has to come off').fill('lens hood');
  await page.getByRole('button', { name: 'Keep it and take it in' }).click();
  await page.waitForURL('**/take-in');
  await alive(page);
  await page.getByRole('radio', { name: 'assembly' }).check({ force: true });
  await page.getByLabel('What is to be done').fill('put together from the box');
  await page.getByRole('button', { name: /^Record/ }).click();
  await page.waitForURL('**/plan');
  await expect(page.getByText('asked for: “put together from the box”')).toBeVisible();
  await page.getByRole('link', { name: /^Close up/ }).click();
  for (const text of ['lamp board', 'plug W1', 'lens hood', '3 x M3x8 PH1 lens hood']) {
    const add = page.getByLabel('What goes in for the first time');
    const more = page.getByRole('button', { name: 'Something more goes in' });
    await add.or(more).first().waitFor();
    if (!(await add.isVisible())) await more.click();
    await add.fill(text);
    await page.keyboard.press('Enter');
    await expect(add).toHaveValue('');
  }
  const back = page.getByRole('region', { name: 'Way back' });
  await expect(back.getByRole('heading', { name: 'Fit lamp board' })).toBeVisible();
  const done = page.getByRole('heading', { name: 'Everything is back and closed' });
  for (let i = 0; i < 20 && !(await done.isVisible()); i++) {
    await foot(page)
      .getByRole('button', {
        name: /^(It is (plugged|on)|All \d+ are tight|The .* is closed|held a tug|sits home)/,
      })
      .last()
      .click();
    await page.waitForTimeout(120);
  }
  await expect(done).toBeVisible();
  await page.getByRole('link', { name: /^Prove/ }).click();
  await expect(page.getByRole('heading', { name: 'Show that it works' })).toBeVisible();
  await page.getByRole('button', { name: 'works', exact: true }).first().click();
  await expect(page.getByRole('heading', { name: 'It works', exact: true })).toBeVisible();
  await page.getByRole('link', { name: /^Hand over/ }).click();
  const report = page.getByRole('article');
  await expect(report).toContainText('For assembly: “put together from the box”');
  await expect(report).toContainText('1 × lamp board');
  await allSent(page);
});

test('what is asked first finds a setting: proven, found wanting, proven again and handed over; a refusal comes into sight', async ({
  page,
  demo,
}) => {
  await page.setViewportSize({ width: 390, height: 700 });
  await page.goto(`${demo.url}/units/new`);
  await alive(page);
  await page.getByLabel('What it is', { exact: true }).fill('Ferry horn');
  await page.getByLabel('What it should do').fill('Sounds when the handle is pulled');
  await page.getByRole('button', { name: 'Keep it and take it in' }).click();
  await page.waitForURL('**/take-in');
  await alive(page);

  // What the foot was refused is said where it is typed, and that is gone to.
  await page.evaluate(() => window.scrollTo(0, document.body.scrollHeight));
  await foot(page)
    .getByRole('button', { name: /^Record/ })
    .click();
  await expect(page.getByText('say what it does wrong')).toBeInViewport();
  await expect(page.getByLabel('What happens instead')).toBeFocused();
  await page.keyboard.type('Mute in fog');
  await page.keyboard.press('Enter');
  await page.waitForURL('**/trace');

  const asked = page.getByRole('region', { name: 'Asked first' });
  await asked.getByRole('button', { name: 'it fails here too' }).click();
  await asked.getByRole('button', { name: 'warm and cold alike' }).click();
  await asked.getByRole('button', { name: 'a setting was off' }).click();
  await asked.getByRole('button', { name: 'Prove it' }).click();
  await foot(page)
    .getByRole('button', { name: /^fails/ })
    .click();
  await expect(page.getByText('the setting put right did not mend it')).toBeVisible();
  await foot(page).getByRole('button', { name: 'Back to Trace' }).click();
  await expect(asked.getByText('It was put right, and it still fails.')).toBeVisible();
  await expect(asked.getByRole('button', { name: 'Prove it' })).toHaveCount(0);

  // The interlock was it.
  await asked.getByRole('button', { name: 'one was open' }).click();
  await toStop(page, /^Prove/);
  await page
    .getByRole('button', { name: /^Repeat|^Once more/ })
    .first()
    .click();
  await foot(page)
    .getByRole('button', { name: /^works/ })
    .click();
  await foot(page).getByRole('button', { name: 'Hand over' }).click();
  await page.getByLabel('To whom').fill('harbour office');
  await foot(page).getByRole('button', { name: 'Hand over' }).click();
  await expect(page.getByRole('heading', { name: 'Handed over to harbour office' })).toBeVisible();
  await expect(page.getByRole('article')).toContainText('one was open');
  await allSent(page);
});

test('several leads in one line, by key alone: each is a thing of the tray, goes back and is proven', async ({
  page,
  demo,
}) => {
  const bench = { page, hand: byKey(page), url: demo.url };
  await described(bench, {
    name: 'Boat lift box',
    does: 'Lowers the cradle',
    covers: 'grey lid',
    rows: [
      { kind: 'board', what: 'relay board' },
      { kind: 'motor', what: 'winch' },
    ],
    hazards: [],
  });
  await planned(bench, 'Cradle stands still', /^A1 /, /Replace A1/);
  await bench.hand.stop(OPEN_UP);
  // As it is told afterwards.
  await cameOff(
    bench,
    'removed the two screws holding the grey lid > tin',
    'took the grey lid off > bench left',
    'unplugged P1, the P2 and P4 > shelf',
    'relay board out > shelf',
  );
  const tray = page.getByRole('region', { name: /^The Tray/ });
  await expect(tray.getByText('2off')).toBeVisible();
  for (const lead of ['P1', 'P2', 'P4']) await expect(tray.getByText(lead, { exact: true })).toBeVisible();
  await page.keyboard.press('Escape');
  // The board, and what was said in one line, are taken back one at a time.
  await page.keyboard.press('u');
  await page.keyboard.press('u');
  await expect(tray.getByText('P4', { exact: true })).toHaveCount(0);
  await expect(tray.getByText('P2', { exact: true })).toBeVisible();
  await page.keyboard.press('Shift+U');
  await page.keyboard.press('Shift+U');
  await expect(tray.getByText('P4', { exact: true })).toBeVisible();
  await bench.hand.stop(SWAP);
  // What holds nothing is asked too, under the box it belongs to.
  const before = page.getByRole('region', { name: 'Before it goes in', exact: true });
  await expect(before.getByText('Pins straight, looked at along both rows')).toBeVisible();
  await bench.hand.press(/^Done: Pins straight/);
  await expect(before.getByRole('button', { name: /^Done: Pins straight/ })).toHaveCount(0);
  await bench.hand.type(/^What goes in/, 'new relay board');
  await bench.hand.foot();
  await bench.hand.stop(CLOSE_UP);
  const did = await home(bench);
  for (const lead of ['P1', 'P2', 'P4']) expect(did).toContain(`Plug in ${lead}`);
  expect(did).toContain('Screw in 2 × screw, grey lid');
  await handedOver(bench, 'slipway');
});
