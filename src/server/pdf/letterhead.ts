import type { Workshop } from '../../core/workshop';
import type { Flow } from './flow';
import { FAINT, MM } from './sheet';

const LOGO = { width: 34 * MM, height: 18 * MM };

/** The head of a paper: the workshop’s mark and name, its address. */
export function letterhead(flow: Flow, workshop: Workshop, logo: Uint8Array | null): void {
  const top = flow.y;
  if (logo) flow.picture(logo, { ...LOGO, x: flow.left + flow.width - LOGO.width, hold: true });
  if (workshop.name) flow.text(workshop.name, { size: 13, weight: '700', room: flow.width - LOGO.width });
  for (const address of workshop.address.split('\n'))
    if (address.trim())
      flow.text(address.trim(), { size: 9.5, ink: FAINT, after: 0, room: flow.width - LOGO.width });
  if (logo) flow.y = Math.max(flow.y, top + LOGO.height);
  if (workshop.name || workshop.address || logo) {
    flow.space(4);
    flow.rule();
  }
}
