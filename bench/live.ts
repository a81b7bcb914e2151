import { chromium } from '@playwright/test';
import { alive, freshJob } from '../e2e/bench-test';
import { startMulch } from '../e2e/mulch';
import config from '../playwright.config';
import { spread } from './figures';

const TIMES = 30;

/** From the key that records an entry on one page to its showing on another. */
export async function measureLive(say: (line: string) => void): Promise<void> {
  const mulch = await startMulch({ demo: true });
  const browser = await chromium.launch(config.use?.launchOptions);
  try {
    const [one, two] = [await browser.newPage(), await (await browser.newContext()).newPage()];
    const job = await freshJob(one, mulch.url, 'Photo-booth printer, north arcade');
    for (const page of [one, two]) {
      await page.goto(`${job}/open-up`);
      await alive(page);
    }
    // What is fetched while a page is idle is there.
    await two.waitForTimeout(8000);
    const list: number[] = [];
    for (let i = 0; i < TIMES; i++) {
      const words = `bracket ${String.fromCharCode(97 + (i % 26))}${i}`;
      const shown = two
        .waitForFunction((text) => document.body.textContent.includes(text) && Date.now(), words)
        .then((at) => at.jsonValue() as Promise<number>);
      await one.getByLabel('Came off:').fill(`lift ${words} > shelf`);
      const began = await one.evaluate(() => Date.now());
      await one.keyboard.press('Enter');
      list.push((await shown) - began);
    }
    const { p50, p95 } = spread(list);
    say(
      `an entry on one page stands on another: p50 ${p50.toFixed(0)} ms, p95 ${p95.toFixed(0)} ms of ${TIMES}`,
    );
  } finally {
    await browser.close();
    await mulch.stop();
  }
}
