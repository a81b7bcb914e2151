import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { chromium } from '@playwright/test';
import QRCode from 'qrcode';
import sharp from 'sharp';
import config from '../playwright.config';
import { alive, expect, test } from './bench-test';

/** Codes of the digits of EAN-13 at the left, odd parity. Source: GS1 General Specifications, 5.2.1.2 (from memory). */
const LEFT = '0001101 0011001 0010011 0111101 0100011 0110001 0101111 0111011 0110111 0001011'.split(' ');
const flipped = (s: string) => [...s].map((b) => (b === '1' ? '0' : '1')).join('');
const RIGHT = LEFT.map(flipped);
const EVEN = RIGHT.map((s) => [...s].reverse().join(''));
/** Parities of the left half after a first digit of 2. */
const AFTER_TWO = 'LLGGLG';

/** A bar code as a picture, its check digit by weights one and three. */
async function bars(twelve: string): Promise<{ said: string; png: Buffer }> {
  const sum = [...twelve].reduce((a, d, i) => a + Number(d) * (i % 2 ? 3 : 1), 0);
  const said = `${twelve}${(10 - (sum % 10)) % 10}`;
  const digits = [...said].map(Number);
  const left = digits.slice(1, 7).map((d, i) => (AFTER_TWO[i] === 'L' ? LEFT[d] : EVEN[d]));
  const right = digits.slice(7).map((d) => RIGHT[d]);
  const modules = `101${left.join('')}01010${right.join('')}101`;
  const drawn = [...modules]
    .map((m, i) => (m === '1' ? `<rect x="${(i + 12) * 4}" y="20" width="4" height="120"/>` : ''))
    .join('');
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="480" height="160"><rect width="480" height="160" fill="#fff"/>${drawn}</svg>`;
  return { said, png: await sharp(Buffer.from(svg)).png().toBuffer() };
}
const picture = (buffer: Buffer) => ({ name: 'code.png', mimeType: 'image/png', buffer });

test('a code on a board is read into the field in hand, and a label opens its thing', async ({
  page,
  demo,
}) => {
  const jobs = (await (await page.request.get(`${demo.url}/api/jobs?handedOver=no`)).json()) as {
    id: string;
    tag: string;
  }[];
  const id = jobs.find((j) => j.tag === 'SP-109')?.id ?? '';
  await page.goto(`${demo.url}/jobs/${id}/swap`);
  await alive(page);
  await page.getByRole('button', { name: 'Scan: Serial of the old one' }).click();
  const sheet = page.getByRole('dialog', { name: 'Serial of the old one' });
  await expect(sheet.getByText('This browser gives no camera here')).toBeVisible();
  const blank = await sharp({ create: { width: 300, height: 200, channels: 3, background: '#ddd' } })
    .png()
    .toBuffer();
  await sheet.getByLabel('Picture of a code').setInputFiles(picture(blank));
  await expect(sheet.getByRole('alert')).toContainText('No code was found in it');
  await sheet.getByLabel('Picture of a code').setInputFiles(picture(Buffer.from('none')));
  await expect(sheet.getByRole('alert')).toContainText('That is no picture');
  const { said, png } = await bars('291234500001');
  await sheet.getByLabel('Picture of a code').setInputFiles(picture(png));
  await expect(sheet).toHaveCount(0);
  await expect(page.getByLabel('Serial of the old one', { exact: true })).toHaveValue(said);

  // A label printed while the Mulch had another address.
  const { events } = (await (await page.request.get(`${demo.url}/api/jobs/${id}/file`)).json()) as {
    events: { id: string; type: string }[];
  };
  const item = events.find((e) => e.type === 'move.recorded')?.id ?? '';
  const label = await QRCode.toBuffer(`http://bench.example/jobs/${id}/open-up?item=${item}`, { scale: 6 });
  await page.keyboard.press('Escape');
  await page.keyboard.press('c');
  await page
    .getByRole('dialog', { name: 'Scan a label' })
    .getByLabel('Picture of a code')
    .setInputFiles(picture(label));
  await page.waitForURL(`**/open-up?item=${item}`);
  await alive(page);
  // Any other code is shown as it reads, and leads nowhere.
  await page.keyboard.press('Escape');
  await page.keyboard.press('c');
  const elsewhere = await QRCode.toBuffer('https://elsewhere.example/win', { scale: 6 });
  await page
    .getByRole('dialog', { name: 'Scan a label' })
    .getByLabel('Picture of a code')
    .setInputFiles(picture(elsewhere));
  await expect(page.getByRole('dialog', { name: 'No label of a Mulch' })).toContainText(
    'https://elsewhere.example/win',
  );
});

test('where the browser gives its camera, the code is read from what it sees', async ({ demo }) => {
  const folder = mkdtempSync(path.join(tmpdir(), 'mulch-camera-'));
  const film = path.join(folder, 'film.mjpeg');
  const { said, png } = await bars('200000012345');
  // A film of one picture over and over: pictures behind one another.
  const frame = await sharp({ create: { width: 640, height: 480, channels: 3, background: '#ece6da' } })
    .composite([{ input: png, gravity: 'centre' }])
    .jpeg({ quality: 95 })
    .toBuffer();
  writeFileSync(film, Buffer.concat(Array.from({ length: 10 }, () => frame)));
  const { launchOptions } = config.use ?? {};
  const browser = await chromium.launch({
    ...launchOptions,
    args: [
      ...(launchOptions?.args ?? []),
      '--use-fake-ui-for-media-stream',
      '--use-fake-device-for-media-stream',
      `--use-file-for-fake-video-capture=${film}`,
    ],
  });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    const jobs = (await (await page.request.get(`${demo.url}/api/jobs?handedOver=no`)).json()) as {
      id: string;
      tag: string;
    }[];
    await page.goto(`${demo.url}/jobs/${jobs.find((j) => j.tag === 'SP-109')?.id}/swap`);
    await alive(page);
    await page.getByRole('button', { name: 'Scan: Serial of the old one' }).click();
    await expect(page.getByRole('main').getByLabel('Serial of the old one', { exact: true })).toHaveValue(
      said,
      {
        timeout: 20_000,
      },
    );
  } finally {
    await browser.close();
    rmSync(folder, { recursive: true, force: true });
  }
});
