/** What closes a unit, by its word. Common practice, no source. */
export const COVER_NOUNS = [
  ...['cover', 'lid', 'hatch', 'panel', 'door', 'case', 'shell', 'bezel', 'plate', 'casing', 'housing'],
] as const;

/** What closes a unit, and what is said for it beside: a hood, a cap. */
export const COVER_WORD = new RegExp(`^(?:${[...COVER_NOUNS, 'hood', 'cap'].join('|')})$`);
