import { demand } from '../refusal';
import type { Header, MixupsRequest, Plug } from './types';

function shape(x: Plug | Header, at: string): void {
  demand(x.pitch > 0, `the pitch of ${x.id} must be over 0`, `${at}/pitch`);
  demand(x.rows === 1 || x.rows === 2, `${x.id} has ${x.rows} rows; one or two are known`, `${at}/rows`);
  demand(
    Number.isInteger(x.positions) && x.positions >= 1,
    `${x.id} needs at least one position`,
    `${at}/positions`,
  );
  demand(
    x.positions % x.rows === 0,
    `${x.id} has ${x.positions} positions in ${x.rows} rows`,
    `${at}/positions`,
  );
  demand(
    x.lines.length === x.positions,
    `${x.id} has ${x.positions} positions and ${x.lines.length} lines`,
    `${at}/lines`,
  );
}

/**
 * Checks that plugs and headers hold together, and points at the row that does not.
 *
 * @throws Refusal with the path
 * @example checkHarness({ plugs: [], headers: [] }) // returns
 */
export function checkHarness({ plugs, headers }: MixupsRequest): void {
  const known = new Map<string, Header>();
  headers.forEach((h, i) => {
    demand(!known.has(h.id), `header ${h.id} is there twice`, `/headers/${i}/id`);
    known.set(h.id, h);
    shape(h, `/headers/${i}`);
  });
  const ids = new Set<string>();
  const homes = new Map<string, string>();
  plugs.forEach((p, i) => {
    const at = `/plugs/${i}`;
    demand(!ids.has(p.id), `plug ${p.id} is there twice`, `${at}/id`);
    ids.add(p.id);
    shape(p, at);
    demand(p.freeLength >= 0, `the free length of ${p.id} cannot be negative`, `${at}/freeLength`);
    demand(
      !p.cycles || (p.cycles.rated > 0 && p.cycles.done >= 0),
      `the mating cycles of ${p.id}: rated over 0, done from 0`,
      `${at}/cycles`,
    );
    const home = known.get(p.home);
    demand(home, `${p.home}, the home of ${p.id}, is no header`, `${at}/home`);
    demand(!homes.has(p.home), `${p.home} is the home of ${homes.get(p.home)} already`, `${at}/home`);
    homes.set(p.home, p.id);
    demand(
      p.positions <= home.positions,
      `${p.id} has ${p.positions} positions, its home ${home.id} only ${home.positions}`,
      `${at}/positions`,
    );
  });
}
