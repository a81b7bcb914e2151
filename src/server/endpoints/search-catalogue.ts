import { CatalogueAnswerSchema } from '../../schemas/catalogue';
import { searchCatalogue } from '../catalogue';
import { endpoint } from '../endpoint';

/** Parts of the catalogue for a few words, ?q=. */
export const searchTheCatalogue = endpoint({
  method: 'get',
  who: 'looker',
  path: '/api/catalogue',
  summary: 'Parts of the catalogue for a few words, ?q=',
  body: null,
  megabytes: 0,
  answer: CatalogueAnswerSchema,
  status: 200,
  handle: ({ url }) => searchCatalogue(url.searchParams.get('q') ?? ''),
});
