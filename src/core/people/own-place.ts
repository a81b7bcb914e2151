/**
 * Where to go after signing in: a place of this Mulch, never another site.
 *
 * @param to as it came with the address
 * @returns a path with its query; the bench where it is anything else
 * @example ownPlace('//elsewhere.example/') // '/'
 */
export function ownPlace(to: string | null | undefined): string {
  // Browsers drop tabs and line ends, and read a backslash as a slash.
  if (!to || !/^\/(?![/\\])[^\\\p{Cc}]*$/u.test(to)) return '/';
  return to;
}
