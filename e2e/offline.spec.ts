import { appendFileSync, cpSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Page } from '@playwright/test';
import sharp from 'sharp';
import { alive, allSent, expect, freshJob, testAlone as test } from './bench-test';
import { type Running, startMulch } from './mulch';

// Mulch as it is used: kept beside the page.
test.use({ serviceWorkers: 'allow' });

const root = mkdtempSync(path.join(tmpdir(), 'mulch-offline-'));
const data = path.join(root, 'data');
let mulch: Running;
let port = 0;

test.beforeAll(async () => {
  mulch = await startMulch({ demo: true, data });
  port = Number(new URL(mulch.url).port);
});
test.afterAll(async () => {
  await mulch.stop();
  rmSync(root, { recursive: true, force: true });
});

/** Waits until the worker serves the page and has kept what it was told to. */
async function kept(page: Page, paths: string[]): Promise<void> {
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
  await expect(async () => {
    const there = await page.evaluate(async () => {
      const keys = await (await caches.open('mulch pages')).keys();
      return keys.map((r) => new URL(r.url).pathname);
    });
    for (const p of paths) expect(there).toContain(p);
  }).toPass({ timeout: 20_000 });
}
const note = async (page: Page, text: string) => {
  await page.getByRole('button', { name: 'Note' }).click();
  await page.getByRole('dialog').getByRole('textbox').first().fill(text);
  await page.getByRole('dialog').getByRole('button', { name: 'Keep it' }).click();
  await page.keyboard.press('Escape');
};
const history = async (page: Page) => {
  await page.keyboard.press('Escape');
  await page.keyboard.press('y');
  const told = await page.getByRole('dialog', { name: 'History' }).textContent();
  await page.keyboard.press('Escape');
  return told ?? '';
};

test('without the server every stop opens again, entries wait, and arrive in their order', async ({
  page,
}) => {
  test.setTimeout(120_000);
  const job = await freshJob(page, mulch.url, 'Photo-booth printer, north arcade');
  const at = new URL(job).pathname;
  await page.goto(mulch.url);
  await alive(page);
  await kept(page, ['/', '/sums', '/cables', '/batteries', '/units', `${at}/take-in`, `${at}/plugs`]);
  await page.goto(`${job}/take-in`);
  await alive(page);
  // What was sent after the page was kept is in no kept page.
  await note(page, 'first, with the server');
  await note(page, 'taken back without it');
  await allSent(page);

  await mulch.kill();
  // It follows from an entry that is in no kept page.
  await page.keyboard.press('u');
  await note(page, 'second, without it');
  const picture = await sharp({ create: { width: 320, height: 240, channels: 3, background: 'teal' } })
    .jpeg()
    .toBuffer();
  await page.getByLabel('Picture file').setInputFiles([
    { name: 'one.jpg', mimeType: 'image/jpeg', buffer: picture },
    { name: 'two.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('no picture at all') },
  ]);
  await expect(page.getByText('4 unsent')).toBeVisible();
  await page.reload();
  await alive(page);
  // What is kept in the browser comes an instant after the page.
  await expect(async () => {
    expect(await history(page)).toMatch(/second, without it.*first, with the server/s);
  }).toPass({ timeout: 10_000 });
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
    await expect(page.getByRole('list', { name: 'The run' }).locator('[aria-current]')).toContainText(
      new RegExp(stop.replaceAll('-', ' '), 'i'),
      { timeout: 5000 },
    );
  }
  await note(page, 'third, from Hand over');
  for (const view of ['/', '/sums', '/cables', '/batteries', '/units', `${at}/plugs`]) {
    await page.goto(`${mulch.url}${view}`);
    await alive(page);
  }
  await expect(page.getByText('3 entries wait for the server')).toBeVisible();
  // What was never opened here says so, in words of Mulch.
  await page.goto(`${mulch.url}/jobs/01ARZ3NDEKTSV4RRFFQ69G5FAV/trace`);
  await expect(page.getByRole('heading', { name: 'This page is not kept on this device' })).toBeVisible();

  mulch = await startMulch({ data, port });
  await page.goto(`${job}/take-in`);
  await alive(page);
  // What the server does not take as a picture comes back with its reason.
  await expect(page.getByText(/An entry was taken back: .*picture/)).toBeVisible({ timeout: 20_000 });
  await allSent(page);
  const { events } = (await (await page.request.get(`${mulch.url}/api${at}/events`)).json()) as {
    events: { id: string; type: string; text?: string; event?: string }[];
  };
  expect(events.filter((e) => e.type === 'note.added').map((e) => e.text)).toEqual([
    'first, with the server',
    'taken back without it',
    'second, without it',
    'third, from Hand over',
  ]);
  const back = events.find((e) => e.text === 'taken back without it');
  expect(events.filter((e) => e.type === 'undone').map((e) => e.event)).toEqual([back?.id]);
  expect(events.filter((e) => e.type === 'photo.added')).toHaveLength(1);
  await expect(page.getByRole('region', { name: 'Pictures' }).getByRole('img')).toHaveCount(1);
});

