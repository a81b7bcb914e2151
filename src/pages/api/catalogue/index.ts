import { searchCatalogue } from '../../../server/catalogue';
import { endpoint, json } from '../../../server/endpoint';

export const GET = endpoint(async ({ url }) => json(await searchCatalogue(url.searchParams.get('q') ?? '')));
