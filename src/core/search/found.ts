/** Something that was found, as a list shows it. */
export interface Found {
  kind: 'job' | 'unit' | 'part';
  id: string;
  title: string;
  about: string;
  /** the words that were found, in their place, between ‹ and › */
  where: string;
}
