import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Browser, BrowserContext, Page } from '@playwright/test';
import jsQR from 'jsqr';
import sharp from 'sharp';
import { alive, expect, freshJob, test } from './bench-test';
import { CLOSE_UP, cameOff, described, HAND_OVER, handedOver, home, OPEN_UP, planned, SWAP } from './carried';
import { axe } from './faults';
import { byKey, byTap } from './hands';
import { type Running, startMulch } from './mulch';

const root = mkdtempSync(path.join(tmpdir(), 'mulch-beside-'));
const data = path.join(root, 'data');
let mulch: Running;
let laptop: BrowserContext;

const PHONE =
  'Mozilla/5.0 (Linux; Android 15) AppleWebKit/537.36 (KHTML, like Gecko) Chrome/150.0.0.0 Mobile Safari/537.36';

/** A phone: narrow, touched, and strict about certificates only as far as a person who compared it. */
const phoneOf = (browser: Browser, viewport = { width: 390, height: 844 }) =>
  browser.newContext({ ignoreHTTPSErrors: true, viewport, hasTouch: true, isMobile: true, userAgent: PHONE });

/** Waits until the way in takes input. */
const signInAlive = (page: Page) => page.locator('form:not([inert])').waitFor();

/** What the code on the screen says, read from a picture of it. */
async function codeOn(page: Page): Promise<string> {
  const code = page.getByAltText('The code for the camera of the phone');
  await code.waitFor();
  const { data: pixels, info } = await sharp(await code.screenshot())
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  // Outside check: jsQR.
  return jsQR(new Uint8ClampedArray(pixels), info.width, info.height)?.data ?? '';
}

test.describe.configure({ mode: 'serial' });

test.beforeAll(async ({ browser }) => {
  const alone = await startMulch({ demo: true, data });
  const first = await browser.newPage();
  await first.goto(`${alone.url}/people`);
  await alive(first);
  const form = first.getByRole('form', { name: 'The first person' });
  await form.getByLabel('Name').fill('Ines Voss');
  await form.getByLabel('Passcode').fill('short');
  await form.getByRole('button', { name: 'Register' }).click();
  await expect(form.getByRole('alert')).toContainText('at least 8 characters');
  await form.getByLabel('Passcode').fill('gull on the rail');
  await form.getByRole('button', { name: 'Register' }).click();
  await first.getByRole('region', { name: 'Everybody' }).waitFor();
  await first.close();
  await alone.kill();
  mulch = await startMulch({ data, env: { HOST: '127.0.0.2', MULCH_TLS: 'self' } });
  laptop = await browser.newContext({ ignoreHTTPSErrors: true, viewport: { width: 1280, height: 800 } });
});
test.afterAll(async () => {
  await laptop.close();
  await mulch.stop();
  rmSync(root, { recursive: true, force: true });
});

test('whoever comes signs in, goes where they were going, and keeps people under People', async ({
  browser,
}) => {
  const page = await laptop.newPage();
  await page.goto(`${mulch.url}/units`);
  expect(new URL(page.url()).pathname).toBe('/sign-in');
  await signInAlive(page);
  expect(await axe(page)).toEqual([]);
  await page.getByLabel('Name').fill('ines voss');
  await page.getByLabel('Passcode').fill('not this one');
  await page.getByRole('button', { name: 'Come in' }).click();
  await expect(page.getByRole('alert')).toContainText('do not belong together');
  await page.getByLabel('Passcode').fill('gull on the rail');
  await page.keyboard.press('Enter');
  await page.waitForURL('**/units');

  await page.goto(`${mulch.url}/people`);
  await alive(page);
  const more = page.getByRole('form', { name: 'Somebody more' });
  await more.getByLabel('Name').fill('Harbour office');
  await more.getByLabel('What they are here').selectOption('looker');
  await more.getByLabel('Passcode to begin with').fill('eyes on the tide');
  await more.getByRole('button', { name: 'Add' }).click();
  await expect(page.getByRole('region', { name: 'Everybody' })).toContainText('2 people');
  expect(await axe(page)).toEqual([]);

  // Who looks on reads everything, and records nothing.
  const other = await browser.newContext({ ignoreHTTPSErrors: true });
  const looker = await other.newPage();
  await looker.goto(`${mulch.url}/sign-in`);
  await signInAlive(looker);
  await looker.getByLabel('Name').fill('Harbour office');
  await looker.getByLabel('Passcode').fill('eyes on the tide');
  await looker.keyboard.press('Enter');
  await looker.waitForURL(`${mulch.url}/`);
  await alive(looker);
  await looker
    .getByRole('link', { name: /Hearing-loop amplifier/ })
    .first()
    .click();
  await alive(looker);
  await looker.keyboard.press('m');
  await looker.getByRole('dialog').getByRole('textbox').first().fill('I only look');
  await looker
    .getByRole('dialog')
    .getByRole('button', { name: /Keep|Note/ })
    .click();
  await expect(looker.getByRole('dialog')).toContainText('looks on here');

  await looker.keyboard.press('Escape');
  await expect(looker.getByText('Harbour office looks on here', { exact: false }).first()).toBeVisible();
  // A picture of theirs is refused at once, and does not wait for ever.
  await looker.getByLabel('Picture file').setInputFiles({
    name: 'seen.jpg',
    mimeType: 'image/jpeg',
    buffer: await sharp({ create: { width: 60, height: 40, channels: 3, background: 'teal' } })
      .jpeg()
      .toBuffer(),
  });
  await expect(looker.getByRole('region', { name: 'Pictures' }).getByRole('alert')).toContainText(
    'looks on here',
  );
  await expect(looker.getByText(/unsent/)).toHaveCount(0);

  // Taken out while the page is open: it says so, at the next word to the server.
  await page
    .getByRole('listitem')
    .filter({ hasText: 'Harbour office' })
    .getByRole('button', { name: 'Take out' })
    .click();
  await page.getByRole('button', { name: 'Take Harbour office out' }).click();
  await expect(page.getByRole('region', { name: 'Everybody' })).toContainText('1 person');
  await looker.evaluate(() => window.dispatchEvent(new Event('online')));
  await expect(looker.getByText('This device is signed out.')).toBeVisible();
  await looker.reload();
  expect(new URL(looker.url()).pathname).toBe('/sign-in');
  await other.close();
  await page.close();
});

