import { kept } from '../../ui/kept';
import { signedIn } from '../people/signed-in';

const KEY = 'mulch-by';

/** Who works at this bench, as it stands on every entry: who is signed in, or the name given here. */
export const author = {
  get: (): string => signedIn()?.name ?? (kept.read<string>(KEY) || 'bench'),
  set: (name: string) => kept.write(KEY, name.trim()),
};
