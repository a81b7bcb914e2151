/**
 * Text that a spreadsheet would work out: what begins with =, @, a tab or a return, or with a sign that is
 * not that of a plain number. Source: OWASP, CSV Injection (from memory).
 */
export const FORMULA: RegExp = /^(?:[=@\t\r]|[+-](?!\d+(?:[.,]\d+)?(?:[eE][+-]?\d+)?$))/;

/**
 * A cell as it was before its formula was made plain text by an apostrophe.
 *
 * @param text of a cell
 * @returns the text meant
 * @example meant("'+5V") // '+5V'
 */
export const meant = (text: string): string =>
  text.startsWith("'") && FORMULA.test(text.slice(1)) ? text.slice(1) : text;
