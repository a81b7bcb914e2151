import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { gzipSync } from 'node:zlib';
import { chromium } from '@playwright/test';
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
    const { p50, p95 } = spread(trips);
    say(
      `event post round trip     p50 ${p50.toFixed(1)} ms, p95 ${p95.toFixed(1)} ms, one after another, ${trips.length} posts`,
    );
  } finally {
    await browser.close();
    await mulch.stop();
  }
}
