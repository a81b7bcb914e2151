import { ROLES, type Role } from '../../core/people';

/** Who is signed in at this browser, as the page came; null where nobody is registered, and on the server. */
export function signedIn(): { name: string; role: Role } | null {
  if (typeof document === 'undefined') return null;
  const { person, role } = document.documentElement.dataset;
  const known = ROLES.find((r) => r === role);
  return person && known ? { name: person, role: known } : null;
}
