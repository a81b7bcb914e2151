/** What this browser keeps by itself, as JSON. The one place that speaks with its store. */
export const kept = {
  /** what stands under a key; null where nothing does, it cannot be read, or the browser keeps nothing */
  read<T>(key: string): T | null {
    try {
      return JSON.parse(globalThis.localStorage?.getItem(key) ?? 'null') as T | null;
    } catch {
      return null;
    }
  },
  write(key: string, value: unknown): void {
    try {
      globalThis.localStorage.setItem(key, JSON.stringify(value));
    } catch {
      // A browser that keeps nothing begins anew each time.
    }
  },
  drop(key: string): void {
    try {
      globalThis.localStorage.removeItem(key);
    } catch {
      // as above
    }
  },
};
