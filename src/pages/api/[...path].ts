import type { APIRoute } from 'astro';
import { route } from '../../server/router';

export const ALL: APIRoute = ({ request }) => route(request);
