import { kept } from '../../ui/kept';

const KEY = 'mulch-by';

/** Who works at this bench, as it stands on every entry. */
export const author = {
  get: (): string => kept.read<string>(KEY) || 'bench',
  set: (name: string) => kept.write(KEY, name.trim()),
};
