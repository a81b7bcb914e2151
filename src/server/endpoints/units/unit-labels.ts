import { file, PDF, SVG } from '../../answer';
import { endpoint } from '../../endpoint';
import { flagSheet } from '../../flags';
import { labelSheet } from '../../labels';
import { plugLabels } from '../../plug-labels';
import { unitThere } from '../../unit-there';

/** Labels for the plugs that need one, as a PDF; ?as=svg as flags. */
export const unitLabels = endpoint({
  method: 'get',
  who: 'looker',
  path: '/api/units/{id}/labels',
  summary: 'Labels for the plugs that need one, as a PDF; ?as=svg as flags',
  body: null,
  megabytes: 0,
  answer: 'file',
  status: 200,
  async handle({ params, url }) {
    const unit = await unitThere(params.id);
    const labels = plugLabels(unit, url.origin);
    const title = `Plugs of ${unit.map.name}`;
    return url.searchParams.get('as') === 'svg'
      ? file(await flagSheet(labels, title), SVG, 'plugs.svg', 'inline')
      : file(await labelSheet(labels, title), PDF, 'plugs.pdf', 'inline');
  },
});