test('two devices that were without the server on one job both keep their entries, whichever comes back first', async ({
  page,
  browser,
}) => {
  const job = await freshJob(page, mulch.url, 'Ticket kiosk, turnstile 2');
  const other = await (await browser.newContext()).newPage();
  await other.goto(`${job}/take-in`);
  await alive(other);
  await expect(page.getByText(/^also on /)).toBeVisible();
  await mulch.kill();
  await note(page, 'from the bench, an hour long');
  await note(other, 'from the phone, meanwhile');
  await note(page, 'from the bench again');
  mulch = await startMulch({ data, port });
  // The one that was last to record comes first.
  await other.evaluate(() => window.dispatchEvent(new Event('online')));
  await allSent(other);
  await page.evaluate(() => window.dispatchEvent(new Event('online')));
  await allSent(page);
  for (const one of [page, other]) {
    await expect(async () => {
      const told = await history(one);
      for (const said of ['an hour long', 'meanwhile', 'bench again']) expect(told).toContain(said);
    }).toPass({ timeout: 10_000 });
  }
  await other.context().close();
});

test('a server that ends in the middle of a picture gets it when it is back', async ({ page }) => {
  const job = await freshJob(page, mulch.url, 'Ticket kiosk, turnstile 2');
  let cut = false;
  await page.route('**/api/photos', async (route) => {
    if (!cut) {
      cut = true;
      await mulch.kill();
    }
    await route.continue();
  });
  const picture = await sharp({ create: { width: 300, height: 200, channels: 3, background: 'brown' } })
    .jpeg()
    .toBuffer();
  await page
    .getByLabel('Picture file')
    .setInputFiles({ name: 'hatch.jpg', mimeType: 'image/jpeg', buffer: picture });
  await expect(page.getByText('1 unsent')).toBeVisible();
  mulch = await startMulch({ data, port });
  await page.evaluate(() => window.dispatchEvent(new Event('online')));
  await allSent(page);
  await expect(page.getByRole('region', { name: 'Pictures' }).getByRole('img')).toHaveCount(1);
  const { events } = (await (
    await page.request.get(`${mulch.url}/api${new URL(job).pathname}/events`)
  ).json()) as { events: { type: string }[] };
  expect(events.filter((e) => e.type === 'photo.added')).toHaveLength(1);
});

