import { useEffect, useState } from 'react';

const YEAR = 60 * 60 * 24 * 365;

/** Remembers a setting of the look in a cookie, so that the server has it before the first paint. */
function keep(name: string, value: string): void {
  // biome-ignore lint/suspicious/noDocumentCookie: the server has to read it
  document.cookie = `mulch-${name}=${value}; path=/; max-age=${YEAR}; samesite=strict`;
}

export const TEXT_SIZES = ['100', '115', '130'] as const;

/** Sets the size of everything, in percent. */
export function setTextSize(size: (typeof TEXT_SIZES)[number]): void {
  document.documentElement.dataset.size = size;
  keep('size', size);
}

/** Switches day and night, and remembers it in a cookie so that the next page comes in the right light. */
export function toggleTheme(): 'day' | 'night' {
  const root = document.documentElement;
  const next = root.dataset.theme === 'night' ? 'day' : 'night';
  root.dataset.theme = next;
  keep('theme', next);
  window.dispatchEvent(new Event('mulch-theme'));
  return next;
}

export function ThemeButton() {
  const [theme, setTheme] = useState<'day' | 'night'>('day');
  useEffect(() => {
    const read = () => setTheme(document.documentElement.dataset.theme === 'night' ? 'night' : 'day');
    read();
    window.addEventListener('mulch-theme', read);
    return () => window.removeEventListener('mulch-theme', read);
  }, []);
  return (
    <button type="button" onClick={toggleTheme}>
      {theme === 'night' ? 'Day' : 'Night'}
    </button>
  );
}
