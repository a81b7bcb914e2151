/** Where pages and pictures are kept in the browser. */
export const PAGES = 'mulch pages';
export const PICTURES = 'mulch pictures';

/** Whether an address is that of a picture: it never changes. */
export const isPicture = (url: URL): boolean => /^\/api\/photos\/[0-9a-f]{64}$/.test(url.pathname);

/** Addresses of the pictures that a page shows, small. */
export const picturesIn = (page: string): string[] =>
  [...new Set([...page.matchAll(/file(?:&quot;|"):\[0,(?:&quot;|")([0-9a-f]{64})/g)].map((m) => m[1]))].map(
    (id) => `/api/photos/${id}?size=small`,
  );

/** The job whose stops a path is one of; its plugs are a view of their own. */
const jobOf = (path: string): string | null =>
  /^(\/jobs\/[^/]+)(?:\/(?!plugs)[^/]+)?\/?$/.exec(path)?.[1] ?? null;

/** What is kept of a cache that may answer for a page. */
export interface Pages {
  match(path: string): Promise<Response | undefined>;
  keys(): Promise<readonly { url: string }[]>;
}

/**
 * The page that stands for one that cannot be fetched: itself as it was, or, of a job, any of its stops:
 * they all hold the whole job, and the page turns to the stop that was asked for.
 *
 * @param pages what is kept
 * @param path of the page asked for
 * @returns what was kept, the latest last; undefined where nothing stands for it
 */
export async function stands(pages: Pages, path: string): Promise<Response | undefined> {
  const itself = await pages.match(path);
  if (itself) return itself;
  const job = jobOf(path);
  if (!job) return undefined;
  const others = (await pages.keys()).map((r) => new URL(r.url).pathname).filter((p) => jobOf(p) === job);
  const other = others.at(-1);
  return other === undefined ? undefined : pages.match(other);
}
