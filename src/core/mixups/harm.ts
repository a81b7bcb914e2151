import type { Meeting } from './mating';
import type { Header, HeaderLine, Plug, Severity } from './types';

/** What happens at one contact, and in words. */
export interface Harm {
  severity: Severity;
  says: string;
}

const NONE: Harm = { severity: 0, says: '' };
const volts = (v: number | undefined) => (v === undefined ? '' : `${v > 0 ? '+' : ''}${v} V `);
const named = (l: HeaderLine) => (l.kind === 'supply' ? `${volts(l.volts)}(${l.name})` : l.name);
const limit = (l: HeaderLine) => (l.maxVolts === undefined ? ' (limit not known)' : ` (max ${l.maxVolts} V)`);

/** A supply put onto a line: over its limit, or where none is known, it is taken to destroy it. */
function supplyOnto(supply: HeaderLine, line: HeaderLine): Harm {
  const over =
    line.maxVolts === undefined ||
    supply.volts === undefined ||
    Math.abs(supply.volts) > Math.abs(line.maxVolts) ||
    supply.volts * line.maxVolts < 0;
  return {
    severity: over ? 3 : 1,
    says: `${volts(supply.volts)}onto ${line.name}${limit(line)}`,
  };
}

/** What a header's line does to what hangs on a plug's contact. */
function does(header: HeaderLine, plug: HeaderLine): Harm {
  const pair = `${header.kind} ${plug.kind}`;
  switch (pair) {
    case 'supply supply':
      if (header.volts === plug.volts) return NONE;
      if (
        header.volts !== undefined &&
        plug.volts !== undefined &&
        Math.abs(header.volts) < Math.abs(plug.volts)
      )
        return { severity: 2, says: `${volts(header.volts)}where ${named(plug)} belongs` };
      return supplyOnto(header, plug);
    case 'supply ground':
    case 'ground supply':
      return { severity: 3, says: `${named(header)} onto ${named(plug)}` };
    case 'supply signal':
      return supplyOnto(header, plug);
    case 'ground signal':
    case 'signal ground':
      return { severity: 2, says: `${named(header)} onto ${named(plug)}` };
    case 'signal supply':
      return { severity: 2, says: `${named(plug)} is missing: it meets ${header.name}` };
    case 'signal signal':
      return header.name === plug.name ? NONE : { severity: 1, says: `${plug.name} meets ${header.name}` };
    default:
      return NONE;
  }
}

/** What the plug's contact does to the header. A header’s own supply does not go missing by it. */
const doesBack = (plug: HeaderLine, header: HeaderLine): Harm =>
  plug.kind === 'signal' && header.kind === 'supply' ? NONE : does(plug, header);

function hangs(plug: HeaderLine): Harm {
  if (plug.kind === 'nc') return NONE;
  return plug.kind === 'supply'
    ? { severity: 2, says: `${named(plug)} is missing` }
    : { severity: 1, says: `${plug.name} is open` };
}

/**
 * The worst that any contact does when a plug meets a header in a certain way, judged both ways.
 *
 * @param plug what is plugged
 * @param home its own header, which says what its wires carry
 * @param header where it is plugged
 * @param meeting which contact meets which
 * @returns severity 0 to 3 and the first contact that makes it so
 * @example harmOf(plug, home, other, straight(plug)).severity // 3
 */
export function harmOf(plug: Plug, home: Header, header: Header, meeting: Meeting): Harm {
  let worst: Harm = NONE;
  plug.lines.forEach((wire, i) => {
    const line = home.lines[i];
    if (wire === null || !line || line.kind === 'nc') return;
    const k = meeting[i];
    const met = k === null || k === undefined ? undefined : header.lines[k];
    const harms = !met || met.kind === 'nc' ? [hangs(line)] : [does(met, line), doesBack(line, met)];
    for (const h of harms)
      if (h.severity > worst.severity) worst = { severity: h.severity, says: `contact ${i + 1}: ${h.says}` };
  });
  return worst;
}
