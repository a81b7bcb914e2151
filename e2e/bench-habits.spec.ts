import { STOPS } from '../src/core/job';
import { alive, allSent, expect, freshJob, test, testAlone } from './bench-test';
import { startMulch } from './mulch';
import { slug, viewsOf } from './views';

testAlone.describe('in another time zone than the server', () => {
  testAlone.use({ timezoneId: 'Asia/Tokyo' });
  testAlone('times are those of the bench', async ({ page, demo }) => {
    const [, , job] = (await viewsOf(page, demo.url)).find((v) => v.endsWith('open-up'))?.split('/') ?? [];
    await page.goto(`${demo.url}/jobs/${job}/hand-over`);
    await alive(page);
    const time = page.getByRole('article').locator('time').first();
    const at = new Date((await time.getAttribute('datetime')) ?? '');
    const tokyo = new Intl.DateTimeFormat('en-GB', {
      timeZone: 'Asia/Tokyo',
      hour: '2-digit',
      minute: '2-digit',
    }).format(at);
    await expect(time).toContainText(tokyo);
  });
});

test('touch targets of a job view are at least 44 px', async ({ page, demo }) => {
  const jobs = (await (await page.request.get(`${demo.url}/api/jobs`)).json()) as {
    id: string;
    tag: string;
  }[];
  const id = jobs.find((j) => j.tag === 'SP-098')?.id ?? '';
  for (const stop of STOPS) {
    await page.goto(`${demo.url}/jobs/${id}/${slug(stop)}`);
    await alive(page);
    const small = await page.evaluate(() =>
      [
        ...document.querySelectorAll<HTMLElement>(
          'button, a, select, input:not([type=radio]):not([type=checkbox]):not([type=file])',
        ),
      ]
        .filter((e) => e.offsetParent !== null && !e.classList.contains('sr-only'))
        .map((e) => ({ e, r: (e.closest('label') ?? e).getBoundingClientRect() }))
        .filter(({ r }) => r.height < 44 || r.width < 44)
        .map(({ e, r }) => `${e.outerHTML.slice(0, 90)} ${Math.round(r.width)}×${Math.round(r.height)}`),
    );
    expect(small).toEqual([]);
  }
});

test('without a connection entries are kept, survive the page, and are sent when it is back', async ({
  page,
  demo,
}) => {
  await freshJob(page, demo.url, 'Ticket kiosk, turnstile 2');
  await page.getByLabel('What happens instead').fill('Eats notes');
  await page.route('**/api/**', (route) => route.abort());
  await page.getByRole('button', { name: /^Record/ }).click();
  await expect(page.getByText(/1 entry is kept here/)).toBeVisible();
  await page.reload();
  await alive(page);
  await expect(page.getByText('“Eats notes”')).toBeVisible();
  await page.unroute('**/api/**');
  await page.evaluate(() => window.dispatchEvent(new Event('online')));
  await allSent(page);
  const job = page.url().split('/').at(-2);
  await expect
    .poll(
      async () =>
        ((await (await page.request.get(`${demo.url}/api/jobs/${job}/events`)).json()) as { seq: number })
          .seq,
    )
    .toBe(2);
});

test('what waits is counted on the bench, and sent from there when the server takes it', async ({
  page,
  demo,
}) => {
  const job = await freshJob(page, demo.url, 'Ticket kiosk, turnstile 2');
  const id = job.split('/').at(-1);
  await page.getByLabel('What happens instead').fill('Eats notes');
  await page.route('**/api/jobs/*/events*', (route) => route.abort());
  await page.getByRole('button', { name: /^Record/ }).click();
  await expect(page.getByText(/1 entry is kept here/)).toBeVisible();
  await page.goto(demo.url);
  await expect(page.getByRole('complementary', { name: 'Not sent yet' })).toContainText(
    '1 entry waits for the server',
  );
  await page.unroute('**/api/jobs/*/events*');
  await page.evaluate(() => window.dispatchEvent(new Event('online')));
  await expect(page.getByRole('complementary', { name: 'Not sent yet' })).toHaveCount(0);
  const kept = (await (await page.request.get(`${demo.url}/api/jobs/${id}/events`)).json()) as {
    seq: number;
  };
  expect(kept.seq).toBe(2);
});

