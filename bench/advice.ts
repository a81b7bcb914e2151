/** What the advice is worth on the units of the demo: mean minutes of each way over all faults and answers. */
import { handWays } from '../src/core/regret';
import { deriveChecks, type UnitMap } from '../src/core/unit';
import { departureBoard } from '../src/demo/units/departure-board';
import { hearingLoop } from '../src/demo/units/hearing-loop';
import { photoPrinter } from '../src/demo/units/photo-printer';
import { ticketKiosk } from '../src/demo/units/ticket-kiosk';
import { tideInverter } from '../src/demo/units/tide-inverter';

const UNITS: UnitMap[] = [hearingLoop, photoPrinter, ticketKiosk, tideInverter, departureBoard];

/** A map as the ways meet it: shut, running, its faults there for good. */
const asMet = (map: UnitMap) => ({
  elements: map.elements.map(({ id, weight, needs, remedies }) => ({
    id,
    weight,
    ...(needs ? { needs } : {}),
    remedies: remedies.map((r) => ({ id: r.id, minutes: r.minutes, fixes: r.fixes })),
  })),
  checks: deriveChecks(map).map((c) => c.trace),
  access: map.access.map(({ id, minutes, needs }) => ({ id, minutes, ...(needs ? { needs } : {}) })),
  power: { now: 'on' as const, onMinutes: 1, offMinutes: 1 },
});

/** Prints the table. */
export function compareAdvice(say: (line: string) => void): void {
  for (const map of UNITS) {
    const { optimum, ways } = handWays(asMet(map));
    say(
      `${map.name.padEnd(28)} best known ${optimum.minutes.toFixed(1)} min (${optimum.method}); ${ways
        .map((w) => `${w.name} ${w.minutes.toFixed(1)} min, ${(100 * w.score).toFixed(0)} %`)
        .join('; ')}`,
    );
  }
}
