const KEY = 'mulch-by';

/** Who works at this bench, as it stands on every entry. */
export const author = {
  get: (): string =>
    (typeof localStorage === 'undefined' ? '' : (localStorage.getItem(KEY) ?? '')) || 'bench',
  set: (name: string) => localStorage.setItem(KEY, name.trim()),
};