test('a code brings the job onto the phone without typing: once, and for five minutes', async ({
  browser,
}) => {
  const page = await laptop.newPage();
  const job = await freshJob(page, mulch.url, 'Photo-booth printer, north arcade');
  await page.goto(`${job}/trace`);
  await alive(page);
  await page.keyboard.press('q');
  const sheet = page.getByRole('dialog', { name: 'Beside this' });
  await expect(sheet).toContainText('opens this job at Trace, signed in as Ines Voss');
  await expect(sheet).toContainText(/([0-9A-F]{2}:){31}[0-9A-F]{2}/);
  const link = await codeOn(page);
  expect(link).toMatch(/^https:\/\/127\.0\.0\.2:\d+\/beside#[\w-]{43}$/);
  expect(await axe(page)).toEqual([]);

  const phone = await phoneOf(browser);
  const held = await phone.newPage();
  // Its clock is a day behind: nothing here goes by it.
  await held.clock.install({ time: Date.now() - 86_400_000 });
  const asked: string[] = [];
  held.on('request', (r) => asked.push(`${r.url()} ${r.headers().referer ?? ''}`));
  await held.goto(link);
  await held.waitForURL('**/trace');
  await alive(held);
  await expect(held.getByRole('heading', { level: 1 })).toHaveText('Photo-booth printer');
  expect(held.url()).toBe(`${job}/trace`);
  // What the link says is sent once, as a body, and stands in no address.
  expect(asked.some((a) => a.includes(link.split('#')[1] ?? ''))).toBe(false);
  expect(await held.evaluate(() => document.cookie)).not.toContain('mulch-device');

  // What is recorded on the one stands on the other, and each sees that the other is there.
  await page.keyboard.press('Escape');
  await expect(page.getByText('also on Chrome on Android phone')).toBeVisible();
  await held.getByRole('button', { name: 'Note' }).tap();
  await held.getByRole('dialog').getByRole('textbox').first().fill('tide mark inside the hatch');
  await held
    .getByRole('dialog')
    .getByRole('button', { name: /^(Keep|Note)/ })
    .tap();
  await page.goto(`${job}/take-in`);
  await alive(page);
  await page.keyboard.press('y');
  await expect(page.getByRole('dialog', { name: /History/ })).toContainText('tide mark inside the hatch');
  await expect(page.getByRole('dialog', { name: /History/ })).toContainText('Ines Voss');
  await page.keyboard.press('Escape');
  const pictures = page.getByRole('region', { name: 'Pictures' });
  await expect(pictures.getByRole('img')).toHaveCount(0);
  const picture = await sharp({ create: { width: 640, height: 480, channels: 3, background: 'teal' } })
    .jpeg()
    .toBuffer();
  await held.getByLabel('Picture with the camera').setInputFiles({
    name: 'camera.jpg',
    mimeType: 'image/jpeg',
    buffer: picture,
  });
  await expect(pictures.getByRole('img')).toHaveCount(1, { timeout: 2000 });

  // A stolen link is no use: not twice, not to another device.
  const thief = await phoneOf(browser);
  const stolen = await thief.newPage();
  await stolen.goto(link);
  await expect(stolen.getByRole('alert')).toContainText('used already, or its five minutes are over');
  await stolen.goto(`${mulch.url}/`);
  expect(new URL(stolen.url()).pathname).toBe('/sign-in');
  await stolen.goto(`${mulch.url}/beside`);
  await expect(stolen.getByRole('alert')).toContainText('comes with a code');
  await thief.close();

  // A browser that does not trust the certificate keeps no pages, and says so.
  await held.goto(`${mulch.url}/people`);
  await expect(held.getByText('This browser keeps no pages')).toBeVisible();
  await held.goto(`${job}/take-in`);
  await alive(held);

  // Signing out with something that cannot be sent would leave it to the next name: it is held.
  await page.goto(`${job}/take-in`);
  await alive(page);
  await page.route('**/events', (route) =>
    route.request().method() === 'POST' ? route.abort() : route.continue(),
  );
  await page.getByRole('button', { name: 'Note' }).click();
  await page.getByRole('dialog').getByRole('textbox').first().fill('not sent yet');
  await page.getByRole('dialog').getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('1 unsent')).toBeVisible();
  await page.goto(`${mulch.url}/people`);
  await alive(page);
  await page.getByRole('button', { name: 'Sign out here' }).click();
  await expect(page.getByRole('alert')).toContainText('sign out once they are');
  await page.unroute('**/events');

  // The phone is in the list of devices, and ends there.
  await page.goto(`${mulch.url}/people`);
  await alive(page);
  const devices = page.getByRole('region', { name: 'You' }).getByRole('listitem');
  // The one at which the first person registered, this one, and the phone.
  await expect(devices).toHaveCount(3);
  const it = devices.filter({ hasText: 'Chrome on Android phone' });
  await it.getByRole('button', { name: 'Sign it out' }).click();
  await expect(it).toHaveCount(0);
  await held.reload();
  expect(new URL(held.url()).pathname).toBe('/sign-in');
  await phone.close();
  await page.close();
});

