import sharp from 'sharp';
import { fold, type JobEvent, type JobState, type Quote } from '../../core/job';
import { ownersPage, reportOf } from '../../core/report';
import type { Handle } from '../../data/database';
import { quotePdf } from '../pdf/quote-pdf';
import { ownersPdf, type Pictured, workshopPdf } from '../pdf/report-pdf';
import type { PhotoStore } from '../photo-store';
import { readPhoto } from '../photos';
import { workshopOf } from '../workshop';

/** Who a report is for. */
export const READERS = ['owner', 'workshop'] as const;
export type Reader = (typeof READERS)[number];

/** Points of a picture on paper, along its longer side. */
const PRINTED = 1100;

/** A kept picture as paper takes it; null where it is not here any more. */
async function printed(store: PhotoStore, file: string): Promise<{ bytes: Buffer; wide: number } | null> {
  const kept = await readPhoto(store, file, false);
  if (!kept) return null;
  const { data, info } = await sharp(kept)
    .resize(PRINTED, PRINTED, { fit: 'inside', withoutEnlargement: true })
    .flatten({ background: '#fff' })
    .jpeg({ quality: 82 })
    .toBuffer({ resolveWithObject: true });
  return { bytes: data, wide: info.width / info.height };
}

/** The report of a job as a PDF, for the owner or for the workshop. */
export async function reportPdf(
  db: Handle,
  store: PhotoStore,
  events: JobEvent[],
  reader: Reader,
): Promise<Uint8Array> {
  const { state } = fold(events);
  const page = ownersPage(state);
  const workshop = await workshopOf(db);
  const logo = workshop.logo ? await printed(store, workshop.logo) : null;
  const pictures: Pictured['pictures'] = [];
  for (const p of reader === 'owner' ? page.pictures : state.photos) {
    const on = await printed(store, p.file);
    if (on) pictures.push({ caption: p.caption, ...on });
  }
  const with_ = { workshop, logo: logo?.bytes ?? null, pictures };
  return reader === 'owner' ? ownersPdf(page, with_) : workshopPdf(page, reportOf(state, events), with_);
}

/** The quote of a job as a PDF. */
export async function quoteOnPaper(
  db: Handle,
  store: PhotoStore,
  state: JobState,
  quote: Quote,
): Promise<Uint8Array> {
  const workshop = await workshopOf(db);
  const logo = workshop.logo ? await printed(store, workshop.logo) : null;
  return quotePdf(state, quote, { workshop, logo: logo?.bytes ?? null });
}