testAlone('a clock that is set back while nothing can be sent loses no undo', async ({ page, demo }) => {
  const job = await freshJob(page, demo.url, 'Ticket kiosk, turnstile 2');
  await page.getByLabel('What happens instead').fill('Eats notes');
  await page.getByRole('button', { name: /^Record/ }).click();
  await page.waitForURL('**/trace');
  await allSent(page);
  await page.route('**/api/jobs/*/events*', (route) => route.abort());
  const say = async (text: string) => {
    await page.keyboard.press('m');
    await page.getByRole('dialog').getByLabel('Note').fill(text);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('dialog')).toHaveCount(0);
  };
  await say('smells of salt');
  await page.clock.setSystemTime(Date.now() - 24 * 3_600_000);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await say('smells of tar');
  await expect(page.getByText('3 unsent')).toBeVisible();
  await page.reload();
  await alive(page);
  await expect(page.getByText('3 unsent')).toBeVisible();
  await page.unroute('**/api/jobs/*/events*');
  await page.evaluate(() => window.dispatchEvent(new Event('online')));
  await allSent(page);
  const { events } = (await (
    await page.request.get(`${demo.url}/api/jobs/${job.split('/').at(-1)}/events`)
  ).json()) as { events: { type: string; text?: string }[] };
  expect(events.slice(-3).map((e) => e.text ?? e.type)).toEqual([
    'smells of salt',
    'undone',
    'smells of tar',
  ]);
});

test('what the server refuses is given back with its words, and what is longer than can be kept is said at once', async ({
  page,
  demo,
}) => {
  await freshJob(page, demo.url, 'Ticket kiosk, turnstile 2');
  await page.keyboard.press('m');
  const note = page.getByRole('dialog').getByLabel('Note');
  await note.fill('x'.repeat(4001));
  await page.keyboard.press('Enter');
  await expect(page.getByText('at most 4000 characters: these are 4001')).toBeVisible();
  await page.route('**/api/jobs/*/events', (route) =>
    route.request().method() === 'POST'
      ? route.fulfill({
          status: 400,
          contentType: 'application/problem+json',
          body: JSON.stringify({ status: 400, detail: 'it is not liked', path: '/events/0/text' }),
        })
      : route.continue(),
  );
  await note.fill('smells of salt');
  await page.keyboard.press('Enter');
  await expect(page.getByText('An entry was taken back: it is not liked')).toBeVisible();
  await expect(page.getByText('It said: Note: smells of salt')).toBeVisible();
});

test('two windows on one job stay in step, and the one that is behind is told', async ({
  page,
  context,
  demo,
}) => {
  const job = await freshJob(page, demo.url, 'Ticket kiosk, turnstile 2');
  await page.getByLabel('What happens instead').fill('Eats notes');
  await page.getByRole('button', { name: /^Record/ }).click();
  await page.waitForURL('**/trace');
  await allSent(page);
  const other = await context.newPage();
  await other.goto(`${job}/open-up`);
  await alive(other);
  const line = async (p: typeof page, text: string) => {
    await p.getByLabel('Came off:').fill(text);
    await p.keyboard.press('Enter');
  };
  await line(other, '2 x M4x8 T20 plinth > cup 1');
  await page.getByRole('link', { name: /^Open up/ }).click();
  await expect(page.getByRole('region', { name: 'The Tray' })).toContainText('plinth');

  // Both take the same plug off at once: the second is turned back with the reason.
  await other.route('**/events', (route) => setTimeout(() => route.continue(), 1500));
  await line(other, 'unplug J7');
  await line(page, 'unplug J7');
  await expect(other.getByText(/An entry was taken back: J7 is off already/)).toBeVisible();
  const tray = other.getByRole('region', { name: 'The Tray' });
  await expect(tray.getByRole('button', { name: /J7/ })).toHaveCount(1);
});

test('a broken or foreign job file is refused with the path of what is wrong, and nothing is taken in', async ({
  page,
}) => {
  const mulch = await startMulch();
  try {
    await page.goto(mulch.url);
    await alive(page);
    await expect(page.getByText('No job is in hand')).toBeVisible();
    const put = async (text: string) =>
      page
        .getByLabel('Job file')
        .setInputFiles({ name: 'job.json', mimeType: 'application/json', buffer: Buffer.from(text) });
    await put('{ not json');
    await expect(page.getByText(/Nothing was taken in.*not JSON/)).toBeVisible();
    await put(JSON.stringify({ format: 'something else' }));
    await expect(page.getByText(/Nothing was taken in/)).toBeVisible();
    await put(
      JSON.stringify({
        format: 'mulch job',
        version: 1,
        exportedAt: '2026-11-25T10:00:00Z',
        job: '01ARZ3NDEKTSV4RRFFQ69G5FAV',
        events: [
          {
            type: 'note.added',
            id: '01ARZ3NDEKTSV4RRFFQ69G5FAV',
            at: '2026-11-25T10:00:00Z',
            by: 'x',
            text: 7,
          },
        ],
      }),
    );
    await expect(page.getByText(/\/events\/0\/text must be string/)).toBeVisible();
    expect(await (await page.request.get(`${mulch.url}/api/jobs`)).json()).toEqual([]);
  } finally {
    await mulch.stop();
  }
});
