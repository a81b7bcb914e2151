import { readDateCode } from '../unit';

/**
 * Serial and date code as they are kept of a part, without blanks.
 *
 * @param serial as typed
 * @param dateCode as typed
 * @returns only what was given
 * @throws Refusal when the date code cannot be read
 * @example stampsOf(' A7 ', undefined) // { serial: 'A7' }
 */
export function stampsOf(
  serial: string | undefined,
  dateCode: string | undefined,
): { serial?: string; dateCode?: string } {
  const code = dateCode?.trim();
  if (code) readDateCode(code);
  return { ...(serial?.trim() ? { serial: serial.trim() } : {}), ...(code ? { dateCode: code } : {}) };
}

/** Serial and date code, as they follow a part in words. */
export const stampWords = (x: { serial?: string; dateCode?: string }): string =>
  `${x.serial ? `, serial ${x.serial}` : ''}${x.dateCode ? `, date code ${x.dateCode}` : ''}`;
