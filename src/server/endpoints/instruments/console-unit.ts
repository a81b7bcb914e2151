import { Type } from '../../../core/schema/words';

/** The unit the console is to talk of, where it knows several. */
export const ConsoleUnit = Type.Optional(Type.String({ minLength: 1, maxLength: 40, pattern: '^\\S+$' }));
