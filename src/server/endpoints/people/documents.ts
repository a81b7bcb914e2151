import { ROLES } from '../../../core/people';
import { closed, Moment, Name, oneOf, Type } from '../../../core/schema/words';

/** A passcode on its way in; how long it must be is said by the rule, in words. */
export const Passcode = Type.String({ maxLength: 400 });
export const RoleSchema = oneOf(ROLES);
export const PersonSchema = closed({ id: Name, name: Name, role: RoleSchema });
/** A browser that is signed in; never the token. */
export const DeviceSchema = closed({
  id: Name,
  words: Name,
  startedAt: Moment,
  seenAt: Moment,
  endsAt: Moment,
  here: Type.Boolean(),
});
