import type { Page } from '@playwright/test';
import { STOPS } from '../src/core/job';

export const slug = (s: string) => s.replaceAll(' ', '-');

/** Every kind of view, in a state where it has something to show. */
export async function viewsOf(page: Page, url: string): Promise<string[]> {
  const jobs = (await (await page.request.get(`${url}/api/jobs`)).json()) as { id: string; tag: string }[];
  const id = (tag: string) => jobs.find((j) => j.tag === tag)?.id ?? '';
  const units = (await (await page.request.get(`${url}/api/units`)).json()) as { id: string; name: string }[];
  const printer = units.find((u) => u.name === 'Photo-booth printer')?.id;
  return [
    `/units/${printer}`,
    `/units/${printer}/plugs`,
    '/',
    '/units',
    '/units/new',
    '/sums',
    '/batteries',
    '/cables',
    '/people',
    '/practice',
    '/sums/discharge',
    '/sums/resistor-read',
    ...STOPS.map((s) => `/jobs/${id('SP-109')}/${slug(s)}`),
    ...(['trace', 'close up', 'prove', 'hand over'] as const).map((s) => `/jobs/${id('SP-098')}/${slug(s)}`),
    `/jobs/${id('SP-117')}/close-up`,
    `/jobs/${id('SP-109')}/plugs`,
    ...(['trace', 'make safe', 'open up'] as const).map((s) => `/jobs/${id('SP-126')}/${slug(s)}`),
    '/records',
    '/records?shows=figures',
    '/workshop',
    '/nowhere',
  ];
}
