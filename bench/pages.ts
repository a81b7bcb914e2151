import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { gzipSync } from 'node:zlib';
import { type Browser, chromium } from '@playwright/test';
import sharp from 'sharp';
import { ulid } from 'ulid';
import { startMulch } from '../e2e/mulch';
import config from '../playwright.config';
import { spread } from './figures';

const kB = (bytes: number) => `${(bytes / 1024).toFixed(1)} kB`;

/** Paint, scripts and the round trip of an event, measured on a Mulch of its own with the demo in it. */
export async function measurePages(say: (line: string) => void): Promise<void> {
  const mulch = await startMulch({ demo: true });
  const browser = await chromium.launch(config.use?.launchOptions);
  try {
    const jobs = (await (await fetch(`${mulch.url}/api/jobs`)).json()) as { id: string; tag: string }[];
    const job = jobs.find((j) => j.tag === 'SP-098')?.id ?? '';
    const packed = new Map(
      readdirSync('dist/client/_astro')
        .filter((f) => f.endsWith('.js'))
        .map((f) => [f, gzipSync(readFileSync(path.join('dist/client/_astro', f))).length]),
    );
    for (const view of ['/', '/units', '/units/new', `/jobs/${job}/trace`, `/jobs/${job}/close-up`]) {
      const paints: number[] = [];
      let scripts: string[] = [];
      for (let i = 0; i < 5; i++) {
        const page = await (await browser.newContext()).newPage();
        await page.goto(mulch.url + view, { waitUntil: 'networkidle' });
        paints.push(
          await page.evaluate(
            () => performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? 0,
          ),
        );
        scripts = await page.evaluate(() =>
          performance
            .getEntriesByType('resource')
            .map((r) => r.name)
            .filter((n) => n.endsWith('.js')),
        );
        await page.context().close();
      }
      const size = scripts.reduce((a, s) => a + (packed.get(path.basename(s)) ?? 0), 0);
      say(
        `${view.replace(job, '<job>').padEnd(24)} first paint p50 ${spread(paints).p50.toFixed(0)} ms, scripts ${kB(size)} gzip in ${scripts.length} files`,
      );
    }
    const trips: number[] = [];
    for (let i = 0; i < 200; i++) {
      const t = performance.now();
      const res = await fetch(`${mulch.url}/api/jobs/${job}/events`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({
          after: 1e6,
          events: [
            { id: ulid(), at: new Date().toISOString(), by: 'bench', type: 'note.added', text: `note ${i}` },
          ],
        }),
      });
      await res.arrayBuffer();
      if (!res.ok) throw new Error(`event refused: ${res.status}`);
      if (i >= 20) trips.push(performance.now() - t);
    }
    await measurePhotos(mulch.url, job, browser, say);
    const { p50, p95 } = spread(trips);
    say(
      `event post round trip     p50 ${p50.toFixed(1)} ms, p95 ${p95.toFixed(1)} ms, one after another, ${trips.length} posts`,
    );
  } finally {
    await browser.close();
    await mulch.stop();
  }
}

/** A job with 200 pictures: how long it opens, and how long an entry takes while a timer runs beside them. */
async function measurePhotos(url: string, job: string, browser: Browser, say: (line: string) => void) {
  const stamp = () => ({ id: ulid(), at: new Date().toISOString(), by: 'bench' });
  const send = async (events: object[]) => {
    const res = await fetch(`${url}/api/jobs/${job}/events`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ after: 1e6, events }),
    });
    await res.arrayBuffer();
    if (!res.ok) throw new Error(`events refused: ${res.status}`);
  };
  const files: { file: string; width: number; height: number }[] = [];
  const kept: number[] = [];
  for (let i = 0; i < 200; i++) {
    const raw = await sharp({
      create: { width: 1600, height: 1200, channels: 3, background: { r: i, g: 255 - i, b: 120 } },
    })
      .jpeg()
      .toBuffer();
    const t = performance.now();
    const res = await fetch(`${url}/api/photos`, {
      method: 'POST',
      headers: { 'content-type': 'application/octet-stream' },
      body: new Uint8Array(raw),
    });
    files.push(await res.json());
    kept.push(performance.now() - t);
  }
  await send([
    ...files
      .map(({ file, width, height }, i) => ({
        ...stamp(),
        type: 'photo.added',
        file,
        width,
        height,
        caption: `picture ${i + 1}`,
      }))
      .slice(0, 190),
  ]);
  await send([
    ...files.slice(190).map(({ file, width, height }, i) => ({
      ...stamp(),
      type: 'photo.added',
      file,
      width,
      height,
      caption: `picture ${i + 191}`,
    })),
    { ...stamp(), type: 'timer.started', what: 'soak', minutes: 600 },
  ]);
  const page = await browser.newPage();
  const t = performance.now();
  await page.goto(`${url}/jobs/${job}/open-up`);
  await page.waitForSelector('.frame:not([inert])');
  const opened = performance.now() - t;
  await page.getByRole('tab', { name: /Pictures/ }).click();
  const line = page.getByLabel('Came off:');
  const shown: number[] = [];
  for (let i = 0; i < 10; i++) {
    await line.fill(`unplug J${900 + i}`);
    const at = performance.now();
    await line.press('Enter');
    await page
      .getByText(`J${900 + i}`)
      .first()
      .waitFor();
    shown.push(performance.now() - at);
  }
  say(
    `200 pictures: kept in p50 ${spread(kept).p50.toFixed(0)} ms each; the job opens in ${opened.toFixed(0)} ms; a move is shown in p50 ${spread(shown).p50.toFixed(0)} ms with a timer running`,
  );
  await page.close();
}
