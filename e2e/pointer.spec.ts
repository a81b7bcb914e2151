import type { Page } from '@playwright/test';
import { alive, expect, test } from './bench-test';

/** What a finger or a pointer can come upon, and where it stands. */
const places = (page: Page) =>
  page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>('.main :is(button, a, input, select, h1, h2, h3, [role=tab])')]
      .map((e) => ({ e, r: e.getBoundingClientRect() }))
      .filter(({ r }) => r.width > 0 && r.bottom > 0 && r.top < window.innerHeight)
      .map(({ e, r }) => ({
        what: (e.getAttribute('aria-label') ?? e.textContent ?? e.tagName).trim().slice(0, 40),
        x: Math.round(r.x),
        y: Math.round(r.y),
        in: { x: r.x + r.width / 2, y: r.y + Math.min(r.height / 2, 30) },
      })),
  );

/** Where they stand; what a clock or a timer says may change meanwhile. */
const still = (list: Awaited<ReturnType<typeof places>>) => list.map(({ x, y }) => ({ x, y }));

const SIZES = [
  [1280, 800],
  [1024, 768],
  [1600, 900],
  [800, 1100],
] as const;

/** Where everything stands once it has stood for a while: what is still being reckoned comes first. */
async function atRest(page: Page): Promise<Awaited<ReturnType<typeof places>>> {
  await page.mouse.move(0, 0);
  let before = await places(page);
  await expect(async () => {
    await expect(page.locator('[aria-busy=true]')).toHaveCount(0);
    const was = before;
    await page.waitForTimeout(250);
    before = await places(page);
    expect(still(before)).toEqual(still(was));
  }).toPass({ timeout: 20_000 });
  return before;
}

for (const half of [0, 1])
  test(`nothing moves under a pointer, at any size, half ${half + 1}`, async ({ page, demo }) => {
    test.setTimeout(180_000);
    const all = (await (await page.request.get(`${demo.url}/api/jobs?handedOver=no`)).json()) as {
      id: string;
      stop: string;
      unit: string;
    }[];
    // One job of each unit.
    const jobs = [...new Map(all.map((j) => [j.unit, j])).values()].slice(0, 8);
    const upon = new Set<number>();
    for (const { id, stop } of jobs.filter((_, i) => i % 2 === half))
      for (const at of new Set(['trace', stop.replaceAll(' ', '-')])) {
        await page.goto(`${demo.url}/jobs/${id}/${at}`);
        await alive(page);
        for (const [width, height] of SIZES) {
          await page.setViewportSize({ width, height });
          const before = await atRest(page);
          // Some of them, from all over the sheet.
          const some = before.filter((_, i) => i % Math.ceil(before.length / 4) === 0);
          expect(some.length, `${at}, ${width} × ${height}`).toBeGreaterThan(0);
          for (const place of some) {
            await page.mouse.move(place.in.x, place.in.y);
            // A worker may have something to say to it.
            await page.waitForTimeout(120);
            expect(still(await places(page)), `upon “${place.what}” in ${at}, ${width} × ${height}`).toEqual(
              still(before),
            );
            upon.add(width);
          }
        }
      }
    expect(upon.size).toBe(SIZES.length);
  });
