import { type Static, type TObject, Ulid } from '../../schema/words';
import type { Meta } from './kind';

/** What takes another event back carries. */
export const UNDONE = { event: Ulid };

/** Takes another event back; taking back an `undone` brings its event again. */
export type Undone = Meta & { type: 'undone' } & Static<TObject<typeof UNDONE>>;
