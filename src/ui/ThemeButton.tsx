import { useEffect, useState } from 'react';

const YEAR = 60 * 60 * 24 * 365;

/** Switches day and night, and remembers it in a cookie so that the next page comes in the right light. */
export function toggleTheme(): 'day' | 'night' {
  const root = document.documentElement;
  const next = root.dataset.theme === 'night' ? 'day' : 'night';
  root.dataset.theme = next;
  // biome-ignore lint/suspicious/noDocumentCookie: the server reads it before the first paint
  document.cookie = `mulch-theme=${next}; path=/; max-age=${YEAR}; samesite=strict`;
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
