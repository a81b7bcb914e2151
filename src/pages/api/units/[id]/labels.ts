import { mixups } from '../../../../core/mixups';
import { unitById } from '../../../../data/units';
import { database } from '../../../../server/context';
import { endpoint } from '../../../../server/endpoint';
import { flagSheet } from '../../../../server/flags';
import { labelSheet } from '../../../../server/labels';
import { Problem } from '../../../../server/problem';

export const GET = endpoint(async ({ params, url }) => {
  const unit = await unitById((await database()).read, params.id ?? '');
  if (!unit) throw new Problem(404, 'No such unit', `there is no unit ${params.id} on this Mulch`);
  const { map } = unit;
  const plugs = map.plugs ?? [];
  const { labels, orientationMarks } = mixups({ plugs, headers: map.headers ?? [] });
  const sheet = labels.map((id) => {
    const home = plugs.find((p) => p.id === id)?.home ?? '';
    const landmark = map.headers?.find((h) => h.id === home)?.landmark;
    return {
      head: id,
      lines: [
        `goes to ${home}`,
        landmark ?? (orientationMarks.includes(id) ? 'contact 1 to the dot' : map.name),
        map.name,
      ],
      link: `${url.origin}/units/${unit.id}/plugs#${encodeURIComponent(id)}`,
    };
  });
  if (url.searchParams.get('as') === 'svg')
    return new Response(await flagSheet(sheet, `Plugs of ${map.name}`), {
      headers: {
        'content-type': 'image/svg+xml; charset=utf-8',
        'content-disposition': 'inline; filename="plugs.svg"',
        'cache-control': 'no-store',
      },
    });
  const pdf = await labelSheet(sheet, `Plugs of ${map.name}`);
  return new Response(pdf as Uint8Array<ArrayBuffer>, {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': 'inline; filename="plugs.pdf"',
      'cache-control': 'no-store',
    },
  });
});
