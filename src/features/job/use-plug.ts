import { useMemo } from 'react';
import type { Plug } from '../../core/mixups';
import { useMixups } from '../units/harness/use-mixups';
import { useJob } from './use-job';

export interface PlugKnown {
  home: string;
  landmark?: string;
  contacts: number;
  /** it has to be labelled before it is unplugged */
  label: boolean;
  /** it can be turned round harmfully */
  mark: boolean;
  /** where its lead runs, from the plug on */
  route?: string[];
  latch?: string;
  /** mated often already, in words */
  worn?: string;
  /** a bare end: what it wants */
  bare?: string;
  /** not to be touched beside its header */
  leave?: string;
  /** the worst wrong mating, in words */
  worst?: string;
  /** what carries a key, and which contacts are for what */
  key?: string;
  bundle?: string;
  /** as the map has it, for its drawing */
  plug: Plug;
}

/** From this share of its rated matings on, a plug is said to be worn. Common practice, no source. */
const WORN = 0.8;

/** What the unit's map knows of a plug by its mark, or null. */
export function usePlug(name: string | undefined): PlugKnown | null {
  const { map } = useJob().job;
  const request = useMemo(() => ({ plugs: map.plugs ?? [], headers: map.headers ?? [] }), [map]);
  const { answer } = useMixups(request);
  const plug = map.plugs?.find((p) => p.id.toLowerCase() === name?.trim().toLowerCase());
  if (!plug || !answer) return null;
  const header = map.headers?.find((h) => h.id === plug.home);
  const landmark = header?.landmark;
  const worst = answer.risks.find((r) => r.plug === plug.id && r.severity > 0);
  const way = worst
    ? { 'wrong header': `in ${worst.header}`, reversed: 'turned round', shifted: 'one off' }[worst.how]
    : '';
  return {
    home: plug.home,
    ...(landmark ? { landmark } : {}),
    contacts: plug.positions,
    plug,
    ...(plug.key ? { key: plug.key } : {}),
    ...(plug.bundle ? { bundle: plug.bundle } : {}),
    label: answer.labels.includes(plug.id),
    mark: answer.orientationMarks.includes(plug.id),
    ...(plug.route?.length ? { route: plug.route } : {}),
    ...(plug.latch ? { latch: plug.latch } : {}),
    ...(header?.leave ? { leave: header.leave } : {}),
    ...(plug.bare
      ? {
          bare: `${plug.bare.end}, ${plug.bare.wants}${plug.bare.polarity ? ', the way round matters' : ', either way round'}`,
        }
      : {}),
    ...(plug.cycles && plug.cycles.done >= plug.cycles.rated * WORN
      ? { worn: `mated ${plug.cycles.done} of ${plug.cycles.rated} times` }
      : {}),
    ...(worst ? { worst: `${way}: ${worst.effect}, ${worst.why}` } : {}),
  };
}