test('it can be installed: a manifest with its icons, and a worker that changes nothing by itself', async ({
  page,
}) => {
  await page.goto(mulch.url);
  const href = await page.locator('link[rel=manifest]').getAttribute('href');
  const manifest = (await (await page.request.get(`${mulch.url}${href}`)).json()) as {
    name: string;
    start_url: string;
    icons: { src: string; sizes: string }[];
  };
  expect(manifest).toMatchObject({ name: 'Mulch', start_url: '/' });
  for (const { src, sizes } of manifest.icons) {
    const size = await page.evaluate(async (s) => {
      const image = new Image();
      image.src = s;
      await image.decode();
      return `${image.naturalWidth}x${image.naturalHeight}`;
    }, src);
    expect(size).toBe(sizes);
  }
  await alive(page);
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
  // With the server there, a page is always the one of the server.
  const list = await page.request.get(`${mulch.url}/api/jobs?handedOver=no`);
  const count = ((await list.json()) as unknown[]).length;
  await expect(page.getByRole('heading', { level: 1 }).locator('..')).toContainText(`${count} jobs here`);
  await freshJob(page, mulch.url, 'Photo-booth printer, north arcade');
  await page.goto(mulch.url);
  await expect(page.getByRole('heading', { level: 1 }).locator('..')).toContainText(`${count + 1} jobs here`);
});

test('what is fetched when it is asked for and does not come says so, and nothing around it falls', async ({
  browser,
}) => {
  const context = await browser.newContext({ serviceWorkers: 'block' });
  const page = await context.newPage();
  // From the beginning: an idle page may ask for it before anybody does.
  await page.route('**/_astro/SumFinder*', (route) => route.abort());
  await page.goto(mulch.url);
  await alive(page);
  await page.keyboard.press('Control+k');
  await expect(page.getByRole('alert')).toContainText('could not be fetched: there is no connection');
  // Nothing around it fell.
  await expect(page.locator('h2', { hasText: 'In hand' })).toBeAttached();
  await page.unroute('**/_astro/SumFinder*');
  await page.getByRole('button', { name: 'Load the page again' }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await alive(page);
  await page.keyboard.press('Control+k');
  await page.keyboard.type('discharge');
  await expect(page.getByRole('dialog').getByRole('option').first()).toBeVisible();
  await context.close();
});

test('an old page goes on beside a newer server, and the newer Mulch is taken when somebody asks for it', async ({
  page,
}) => {
  const job = await freshJob(page, mulch.url, 'Ticket kiosk, turnstile 2');
  await page.goto(mulch.url);
  await alive(page);
  await kept(page, ['/']);
  await page.goto(`${job}/take-in`);
  await alive(page);
  // The next build: its worker is another one, and what this page has not fetched yet is gone.
  const next = path.join(root, 'next');
  for (const part of ['dist/client', 'dist/thread', 'drizzle'])
    cpSync(part, path.join(next, part), { recursive: true });
  appendFileSync(path.join(next, 'dist/client/sw.js'), '\n// the next one');
  for (const packed of ['sw.js.br', 'sw.js.gz']) rmSync(path.join(next, 'dist/client', packed));
  const pieces = path.join(next, 'dist/client/_astro');
  for (const f of readdirSync(pieces)) if (/^(HandOver|SumFinder)\./.test(f)) rmSync(path.join(pieces, f));
  await mulch.kill();
  mulch = await startMulch({ data, port, env: { MULCH_ROOT: next } });
  await page.getByRole('link', { name: /^Hand over/ }).click();
  await expect(page.getByLabel('To whom')).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('/');
  await expect(page.getByRole('dialog').getByRole('option').first()).toBeVisible();
  // Over a job in hand nothing is offered; on the bench it is.
  await page.evaluate(() => navigator.serviceWorker.ready.then((r) => r.update()));
  await expect(page.getByText('A newer Mulch is here.')).toHaveCount(0);
  await page.goto(mulch.url);
  await expect(page.getByText('A newer Mulch is here.')).toBeVisible();
  await page.evaluate(() => Object.assign(window, { before: true }));
  await page.getByRole('button', { name: 'Take it', exact: true }).click();
  await page.waitForFunction(() => !('before' in window));
  await alive(page);
  await expect(page.getByText('A newer Mulch is here.')).toHaveCount(0);
});
