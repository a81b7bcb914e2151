import { addressSetting } from '../address-setting';
import { addressOf, Line } from '../line';
import { Problem } from '../problem';
import { functionFor, readingOf } from './functions';

const TIMEOUT_MS = 4000;

/** Where the bench meter is. */
export const meterAddress = addressSetting('bench meter', 'meter address', 'MULCH_METER', '127.0.0.1:5025');

export interface MeterReading {
  reading: number;
  unit: string;
  /** what the meter says of itself */
  meter: string;
}

/** What is asked of the meter: a unit, alternating or not, and where the probe is put. */
export interface MeterRequest {
  unit: string;
  ac?: boolean;
  /** told to the stand-in meter, which has no hand to put its probe anywhere; a real one is never told */
  probe?: { model: string; tap: string };
}

/** A line with the meter for as long as something is asked of it. */
async function talk<T>(
  address: string,
  timeoutMs: number,
  ask: (line: Line, idn: string) => Promise<T>,
): Promise<T> {
  const line = await Line.open(addressOf(address), timeoutMs);
  try {
    const idn = (await line.ask('*IDN?')).trim();
    if (!/^[^,]+,[^,]+/.test(idn))
      throw new Problem(
        502,
        'No meter',
        `what listens at ${address} is no bench meter: it called itself “${idn.slice(0, 60)}”`,
      );
    return await ask(line, idn);
  } finally {
    line.close();
  }
}

/** What the meter calls itself. */
export const whoIs = (address: string, timeoutMs = TIMEOUT_MS): Promise<string> =>
  talk(address, timeoutMs, async (_line, idn) => idn);

/**
 * One reading from the bench meter: it is set to the function and asked once.
 *
 * @throws Problem 502 or 504 when the meter is not there, hangs up, is late or answers nonsense; 422 when it is over range
 */
export function readMeter(address: string, r: MeterRequest, timeoutMs = TIMEOUT_MS): Promise<MeterReading> {
  const fn = functionFor(r.unit, r.ac);
  return talk(address, timeoutMs, async (line, idn) => {
    if (r.probe && /stand-in/i.test(idn)) line.tell(`PROBE "${r.probe.model}","${r.probe.tap}"`);
    line.tell(`CONF:${fn.scpi}`);
    const reading = readingOf(await line.ask('READ?'), fn, r.unit);
    return { reading, unit: r.unit, meter: idn };
  });
}
