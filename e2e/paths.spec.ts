import { alive, allSent, clearGates, expect, freshJob, test, testAlone } from './bench-test';
import { startMulch } from './mulch';

const takeIn = async (page: import('@playwright/test').Page, what: string) => {
  await page.getByLabel('What happens instead').fill(what);
  await page.getByRole('button', { name: /^Record/ }).click();
  await page.waitForURL('**/trace');
};

test('a job is referred, and handed over as that', async ({ page, demo }) => {
  await freshJob(page, demo.url, 'Ticket kiosk, turnstile 2');
  await takeIn(page, 'Eats notes');
  await page.getByRole('link', { name: /^Plan/ }).click();
  await page.getByRole('button', { name: 'Refer it' }).click();
  await expect(page.getByText('say who it goes to')).toBeVisible();
  await page.getByLabel('To whom').fill('maker’s service');
  await page.getByLabel('Because').fill('under warranty');
  await page.getByRole('button', { name: 'Refer it' }).click();
  await page.waitForURL('**/hand-over');
  await page.getByRole('radio', { name: 'works' }).check();
  await expect(page.getByText('no remedy has been recorded')).toBeVisible();
  await page.getByRole('radio', { name: 'referred' }).check();
  await page.getByLabel('To whom').fill('carrier');
  await page.getByRole('button', { name: /^Hand over/ }).click();
  await expect(page.getByRole('heading', { name: 'Handed over to carrier' })).toBeVisible();
  await expect(page.getByRole('article')).toContainText('Refer to maker’s service');
  await page.keyboard.press('u');
  await expect(page.getByRole('button', { name: /^Hand over/ })).toBeVisible();
});

test('a gate is passed against advice only with a reason, which stays in the report', async ({
  page,
  demo,
}) => {
  await freshJob(page, demo.url, 'Ticket kiosk, turnstile 2');
  await takeIn(page, 'Eats notes');
  await page.getByRole('link', { name: /^Make safe/ }).click();
  const stacker = page.getByRole('region', { name: 'Gate: Stacker' });
  await stacker.getByRole('button', { name: 'Gate up' }).click();
  await expect(stacker.getByText(/First the act/)).toBeVisible();
  await stacker.getByRole('button', { name: 'Pass it with a reason' }).click();
  await stacker.getByRole('button', { name: 'Pass it', exact: true }).click();
  await expect(stacker.getByText(/say why in a few words/)).toBeVisible();
  await stacker.getByLabel('Why it is passed against advice').fill('its drive belt is off already');
  await stacker.getByRole('button', { name: 'Pass it', exact: true }).click();
  await expect(stacker.getByText(/Passed against advice/)).toBeVisible();
  await clearGates(page, []);
  await page.getByRole('link', { name: /^Open up/ }).click();
  await page.getByLabel('Came off:').fill('lift door');
  await page.keyboard.press('Enter');
  await expect(page.getByText('cash owner has to allow the opening first')).toBeVisible();
  await page.getByRole('link', { name: /^Make safe/ }).click();
  await page.getByLabel('Who gave leave, and how').fill('by telephone');
  await page.getByRole('button', { name: 'Allowed' }).click();
  await page.getByLabel('Whom, and how').fill('the desk, by telephone');
  await page.getByRole('button', { name: 'Told' }).click();
  await page.getByRole('link', { name: /^Open up/ }).click();
  await page.getByLabel('Came off:').fill('lift door');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'The Tray' })).toContainText('door');
  await page.getByRole('link', { name: /^Hand over/ }).click();
  await expect(page.getByRole('article')).toContainText('its drive belt is off already');
});

