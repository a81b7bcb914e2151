/** One picture per main view, from the demo data, into docs/screenshots. */
import { mkdirSync } from 'node:fs';
import { chromium, type Page } from '@playwright/test';
import { startMulch } from '../e2e/mulch';
import config from '../playwright.config';

const SIZE = { width: 1280, height: 800 };
const out = 'docs/screenshots';
mkdirSync(out, { recursive: true });

const mulch = await startMulch({ demo: 'years' });
const browser = await chromium.launch(config.use?.launchOptions);
const page = await browser.newPage({ viewport: SIZE });
const jobs = (await (await fetch(`${mulch.url}/api/jobs`)).json()) as { id: string; tag: string }[];
const id = (tag: string) => jobs.find((j) => j.tag === tag)?.id ?? '';
const open = async (path: string) => {
  // A job's page listens to its server for as long as it stands: it is never without a request.
  await page.goto(mulch.url + path);
  await page.locator('.frame:not([inert])').waitFor();
  await page.waitForFunction(() => !document.querySelector('[aria-busy=true]'));
};
const shoot = async (name: string) => {
  await page.mouse.move(640, 799);
  await page.waitForTimeout(400);
  await page.screenshot({ path: `${out}/${name}.png` });
};
const record = async (p: Page, line: string) => {
  await p.getByLabel('Came off:').fill(line);
  await p.keyboard.press('Enter');
};

try {
  await open('/');
  await shoot('bench');
  await open('/practice');
  await page.getByRole('img', { name: /^Score of/ }).waitFor();
  await shoot('practice');
  await open('/day?person=Ines%20Marlow');
  await page
    .getByText(/of 100/)
    .first()
    .waitFor();
  await shoot('day');
  await open('/records?shows=figures');
  await page.getByRole('img', { name: /repairs followed/ }).waitFor();
  await shoot('records');
  await open('/stores');
  await page.getByRole('button', { name: /ribbon 10-way 200 mm/ }).click();
  await page.getByRole('region', { name: 'Ledger' }).waitFor();
  await shoot('stores');
  await open('/units');
  await page.getByRole('link', { name: 'Map of Hearing-loop amplifier' }).click();
  await page.locator('.react-flow__node').first().waitFor();
  await shoot('map');
  await open('/units');
  await page.getByRole('link', { name: 'Map of Photo-booth printer' }).click();
  await page.waitForURL(/units\/[0-9A-Z]{26}$/);
  await open(`${new URL(page.url()).pathname}/plugs`);
  await shoot('plugs');
  await open('/batteries');
  const old = page.getByRole('region', { name: 'Old battery' });
  const fresh = page.getByRole('region', { name: 'New battery' });
  const label = async (where: typeof old, said: Record<string, string>) => {
    for (const [name, text] of Object.entries(said)) {
      const field = where.getByLabel(name, { exact: true });
      if ((await field.evaluate((e) => e.tagName)) === 'SELECT') await field.selectOption(text);
      else await field.fill(text);
    }
  };
  await label(old, {
    Chemistry: 'li-ion',
    Form: 'pouch',
    'Nominal, V': '3.7',
    'Full charge, one cell, V': '4.2',
    'Capacity, as printed, Ah': '900 mAh',
    'Length, mm': '48',
    'Width, mm': '30',
    'Thickness, mm': '5.6',
    'Contacts, from 1': '+ T −',
  });
  await fresh.getByRole('button', { name: 'As the old one' }).click();
  await label(fresh, {
    'Capacity, as printed, Ah': '2400 mAh',
    'Contacts, from 1': '− T +',
    'Thickness, mm': '5',
  });
  await page.locator('.main').evaluate((m) => m.scrollTo(0, 0));
  await shoot('battery-bench');

  await open('/cables');
  await page.getByRole('tab', { name: 'Continuity' }).click();
  await page.getByRole('button', { name: 'All straight' }).click();
  for (const cell of ['A2 to B2', 'A3 to B3', 'A2 to B3', 'A3 to B2', 'A6 to B6', 'A7–A8'])
    await page.getByRole('button', { name: cell, exact: true }).click();
  await shoot('cable-bench');

  const loop = `/jobs/${id('SP-117')}`;
  await open(`${loop}/take-in`);
  await page.getByRole('radio', { name: /left side of the hall/ }).check();
  await page.getByLabel('What happens instead').fill('Drops out on the left');
  await page.getByRole('radio', { name: 'now and then' }).check();
  await page.getByRole('radio', { name: /^two loops you see/ }).check();
  await page.locator('.main').evaluate((m) => m.scrollTo(0, 0));
  await shoot('take-in');
  await page.getByRole('button', { name: /^Record/ }).click();
  await page.getByLabel('Another check').selectOption({ label: 'Listen at H1' });
  await page.getByRole('button', { name: 'as it should be', exact: true }).click();
  await page.getByLabel('Another check').selectOption({ label: 'Measure at TP5' });
  await page.getByRole('button', { name: /hatch is off now/ }).click();
  await page.getByLabel('Another check').selectOption({ label: 'Measure at TP5' });
  await page.getByLabel('Reading in V').fill('31m');
  await page.locator('.main').evaluate((m) => m.scrollTo(0, 0));
  await shoot('trace');
  await page.keyboard.press('Enter');
  await page.getByLabel('Another check').selectOption({ label: 'Flex W7 while it runs' });
  await page.getByRole('button', { name: 'comes and goes', exact: true }).click();
  await page.getByRole('button', { name: /^Plan: / }).click();
  await page.getByRole('radio', { name: /Replace W7/ }).check();
  await shoot('plan');
  await page.getByRole('button', { name: /^Replace W7/ }).click();
  const mains = page.getByRole('region', { name: 'Gate: Mains' });
  await mains.getByRole('checkbox').check();
  await mains.getByRole('textbox').fill('0');
  await mains.getByRole('button', { name: 'Gate up' }).click();
  await shoot('make-safe');

  await open(`/jobs/${id('SP-109')}/open-up`);
  await page.setViewportSize({ width: 390, height: 844 });
  await open(`/jobs/${id('SP-109')}/open-up`);
  await shoot('on-the-phone');
  await page.setViewportSize(SIZE);
  await open(`/jobs/${id('SP-109')}/open-up`);
  await page.getByLabel('Came off:').fill('4 x M3x12 PH1 shield plate > cup 4');
  await shoot('open-up');
  await record(page, '4 x M3x12 PH1 shield plate > cup 4');
  await record(page, 'lift shield plate > shelf');
  await page.getByRole('link', { name: /^Make safe/ }).click();
  const pack = page.getByRole('region', { name: 'Gate: B1 pack' });
  await pack.getByRole('checkbox').check();
  await pack.getByRole('textbox').fill('0');
  await pack.getByRole('button', { name: 'Gate up' }).click();
  await page.getByRole('link', { name: /^Swap/ }).click();
  await page.getByRole('button', { name: 'It is out' }).click();
  await shoot('swap');

  await open(`/jobs/${id('SP-098')}/close-up`);
  await page.keyboard.press('Space');
  await page.getByRole('button', { name: 'latch clicked' }).click();
  await page.keyboard.press('Space');
  for (let i = 0; i < 6; i++) await page.keyboard.press('Space');
  await shoot('close-up');

  await open(`/jobs/${id('SP-115')}/prove`);
  await shoot('prove');
  await page.getByRole('link', { name: /^Hand over/ }).click();
  await shoot('hand-over');
} finally {
  await browser.close();
  await mulch.stop();
}
