import { useMemo } from 'react';
import { mixups } from '../../core/mixups';
import { Refusal } from '../../core/refusal';
import { useJob } from './use-job';

export interface PlugKnown {
  home: string;
  landmark?: string;
  contacts: number;
  /** it has to be labelled before it is unplugged */
  label: boolean;
  /** it can be turned round harmfully */
  mark: boolean;
  /** the worst wrong mating, in words */
  worst?: string;
}

/** What the unit's map knows of a plug by its mark, or null. */
export function usePlug(name: string | undefined): PlugKnown | null {
  const { map } = useJob().job;
  const answer = useMemo(() => {
    if (!map.plugs?.length) return null;
    try {
      return mixups({ plugs: map.plugs, headers: map.headers ?? [] });
    } catch (error) {
      if (error instanceof Refusal) return null;
      throw error;
    }
  }, [map]);
  const plug = map.plugs?.find((p) => p.id.toLowerCase() === name?.trim().toLowerCase());
  if (!plug || !answer) return null;
  const landmark = map.headers?.find((h) => h.id === plug.home)?.landmark;
  const worst = answer.risks.find((r) => r.plug === plug.id && r.severity > 0);
  const way = worst
    ? { 'wrong header': `in ${worst.header}`, reversed: 'turned round', shifted: 'one off' }[worst.how]
    : '';
  return {
    home: plug.home,
    ...(landmark ? { landmark } : {}),
    contacts: plug.positions,
    label: answer.labels.includes(plug.id),
    mark: answer.orientationMarks.includes(plug.id),
    ...(worst ? { worst: `${way}: ${worst.effect}, ${worst.why}` } : {}),
  };
}