test('a hazard seen at the door gets its gate', async ({ page, demo }) => {
  await freshJob(page, demo.url, 'Ferry departure board, landing stage');
  await page.getByRole('radio', { name: /Lower rows/ }).check();
  await page.getByRole('checkbox', { name: 'Sharp edges' }).check();
  await takeIn(page, 'Frozen');
  await page.getByRole('link', { name: /^Make safe/ }).click();
  const edges = page.getByRole('region', { name: 'Gate: Sharp edges' });
  await edges.getByRole('checkbox').check();
  await edges.getByRole('button', { name: 'Gate up' }).click();
  await expect(edges.getByText(/Gate up since/)).toBeVisible();
});

test('a job can be parked at every stop and is taken up where it was', async ({ page, demo }) => {
  const job = await freshJob(page, demo.url, 'Ticket kiosk, turnstile 2');
  await takeIn(page, 'Eats notes');
  for (const stop of [
    'take-in',
    'trace',
    'plan',
    'make-safe',
    'open-up',
    'swap',
    'close-up',
    'prove',
    'hand-over',
  ]) {
    await page.goto(`${job}/${stop}`);
    await alive(page);
    await page.keyboard.press('p');
    await page.getByLabel('What it waits for').fill(`tide at ${stop}`);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: `Parked: tide at ${stop}` })).toBeVisible();
    await page.getByRole('button', { name: 'Take it up' }).click();
    await expect(page.getByRole('heading', { name: `Parked: tide at ${stop}` })).toHaveCount(0);
    await allSent(page);
  }
});

test('a server that is cut and comes back gets what was recorded meanwhile', async ({ page }) => {
  let mulch = await startMulch({ demo: true });
  try {
    await freshJob(page, mulch.url, 'Ticket kiosk, turnstile 2');
    await takeIn(page, 'Eats notes');
    await allSent(page);
    const { port } = new URL(mulch.url);
    // The sheet is there before the server goes.
    await page.getByRole('link', { name: /^Open up/ }).click();
    await page.getByLabel('Came off:').waitFor();
    await mulch.kill();
    await page.getByLabel('Came off:').fill('4 x M3x8 PH1 plinth > cup 1');
    await page.keyboard.press('Enter');
    await expect(page.getByText(/1 entry is kept here/)).toBeVisible();
    mulch = await startMulch({ data: mulch.data, port: Number(port) });
    await page.evaluate(() => window.dispatchEvent(new Event('online')));
    await allSent(page);
    const job = page.url().split('/').at(-2);
    const { events } = (await (await page.request.get(`${mulch.url}/api/jobs/${job}/events`)).json()) as {
      events: { type: string }[];
    };
    expect(events.map((e) => e.type)).toEqual(['job.opened', 'intake.recorded', 'move.recorded']);
  } finally {
    await mulch.stop();
  }
});

testAlone(
  'on a slow line nothing typed before the page is alive is lost: it takes no input until then',
  async ({ page, demo }) => {
    await page.route('**/_astro/*.js', async (route) => {
      await new Promise((done) => setTimeout(done, 800));
      await route.continue();
    });
    await page.goto(demo.url, { waitUntil: 'commit' });
    await page.locator('.frame').waitFor();
    await expect(page.locator('.frame')).toHaveAttribute('inert', '');
    await alive(page);
    await page.getByLabel('Unit', { exact: true }).selectOption({ label: 'Ticket kiosk, turnstile 2' });
    await page.getByRole('button', { name: 'Take it in' }).click();
    await page.waitForURL('**/take-in');
    await alive(page);
    await expect(page.getByRole('heading', { name: 'Ticket kiosk' })).toBeVisible();
  },
);

test('day and night, text size and single keys are kept', async ({ page, demo }) => {
  await page.goto(demo.url);
  await alive(page);
  await page.keyboard.press('n');
  await page.keyboard.press('?');
  await page.getByRole('radio', { name: '115 %' }).check();
  await page.getByLabel('Single letters off').check();
  await page.keyboard.press('Escape');
  await page.reload();
  await alive(page);
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'night');
  await expect(page.locator('html')).toHaveAttribute('data-size', '115');
  await page.keyboard.press('n');
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'night');
  await page.getByRole('button', { name: 'Day' }).click();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'day');
});
