import type { Page } from '@playwright/test';
import { mixups } from '../src/core/mixups';
import {
  judgeAnswer,
  type KindId,
  kindOf,
  madeUnit,
  type PlugsBackQuestion,
  type ReadingQuestion,
  tearDown,
} from '../src/core/practice';
import { alive, expect, foot, test, testAlone } from './bench-test';
import { axe } from './faults';
import { byKey, byTap, type Hand } from './hands';

/** A made-up unit with one cover over its mains, the fault a lead that comes and goes. */
const SEED = 380454;
const MAP = madeUnit('chain', 8, SEED);
/** A point that is reached from outside. */
const TAP = MAP.taps.find((t) => !t.needs?.length) as (typeof MAP.taps)[number];

/** The question of a kind, as the page makes it. */
const questionOf = <Q>(id: KindId): Q => {
  const kind = kindOf(id);
  if (!kind) throw new Error(id);
  return kind.make(MAP, SEED) as Q;
};

/** Where practice begins, the seed typed. */
async function practice(page: Page, url: string, hand: Hand, seed = SEED): Promise<void> {
  await page.goto(`${url}/practice`);
  await alive(page);
  await hand.type(/^Seed$/, String(seed));
}

/** Starts a kind by its number. */
async function begin(page: Page, url: string, n: number, seed = SEED): Promise<void> {
  await practice(page, url, byKey(page), seed);
  await page.keyboard.press('Escape');
  await page.keyboard.press(String(n));
  await page.waitForURL(n === 1 ? '**/trace' : '**/practice/*');
  await alive(page);
}