test('a unit described at the laptop is carried on by the phone, from the code to Hand over, and both see all of it', async ({
  browser,
}) => {
  test.setTimeout(120_000);
  const page = await laptop.newPage();
  const key = byKey(page);
  await described(
    { page, hand: key, url: mulch.url },
    {
      name: 'Slipway lamp',
      does: 'Burns from dusk',
      covers: 'lens cover',
      rows: [
        { kind: 'sensor', what: 'dusk eye' },
        { kind: 'board', what: 'driver board' },
        { kind: 'lamp', what: 'lamp' },
      ],
      hazards: [],
    },
  );
  await planned({ page, hand: key, url: mulch.url }, 'Dark all night', /^A1 /, /Replace A1/);
  await page.keyboard.press('Escape');
  await page.keyboard.press('q');
  const link = await codeOn(page);
  await page.keyboard.press('Escape');

  const phone = await phoneOf(browser);
  const held = await phone.newPage();
  const tap = byTap(held);
  const bench = { page: held, hand: tap, url: mulch.url };
  await held.goto(link);
  await held.waitForURL('**/make-safe');
  await alive(held);
  await tap.stop(OPEN_UP);
  await cameOff(bench, '4 x M3x8 PH1 lens cover > cup 1', 'lift lens cover > shelf');
  // The laptop stands a metre away and shows what came off.
  await key.stop(OPEN_UP);
  await expect(page.getByText('4 × M3×8 PH1').first()).toBeVisible({ timeout: 2000 });
  await cameOff(bench, 'unplug eye lead', 'lift driver board > shelf');
  await tap.stop(SWAP);
  await tap.type(/^What goes in/, 'new driver board');
  await tap.foot();
  await tap.stop(CLOSE_UP);
  await home(bench);
  await handedOver(bench, 'slip master');
  await key.stop(HAND_OVER);
  await expect(page.getByRole('heading', { name: 'Handed over to slip master' })).toBeVisible({
    timeout: 2000,
  });
  await expect(page.getByRole('article')).toContainText('new driver board');
  await phone.close();
  await page.close();
});

test('without anybody registered the button says what is missing', async ({ page, demo }) => {
  const job = await freshJob(page, demo.url, 'Photo-booth printer, north arcade');
  await page.goto(`${job}/trace`);
  await alive(page);
  await page.getByRole('button', { name: 'More' }).click();
  await page.getByRole('menuitem', { name: /Beside this/ }).click();
  await expect(page.getByRole('dialog')).toContainText('nobody is registered yet');
  await page.getByRole('link', { name: 'Register the first person' }).click();
  await alive(page);
  await expect(page.getByRole('form', { name: 'The first person' })).toBeVisible();
});
