import type { Person } from '../../core/people';
import { Problem } from '../problem';

/**
 * What only makes sense with somebody signed in.
 *
 * @throws Problem 409 while nobody is registered
 */
export function nobodyYet(person: Person | null): asserts person is Person {
  if (!person) throw new Problem(409, 'Nobody yet', 'nobody is registered here: register the first person');
}
