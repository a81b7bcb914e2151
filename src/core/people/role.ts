/** What a person may do here, each more than the one before. */
export const ROLES = ['looker', 'bench', 'lead'] as const;
export type Role = (typeof ROLES)[number];

/** What a role is for, as it stands beside its name. */
export const ROLE_WORDS: Record<Role, string> = {
  looker: 'reads everything, records nothing',
  bench: 'works on jobs, describes units',
  lead: 'keeps people, maps, chemistry and backups too',
};

/**
 * Whether a role is enough.
 *
 * @param role what the person is
 * @param wanted the least that is asked for
 * @returns true where the role may do all that the wanted one may
 * @example reaches('bench', 'lead') // false
 */
export const reaches = (role: Role, wanted: Role): boolean => ROLES.indexOf(role) >= ROLES.indexOf(wanted);
