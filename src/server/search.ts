import { type Found, readQuery } from '../core/search';
import { placeOf } from '../core/stock';
import type { Handle } from '../data/database';
import { summariesById, summariesByTag } from '../data/jobs';
import { findHits, unitNames } from '../data/search';
import { allStock } from '../data/stock';

/** Most things of the store beside the jobs and units. */
const MOST_PARTS = 5;

/** Things of the store in which every word stands. */
async function partsWith(db: Handle, text: string): Promise<Found[]> {
  const words = text.toLowerCase().match(/[\p{L}\p{N}\p{M}]+/gu) ?? [];
  if (words.length === 0) return [];
  return (await allStock(db)).flatMap(({ item }): Found[] => {
    const all =
      `${item.what} ${item.reference ?? ''} ${item.models.join(' ')} ${item.elements.join(' ')}`.toLowerCase();
    return words.every((w) => all.includes(w))
      ? [
          {
            kind: 'part',
            id: item.id,
            title: item.what,
            about: placeOf(item),
            where: '',
          },
        ]
      : [];
  });
}

/**
 * Jobs, units and parts of the store by any words of theirs; nothing that is typed is an error.
 *
 * @param text as typed
 * @param most how many
 */
export async function findAnything(db: Handle, text: string, most: number): Promise<Found[]> {
  const asked = readQuery(text);
  const hits = await findHits(db, asked, most);
  const jobIds = hits.flatMap((h) => (h.kind === 'job' ? [h.ref] : []));
  const summaries = new Map((await summariesById(db, jobIds)).map((s) => [s.id, s]));
  const names = await unitNames(
    db,
    hits.flatMap((h) => (h.kind === 'unit' ? [h.ref] : [])),
  );
  const parts = (await partsWith(db, text)).slice(0, MOST_PARTS);
  const found = hits.flatMap((h): Found[] => {
    const job = summaries.get(h.ref);
    const unit = names.get(h.ref);
    if (job) {
      const about = [job.place, job.symptom && `“${job.symptom}”`].filter(Boolean).join(', ');
      return [{ kind: 'job', id: h.ref, title: `${job.tag} ${job.unit}`, about, where: h.where }];
    }
    return unit ? [{ kind: 'unit', id: h.ref, title: unit.name, about: unit.place, where: h.where }] : [];
  });
  if (found.length || asked.wanted.length || !asked.tag) return [...found, ...parts];
  // A tag alone: the jobs that begin so.
  return (await summariesByTag(db, asked.tag, most)).map((j) => ({
    kind: 'job',
    id: j.id,
    title: `${j.tag} ${j.unit}`,
    about: j.place,
    where: '',
  }));
}