test('find it, by key alone: gates hold, the unit answers, each decision is told afterwards, and again from one', async ({
  page,
  demo,
}) => {
  const hand = byKey(page);
  await page.goto(demo.url);
  await alive(page);
  await page.keyboard.press('p');
  await page.waitForURL('**/practice');
  await begin(page, demo.url, 1);
  const band = page.getByRole('region', { name: 'Practice' });
  await expect(band.getByText('0 min')).toBeVisible();
  // Nothing is suggested: what can be done stands in the order of the map.
  await expect(page.getByRole('region', { name: 'Next checks' })).toHaveCount(0);
  await hand.press(new RegExp(`^Measure at ${TAP.id}`));
  await expect(page.getByText(`It costs ${TAP.minutes} min now`)).toBeVisible();
  await hand.foot();
  await expect(page.getByRole('region', { name: 'Recorded' }).getByText('1 entry')).toBeVisible();
  await expect(band.getByText(`${TAP.minutes} min`)).toBeVisible();

  // Power out and proven first, as on a real job.
  await hand.stop(4);
  await hand.gate('Mains', '1');
  await hand.stop(2);
  await hand.press(/^Replace W3 screened lead/);
  await expect(page.getByText('Held by the service flap')).toBeVisible();
  for (
    let i = 0;
    i < 3 &&
    (await foot(page)
      .getByRole('button', { name: /is off now/ })
      .count());
    i++
  )
    await hand.foot();
  // On a slow line the story is told once the last entry is with the server.
  await page.route('**/events', async (route) => {
    await new Promise((r) => setTimeout(r, 1000));
    await route.continue();
  });
  await hand.foot();
  await expect(page.getByRole('heading', { name: 'It was W3 screened lead, now and then' })).toBeVisible();
  await hand.foot();
  await page.waitForURL('**/practice/*');
  // Not before the page has all its scripts: a request in hand when the route goes would hang.
  await alive(page);
  await page.unroute('**/events');
  const rows = page.getByRole('table', { name: 'Decision by decision' }).getByRole('row');
  await expect(rows).toHaveCount(3);
  await expect(rows.nth(1)).toContainText(`Measure at ${TAP.id}`);
  await expect(rows.nth(1)).toContainText('bits');
  await expect(rows.nth(2)).toContainText('Replace W3 screened lead');
  await expect(page.getByText(/^score/)).toBeVisible();
  const violations = await axe(page);
  expect(violations).toEqual([]);
  await page.keyboard.press('ArrowDown');
  await expect(foot(page)).toContainText('What if, at decision 2');
  await hand.foot();
  await page.waitForURL('**/trace');
  await alive(page);
  // What was done before the second decision stands, what came of it is open again.
  await expect(page.getByRole('region', { name: 'Recorded' }).getByText('1 entry')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Practice' }).getByText(`${TAP.minutes} min`)).toBeVisible();
  await page.getByRole('button', { name: 'Leave it' }).click();

  // It stands on no list of the workshop, and under Practice it goes on.
  await page.goto(`${demo.url}/practice`);
  await alive(page);
  await expect(
    page.getByRole('region', { name: 'How it goes' }).getByRole('cell', { name: 'halving a chain' }),
  ).toBeVisible();
  const csv = await (await page.request.get(`${demo.url}/api/practice/progress.csv`)).text();
  expect(csv).toContain('find it,"Practice unit, chain, 8 elements",380454');
  const jobs = (await (await page.request.get(`${demo.url}/api/jobs?handedOver=no`)).json()) as {
    tag: string;
  }[];
  expect(jobs.map((j) => j.tag)).not.toContain('practice');
});

test('a hand on what is live stops the run, and the coach says what was better', async ({ page, demo }) => {
  await page.goto(`${demo.url}/practice`);
  await alive(page);
  await page.getByLabel('Seed').fill(String(SEED));
  await page.getByLabel(/^coach/).check();
  await page.getByRole('button', { name: 'Start find it' }).click();
  await page.waitForURL('**/trace');
  await alive(page);
  await page.getByRole('button', { name: /^Replace J1/ }).click();
  await foot(page)
    .getByRole('button', { name: /^Do it/ })
    .click();
  const coach = page.getByRole('region', { name: 'Coach' });
  await expect(coach).toContainText('Better: Measure at TP3');
  await page.getByRole('button', { name: /^Measure at TP3/ }).click();
  await foot(page)
    .getByRole('button', { name: /flap is off now/ })
    .click();
  await expect(page.getByRole('heading', { name: 'Stopped before somebody was hurt.' })).toBeVisible();
  await expect(
    page.getByText(/your hand would have met Mains, 230 V.*The gate that was skipped/),
  ).toBeVisible();
  await foot(page)
    .getByRole('button', { name: /What each decision cost/ })
    .click();
  await page.waitForURL('**/practice/*');
  await expect(page.getByRole('heading', { name: /your hand would have met Mains/ })).toBeVisible();
  // A run that was stopped has no score.
  await expect(page.getByText(/^score/)).toHaveCount(0);
});

/** The answer that is wholly right, by trying all that stand there. */
const rightOf = <A>(id: KindId, answers: A[]): A =>
  answers.find((a) => judgeAnswer(id, MAP, SEED, a).score === 1) as A;

test('what is missing, and fits or not, by key alone, taken up again on another device', async ({
  page,
  demo,
  context,
}) => {
  await begin(page, demo.url, 2);
  const hand = byKey(page);
  const question = questionOf<{ lines: { words: string }[] }>('what is missing');
  const { place } = rightOf(
    'what is missing',
    question.lines.map((_, i) => ({ place: i })),
  );
  const wrong = place === 0 ? 1 : 0;
  const line = (i: number) =>
    new RegExp(`^${i + 1} ?${question.lines[i]?.words.slice(0, 12).replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}`);
  await hand.press(line(wrong));
  await expect(foot(page)).toContainText(`It cannot go on at line ${wrong + 1}`);
  // Somebody else’s hands, the same exercise: what was pointed to is there.
  const other = await context.newPage();
  await other.goto(page.url());
  await alive(other);
  await expect(other.getByRole('button', { pressed: true })).toHaveCount(1);
  await other.close();
  await hand.press(line(place));
  await hand.foot();
  await expect(page.getByText('Score 100 %')).toBeVisible();
  const violations = await axe(page);
  expect(violations).toEqual([]);

  await begin(page, demo.url, 5);
  const pair = questionOf<{ lines: { line: string }[] }>('fits, or not');
  const { line: bad } = rightOf(
    'fits, or not',
    [null, ...pair.lines.map((l) => l.line)].map((l) => ({ line: l })),
  );
  await hand.press(bad === null ? /^None: all of it fits/ : new RegExp(`^${bad}`));
  await hand.foot();
  await expect(page.getByText('Score 100 %')).toBeVisible();
});

test('a quick reading by one key', async ({ page, demo }) => {
  await begin(page, demo.url, 6);
  const { options } = questionOf<ReadingQuestion>('quick reading');
  const { value } = rightOf(
    'quick reading',
    options.map((o) => ({ value: o })),
  );
  await page.keyboard.press('asdf'[options.indexOf(value)] ?? '');
  await expect(page.getByText('Score 100 %')).toBeVisible();
  // Another one, by the one action.
  const before = page.url();
  await byKey(page).foot();
  await page.waitForURL((url) => url.href !== before);
  await expect(page.getByRole('heading', { name: /\?$/ })).toBeVisible();
});

test('the way back, laid by key alone: what would be closed over is named', async ({ page, demo }) => {
  await begin(page, demo.url, 4);
  const hand = byKey(page);
  const moves = tearDown(MAP, SEED);
  const escaped = (t: string) => new RegExp(`^${t.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}`);
  const flap = moves.find((m) => m.text === 'lift service flap')?.text ?? '';
  // Held until all are laid, and said.
  await expect(foot(page).getByRole('button', { name: /That is the way back/ })).toHaveAttribute(
    'aria-disabled',
    'true',
  );
  await hand.press(escaped(flap));
  for (const m of [...moves].reverse()) if (m.text !== flap) await hand.press(escaped(m.text));
  await hand.foot();
  await expect(
    page.getByRole('heading', { name: /Before a cover goes on: look into the tray/ }),
  ).toBeVisible();
  await expect(page.getByText(/would close over/)).toBeVisible();
});

test('plugs back, by key alone: labels first, then each home', async ({ page, demo }) => {
  await begin(page, demo.url, 3);
  const hand = byKey(page);
  const { plugs, headers, laid } = questionOf<PlugsBackQuestion>('plugs back');
  const { labels, orientationMarks } = mixups({ plugs, headers });
  for (const id of labels) await hand.press(new RegExp(`^label for ${id}$`));
  for (const id of orientationMarks) await hand.press(new RegExp(`^which way round, ${id}$`));
  await hand.foot();
  await expect(page.getByRole('heading', { name: 'All are out' })).toBeVisible();
  for (const id of laid) {
    const home = plugs.find((p) => p.id === id)?.home ?? '';
    await hand.press(new RegExp(`^${home}$`));
  }
  await expect(page.getByRole('heading', { name: 'All are in' })).toBeVisible();
  await hand.foot();
  await expect(page.getByText('Score 100 %')).toBeVisible();
});

test('bad input is answered where it was typed, and nothing is lost', async ({ page, demo }) => {
  await page.goto(`${demo.url}/practice`);
  await alive(page);
  await page.getByLabel('Seed').fill('seven');
  await page.getByRole('button', { name: 'Start find it' }).click();
  await expect(page.getByText('a seed is a whole number, not “seven”')).toBeVisible();
  await expect(page.getByLabel('Seed')).toHaveValue('seven');
  await page.getByLabel('Seed').fill('');
  await page.getByLabel('Elements').fill('99');
  await page.getByRole('button', { name: 'Start find it' }).click();
  await expect(page.getByText('a made-up unit has 4 to 40 elements, not 99')).toBeVisible();
  await page.getByLabel('Elements').fill('abc');
  await page.getByRole('button', { name: 'Start find it' }).click();
  await expect(page.getByText('how many: a whole number from 4 to 40, not “abc”')).toBeVisible();
  const violations = await axe(page);
  expect(violations).toEqual([]);
});

testAlone.describe('on a phone', () => {
  testAlone.use({ viewport: { width: 390, height: 844 }, hasTouch: true });
  testAlone('a quick reading and a run, by taps alone', async ({ page, demo }) => {
    const hand = byTap(page);
    await practice(page, demo.url, hand);
    await hand.press(/^Start quick reading/);
    await page.waitForURL('**/practice/*');
    await alive(page);
    const { options } = questionOf<ReadingQuestion>('quick reading');
    const { value } = rightOf(
      'quick reading',
      options.map((o) => ({ value: o })),
    );
    await foot(page).getByRole('button', { name: value }).tap();
    await expect(page.getByText('Score 100 %')).toBeVisible();

    await practice(page, demo.url, hand);
    await hand.press(/^Start find it/);
    await page.waitForURL('**/trace');
    await alive(page);
    await hand.press(/^Replace J1/);
    await hand.foot();
    await expect(page.getByRole('region', { name: 'Recorded' }).getByText('1 entry')).toBeVisible();
    const wide = await page.evaluate(() => document.documentElement.scrollWidth > window.innerWidth + 1);
    expect(wide).toBe(false);
    await page.getByRole('button', { name: 'Leave it' }).tap();
    await hand.foot();
    await page.waitForURL('**/practice/*');
    await expect(page.getByRole('table', { name: 'Decision by decision' })).toBeVisible();
  });
});
