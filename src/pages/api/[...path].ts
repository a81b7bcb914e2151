import type { APIRoute } from 'astro';
import { route } from '../../server/router';

export const ALL: APIRoute = ({ request, locals }) => route(request, locals.asking);
