import { describe, expect, it } from 'vitest';
import { isPicture, type Pages, picturesIn, stands } from './kept';

const HASH = 'a'.repeat(64);
const of = (...paths: string[]): Pages => ({
  match: async (path) => (paths.includes(path) ? new Response(path) : undefined),
  keys: async () => paths.map((p) => ({ url: `http://mulch.example${p}` })),
});
const text = async (r: Promise<Response | undefined>) => (await r)?.text();

describe('what is kept without a network', () => {
  it('a page stands for itself, a stop of a job for any other stop of it, and nothing else for another', async () => {
    const pages = of('/', '/jobs/j1/trace', '/jobs/j1/plan', '/jobs/j2/trace');
    expect(await text(stands(pages, '/'))).toBe('/');
    expect(await text(stands(pages, '/jobs/j1/trace'))).toBe('/jobs/j1/trace');
    expect(await text(stands(pages, '/jobs/j1/prove'))).toBe('/jobs/j1/plan');
    expect(await text(stands(pages, '/jobs/j1'))).toBe('/jobs/j1/plan');
    expect(await text(stands(pages, '/jobs/j3/prove'))).toBeUndefined();
    // The plugs of a job are a view of their own.
    expect(await text(stands(pages, '/jobs/j1/plugs'))).toBeUndefined();
    expect(await text(stands(of('/jobs/j1/plugs'), '/jobs/j1/trace'))).toBeUndefined();
    expect(await text(stands(pages, '/units'))).toBeUndefined();
  });
  it('pictures are known by their address, and found in a page as it was written', () => {
    expect(isPicture(new URL(`http://x/api/photos/${HASH}?size=small`))).toBe(true);
    expect(isPicture(new URL('http://x/api/photos'))).toBe(false);
    expect(isPicture(new URL('http://x/api/jobs'))).toBe(false);
    const page = `<astro-island props="{&quot;file&quot;:[0,&quot;${HASH}&quot;]}"></astro-island>`;
    expect(picturesIn(page + page)).toEqual([`/api/photos/${HASH}?size=small`]);
    expect(picturesIn('<p>none</p>')).toEqual([]);
  });
});
