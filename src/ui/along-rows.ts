/**
 * Moves the focus along the rows of a list, those marked `data-row`; it stops at both ends.
 *
 * @param by how many rows, under 0 upward
 */
export function alongRows(by: number): void {
  const rows = [...document.querySelectorAll<HTMLElement>('[data-row]')];
  const at = rows.indexOf(document.activeElement as HTMLElement);
  rows[Math.max(0, Math.min(rows.length - 1, at + by))]?.focus();
}
