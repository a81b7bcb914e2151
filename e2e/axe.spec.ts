import type { Page } from '@playwright/test';
import { alive, expect, test } from './bench-test';
import { runsOff, seriousFaults } from './faults';
import { viewsOf } from './views';

/** Looks at the page as a phone holds it. */
async function onPhone(page: Page, look: () => Promise<void>): Promise<void> {
  await page.setViewportSize({ width: 390, height: 844 });
  await look();
  await page.setViewportSize({ width: 1280, height: 800 });
}

for (const half of [0, 1])
  test(`axe finds nothing serious on any view, by day and by night, and nothing runs off a phone, half ${half + 1}`, async ({
    page,
    demo,
  }) => {
    test.setTimeout(300_000);
    for (const view of (await viewsOf(page, demo.url)).filter((_, i) => i % 2 === half)) {
      await page.goto(demo.url + view);
      if (view !== '/nowhere') await alive(page);
      expect(await seriousFaults(page, view)).toEqual([]);
      // A chart takes its new width a moment after the page has.
      await onPhone(page, () => expect.poll(() => runsOff(page), { message: view }).toBe(0));
    }
  });

test('axe finds nothing serious behind the tabs, and nothing runs off a phone there', async ({
  page,
  demo,
}) => {
  test.setTimeout(200_000);
  const jobs = (await (await page.request.get(`${demo.url}/api/jobs`)).json()) as {
    id: string;
    tag: string;
  }[];
  const printer = jobs.find((j) => j.tag === 'SP-109')?.id;
  for (const view of ['/batteries', '/cables', `/jobs/${printer}/open-up`]) {
    await page.goto(demo.url + view);
    await alive(page);
    const tabs = await page.getByRole('tab').count();
    for (let i = 0; i < tabs; i++) {
      await page.getByRole('tab').nth(i).click();
      await expect(page.getByRole('tab').nth(i)).toHaveAttribute('aria-selected', 'true');
      expect(await seriousFaults(page, `${view}, tab ${i}`)).toEqual([]);
      await onPhone(page, () => expect.poll(() => runsOff(page), { message: `${view}, tab ${i}` }).toBe(0));
    }
  }
});
